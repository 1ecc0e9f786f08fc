import { newId } from './ids'

it('makes ids as the server wants them, without a secure context, and never the same twice', () => {
  const given = globalThis.crypto.randomUUID
  Object.defineProperty(globalThis.crypto, 'randomUUID', { value: undefined, configurable: true, writable: true })
  const made = Array.from({ length: 500 }, newId)
  Object.defineProperty(globalThis.crypto, 'randomUUID', { value: given, configurable: true, writable: true })
  for (const id of made) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/)
  expect(new Set(made).size).toBe(500)
})
