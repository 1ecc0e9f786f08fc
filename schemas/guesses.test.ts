import { guessedSoon, guessesOf, guessWords } from './guesses'

const judged = (role: 'owner' | 'pupil', secret: string, names: string[] = []) => guessedSoon(role, guessesOf(secret, names))

it.each(['123456', 'password', 'qwerty', 'aaaaaa', 'oxlip', '111111', 'letmein'])('%s is among the first that anybody tries', (secret) => {
  expect(judged('pupil', secret)).toMatch(/first that anybody tries/)
  expect(guessWords(guessesOf(secret))).toBe('found at once')
})
it('a PIN that nobody thinks of first will do for a pupil, not for an owner', () => {
  expect(judged('pupil', '481920')).toBeUndefined()
  expect(judged('owner', '481920')).toMatch(/for an owner/)
})
it('several words, or what a machine made up, will do for an owner; what leaked and is doubled will not', () => {
  for (const good of ['ash, apple and damson', 'X4-kd02-lll2w', 'the lathe hums in june']) expect(judged('owner', good)).toBeUndefined()
  for (const weak of ['passwordpassword', '123456789012', 'qwertyuiop123', 'aaaaaaaaaaaaaaaa']) expect(judged('owner', weak)).toBeDefined()
})
it('one’s own name makes it easier to guess', () => {
  expect(guessesOf('hazelthorn77', ['Hazel Thorn'])).toBeLessThan(guessesOf('hazelthorn77') / 10)
})
it('a very long one is answered as fast', () => {
  expect(guessesOf('kx'.repeat(100) + 'ß'.repeat(100))).toBeGreaterThan(0)
})
