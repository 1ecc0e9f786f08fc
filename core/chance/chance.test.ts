import { normals, seedOf, uniforms } from './index'

it('chance is even and normal: means, spreads and the part beyond two deviations', () => {
  const [chance, next] = [uniforms(9), normals(9)]
  const evens = Array.from({ length: 40_000 }, chance)
  const drawn = Array.from({ length: 40_000 }, next)
  const mean = (of: number[]) => of.reduce((sum, each) => sum + each, 0) / of.length
  expect(Math.abs(mean(evens) - 0.5)).toBeLessThan(0.006)
  expect(Math.abs(mean(evens.map(each => (each - 0.5) ** 2)) - 1 / 12)).toBeLessThan(0.002)
  expect(Math.abs(mean(drawn))).toBeLessThan(0.02)
  expect(Math.abs(mean(drawn.map(each => each ** 2)) - 1)).toBeLessThan(0.03)
  expect(Math.abs(mean(drawn.map(each => (Math.abs(each) > 2 ? 1 : 0))) - 0.0455)).toBeLessThan(0.005)
})

it('the same seed gives the same again, other words another', () => {
  const drawn = (...words: (string | number)[]) => Array.from({ length: 5 }, uniforms(seedOf(...words)))
  expect(drawn('a', 1)).toEqual(drawn('a', 1))
  expect(new Set([drawn('a', 1), drawn('a', 2), drawn('b', 1), drawn('a1')].map(String)).size).toBe(4)
  // Outside values: the sum of no letters, and of “a”, as its authors publish them.
  expect([seedOf(''), seedOf('a')]).toEqual([0x811c9dc5, 0xe40c292c])
})
