import { inStep } from './in-steps'

/** What a clock tells that is looked at so often, ms. */
const told = (from: number, to: number, looks: number, step: number) => {
  const all: Date[] = []
  for (let at = from; at < to; at += looks) all.push(inStep(all.at(-1), at, step))
  return all
}
const noon = Date.parse('2019-11-28T12:00:00.100Z')

it('a clock that is looked at four times a second changes once a second, or once a minute', () => {
  expect(new Set(told(noon, noon + 60_000, 250, 1000)).size).toBe(60)
  expect(new Set(told(noon, noon + 180_000, 250, 60_000)).size).toBe(3)
})
it('it is never behind by a step, nor ahead, whichever way it is set', () => {
  for (const step of [1000, 60_000]) {
    told(noon, noon + 180_000, 250, step).forEach((one, look) => {
      const at = noon + 250 * look
      expect(one.getTime()).toBeLessThanOrEqual(at)
      expect(at - one.getTime()).toBeLessThan(step)
    })
    // A clock that was set right by an hour tells the new time at once, back too.
    for (const by of [3_600_000, -3_600_000]) expect(inStep(new Date(noon), noon + by, step)).toEqual(new Date(noon + by))
  }
})
