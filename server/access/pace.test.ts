import type { H3Event } from 'h3'
import { TooOftenError } from '../faults'
import { heed } from './pace'
import type { Who } from './who'

const from = (remoteAddress: string) => ({ node: { req: { socket: { remoteAddress }, headers: {} } } }) as unknown as H3Event
const who = (session: string | null, how: Who['how'] = 'paired'): Who =>
  ({ person: null, keeper: false, how, session, roles: new Map() })
const NOW = 1_000_000
/** How many of so many at once are heard. */
const heard = (times: number, event: H3Event, one: Who | undefined, now: number): number => {
  let count = 0
  for (let time = 0; time < times; time++) {
    try {
      heed(event, one, now)
      count++
    } catch (error) {
      expect(error).toBeInstanceOf(TooOftenError)
      expect((error as TooOftenError).seconds).toBe(1)
    }
  }
  return count
}

it('six hundred at once are heard, then twenty a second; each session and each stranger’s address by itself', () => {
  expect(heard(1000, from('10.0.0.1'), who('a'), NOW)).toBe(600)
  expect(heard(1000, from('10.0.0.1'), who('a'), NOW + 5000)).toBe(100)
  expect(heard(1000, from('10.0.0.1'), who('b'), NOW + 5000)).toBe(600)
  expect(heard(1000, from('10.0.0.1'), undefined, NOW)).toBe(600)
  expect(heard(1000, from('10.0.0.2'), undefined, NOW)).toBe(600)
  expect(heard(1000, from('10.0.0.1'), who('a'), NOW + 3_600_000)).toBe(600)
})
it('on the machine itself nobody counts', () => {
  expect(heard(2000, from('127.0.0.1'), who(null, 'machine'), NOW)).toBe(2000)
})
