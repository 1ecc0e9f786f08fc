import { inTurn } from './in-turn'

/** Something that is answered when it is told to. */
function later() {
  const one = { asked: false, answer: (_: string) => {}, refuse: (_: Error) => {} }
  const ask = () => {
    one.asked = true
    return new Promise<string>((resolve, reject) => {
      one.answer = resolve
      one.refuse = reject
    })
  }
  return { one, ask }
}
const settled = () => new Promise(resolve => setImmediate(resolve))

it('the next is asked when the one before it was answered or refused, and each has its own answer', async () => {
  const next = inTurn()
  const [first, second, third] = [later(), later(), later()]
  const answers = [next(first.ask), next(second.ask), next(third.ask)]
  const refused = expect(answers[1]).rejects.toThrow('no')
  await settled()
  expect([first, second, third].map(({ one }) => one.asked)).toEqual([true, false, false])
  first.one.answer('one')
  await settled()
  expect([second, third].map(({ one }) => one.asked)).toEqual([true, false])
  second.one.refuse(new Error('no'))
  await settled()
  expect(third.one.asked).toBe(true)
  third.one.answer('three')
  expect(await Promise.all([answers[0], answers[2]])).toEqual(['one', 'three'])
  await refused
})
