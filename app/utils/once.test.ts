import { BOUNCE, once } from './once'

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

/** Something that is asked for, each time answered with how often it was. */
function asking(fails = 0) {
  let times = 0
  const ask = () => {
    times++
    return times <= fails ? Promise.reject(new Error(`failed ${times}`)) : Promise.resolve(times)
  }
  return { ask, times: () => times }
}

it('a finger that bounces asks once, on the way and right after; a later press asks anew', async () => {
  const { ask, times } = asking()
  const [one, two] = [once('keep', ask), once('keep', ask)]
  expect(await Promise.all([one, two])).toEqual([1, 1])
  jest.advanceTimersByTime(BOUNCE - 1)
  expect(await once('keep', ask)).toBe(1)
  jest.advanceTimersByTime(1)
  expect(await once('keep', ask)).toBe(2)
  expect(times()).toBe(2)
})
it('something else is asked at once', async () => {
  const { ask } = asking()
  expect(await Promise.all([once('this', ask), once('that', ask)])).toEqual([1, 2])
})
it('what went wrong may be tried again at once', async () => {
  const { ask } = asking(1)
  await expect(once('tried', ask)).rejects.toThrow('failed 1')
  expect(await once('tried', ask)).toBe(2)
})
