import { atMostEvery } from './at-most-every'

const REST = 1500

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

/** Something that is done when it is wanted, and how often it was; it takes as long as `takes`, ms. */
function counted(takes = 0) {
  const done = { times: 0, atOnce: 0, most: 0 }
  const want = atMostEvery(REST, async () => {
    done.times++
    done.most = Math.max(done.most, ++done.atOnce)
    if (takes) await new Promise(over => setTimeout(over, takes))
    done.atOnce--
  })
  return { want, done }
}
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms)

it('what is wanted once is done at once, however long nothing was wanted before and after', async () => {
  const { want, done } = counted()
  for (let times = 1; times <= 3; times++) {
    want()
    expect(done.times).toBe(times)
    await pass(60_000)
    expect(done.times).toBe(times)
  }
})
it('what is wanted often is done once a rest, and the last is not left out', async () => {
  const { want, done } = counted()
  for (let ms = 0; ms < 15_000; ms += 100) {
    want()
    await pass(100)
  }
  expect(done.times).toBe(11)
  await pass(60_000)
  expect(done.times).toBe(11)
})
it('what takes longer than the rest is not begun anew before it is over', async () => {
  const { want, done } = counted(4000)
  for (const _ of [1, 2, 3]) want()
  await pass(3900)
  expect(done.times).toBe(1)
  await pass(60_000)
  expect(done).toEqual({ times: 2, atOnce: 0, most: 1 })
})
it('a clock that is set back an hour changes nothing', async () => {
  const { want, done } = counted()
  want()
  await pass(REST)
  jest.setSystemTime(Date.now() - 3_600_000)
  want()
  expect(done.times).toBe(2)
})
it('what fails is tried again when it is wanted again', async () => {
  let times = 0
  const want = atMostEvery(REST, () => (times++ ? Promise.resolve() : Promise.reject(new Error('away'))))
  want()
  await pass(REST)
  want()
  expect(times).toBe(2)
})
