import fc from 'fast-check'
import { isSecret, keptSecret, newCode, newToken, opened, plainCode, sealed } from './secret'

it('a password is the one that was kept, in either form of its letters, and no other; none is none', async () => {
  const kept = await keptSecret('Müller’s plum')
  expect(kept).not.toContain('plum')
  expect(await isSecret('Müller’s plum'.normalize('NFD'), kept)).toBe(true)
  expect(await isSecret('Müller’s Plum', kept)).toBe(false)
  expect(await isSecret('', null)).toBe(false)
  expect(await keptSecret('Müller’s plum')).not.toBe(kept)
})
it('many at once are all answered', async () => {
  const kept = await keptSecret('123456')
  const answers = await Promise.all(['123456', '654321', '123456', '000000', '123456'].map(one => isSecret(one, kept)))
  expect(answers).toEqual([true, false, true, false, true])
})
it('a cookie opens by the seal it was closed with; one letter changed and it does not (property)', () => {
  const seal = 'of this installation'
  fc.assert(fc.property(fc.nat(), fc.constantFrom('A', 'b', '0', '.', ''), (at, letter) => {
    const token = newToken()
    const cookie = sealed(token, seal)
    expect(opened(cookie, seal)).toBe(token)
    expect(opened(cookie, 'of another')).toBeUndefined()
    const place = at % cookie.length
    const changed = cookie.slice(0, place) + letter + cookie.slice(place + 1)
    if (changed !== cookie) expect(opened(changed, seal)).toBeUndefined()
  }))
})
it('a code is eight signs that are not read as others, never twice the same, however it is typed', () => {
  const codes = Array.from({ length: 300 }, newCode)
  for (const code of codes) expect(code).toMatch(/^[2-9A-HJ-NP-Z]{4}-[2-9A-HJ-NP-Z]{4}$/)
  expect(new Set(codes).size).toBe(codes.length)
  expect(plainCode(' ab3d ef7h')).toBe(plainCode('AB3D-EF7H'))
})
