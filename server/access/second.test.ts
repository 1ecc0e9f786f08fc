import fc from 'fast-check'
import { closed, newSecond, reopened, secondLink, stepOf } from './second'

/** “12345678901234567890” in base 32: the secret of RFC 6238, appendix B. */
const SECRET = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ'

it.each([
  // RFC 6238, appendix B, SHA-1; its eight figures end in these six.
  [59, '287082'], [1_111_111_109, '081804'], [1_111_111_111, '050471'], [1_234_567_890, '005924'], [2_000_000_000, '279037'],
])('at %d s the figures are those of RFC 6238', (seconds, figures) => {
  expect(stepOf(figures, SECRET, seconds * 1000, 0)).toBe(Math.floor(seconds / 30))
  // A clock half a minute off is heard, one that is off by more is not; what was used is good no more, nor what came before it.
  expect(stepOf(figures, SECRET, (seconds + 30) * 1000, 0)).toBe(Math.floor(seconds / 30))
  expect(stepOf(figures, SECRET, (seconds + 90) * 1000, 0)).toBeUndefined()
  expect(stepOf(figures, SECRET, seconds * 1000, Math.floor(seconds / 30))).toBeUndefined()
  expect(stepOf(`${figures.slice(0, 3)} ${figures.slice(3)}`, SECRET, seconds * 1000, 0)).toBeDefined()
  for (const wrong of ['', '000000', figures.slice(1), `${figures}0`, 'abcdef'])
    expect(stepOf(wrong, SECRET, seconds * 1000, 0)).toBeUndefined()
})
it('a secret comes back by the seal it was closed with; one sign changed, or another seal, and it does not (property)', () => {
  fc.assert(fc.property(fc.string(), fc.string({ minLength: 1 }), fc.nat(), (secret, seal, at) => {
    const kept = closed(secret, seal)
    expect(reopened(kept, seal)).toBe(secret)
    expect(() => reopened(kept, `${seal}x`)).toThrow()
    const bytes = Buffer.from(kept, 'base64')
    bytes[at % bytes.length]! ^= 1
    expect(() => reopened(bytes.toString('base64'), seal)).toThrow()
  }))
})
it('each secret is another, of 160 bits, and an app takes it in by its address', () => {
  const [one, two] = [newSecond(), newSecond()]
  expect(one).toMatch(/^[A-Z2-7]{32}$/)
  expect(one).not.toBe(two)
  const link = new URL(secondLink(one, 'Hazel Thorn'))
  expect([link.protocol, link.searchParams.get('secret'), link.searchParams.get('digits')]).toEqual(['otpauth:', one, '6'])
  expect(decodeURIComponent(link.pathname)).toContain('Oxlip:Hazel Thorn')
})
