import { day } from './day'
import { formatCountdown, formatSpan, roughSpan } from './span'

it.each([
  [0, '0 s'],
  [15.2, '15 s'],
  [60, '1 min'],
  [75, '1 min 15 s'],
  [1320, '22 min'],
  [3600, '1 h'],
  [7500, '2 h 05 min'],
  [86400, '1 d'],
  [97200, '1 d 3 h'],
  [3599.6, '1 h'],
])('%d s is %s', (seconds, text) => {
  expect(formatSpan(seconds)).toBe(text)
})

it('what is planned is said to the minute, from an hour on to the quarter', () => {
  expect([0, 89, 3599, 3600, 74 * 60, 148 * 60, 6200].map(roughSpan))
    .toEqual(['1 min', '1 min', '1 h', '1 h', '1 h 15 min', '2 h 30 min', '1 h 45 min'])
})

it('counts down to 0:00 and not before the wait is over', () => {
  expect([47.2, 0.3, 0, -5, 725, 3729].map(formatCountdown)).toEqual(['0:48', '0:01', '0:00', '0:00', '12:05', '1:02:09'])
})

it('a day is said as workshops say it, wherever the reader’s clock stands', () => {
  expect(['2026-06-08', '2026-12-31T23:59:59.000Z'].map(day)).toEqual(['8 Jun 2026', '31 Dec 2026'])
})
