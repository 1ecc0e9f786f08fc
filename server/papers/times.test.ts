import { timesIn } from './times'

/** When clocks go back in London in 2026, and in Auckland forward: the last Sunday of October, the last of September. */
it('moments are written by the clock of the place, over a change to summer time too', () => {
  const london = timesIn('Europe/London')
  const before = new Date('2026-10-25T00:30:00Z')
  const after = new Date('2026-10-25T01:30:00Z')
  expect([london.clock(before), london.clock(after)]).toEqual(['01:30', '01:30'])
  expect(london.weekday(before)).toBe('Sunday 25 October')
  const auckland = timesIn('Pacific/Auckland')
  expect(auckland.clock(new Date('2026-12-05T11:05:00Z'))).toBe('00:05')
  expect(auckland.weekday(new Date('2026-12-05T11:05:00Z'))).toBe('Sunday 6 December')
  expect(auckland.day(new Date('2026-12-31T11:05:00Z'))).toBe('1 January 2027')
  expect(timesIn('UTC').day(new Date('2026-12-31T11:05:00Z'))).toBe('31 December 2026')
})
