import { turns } from './turns'

it('so much goes on at once and no more, in its order, whatever fails', async () => {
  const inTurn = turns(2)
  let [now, most] = [0, 0]
  const done: number[] = []
  const work = (index: number) => async () => {
    most = Math.max(most, ++now)
    await new Promise(go => setTimeout(go, 1))
    now -= 1
    done.push(index)
    if (index % 3 === 0) throw new Error('this one fails')
    return index
  }
  const all = await Promise.allSettled(Array.from({ length: 9 }, (_, index) => inTurn(work(index))))
  expect([most, now]).toEqual([2, 0])
  expect(done).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8])
  expect(all.map(one => one.status === 'fulfilled')).toEqual([false, true, true, false, true, true, false, true, true])
  await expect(inTurn(work(10))).resolves.toBe(10)
})
