import { parseSpan } from './span'

it.each([
  ['90 s', 90],
  ['10 min', 600],
  ['1 h 30 min', 5400],
  ['1.5 hours', 5400],
  ['1,5 h', 5400],
  ['2 days', 172_800],
  ['2.25 H', 8100],
  ['  45s ', 45],
  ['1 hour and 5 minutes', 3900],
])('reads “%s” as %d s', (text, seconds) => {
  expect(parseSpan(text)).toBe(seconds)
})
it.each(['', '15', 'overnight', '3 fortnights', '-5 min', '2 h later', 'and 15'])('refuses “%s”, and says what would be right', (text) => {
  expect(() => parseSpan(text)).toThrow(/s, (10 )?min/)
})
