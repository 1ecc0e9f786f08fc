import { formatCountdown, formatSpan, parseSpan } from './span'

it.each([[0, '0 s'], [15.2, '15 s'], [60, '1 min'], [75, '1 min 15 s'], [1320, '22 min'], [3600, '1 h'], [7500, '2 h 05 min'], [86400, '1 d'], [97200, '1 d 3 h'], [3599.6, '1 h']])('%d s is %s', (seconds, text) => {
  expect(formatSpan(seconds)).toBe(text)
})

it('counts down to 0:00 and not before the wait is over', () => {
  expect([47.2, 0.3, 0, -5, 725, 3729].map(formatCountdown)).toEqual(['0:48', '0:01', '0:00', '0:00', '12:05', '1:02:09'])
})

it.each([['90 s', 90], ['10 min', 600], ['1 h 30 min', 5400], ['1.5 hours', 5400], ['1,5 h', 5400], ['2 days', 172_800], ['1 hour and 5 minutes', 3900]])('reads “%s” as %d s', (text, seconds) => {
  expect(parseSpan(text)).toBe(seconds)
})
it.each(['', '15', 'overnight', '3 fortnights', '-5 min', '2 h later'])('refuses “%s”, and says what would be right', (text) => {
  expect(() => parseSpan(text)).toThrow(/s, (10 )?min/)
})
