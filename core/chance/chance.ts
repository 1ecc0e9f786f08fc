/** Numbers of a standard normal distribution, the same by a seed: by halves of pairs (Marsaglia’s polar method). */
export function normals(seed: number): () => number {
  const chance = uniforms(seed)
  let spare: number | undefined
  return () => {
    if (spare !== undefined) {
      const kept = spare
      spare = undefined
      return kept
    }
    for (;;) {
      const [u, v] = [2 * chance() - 1, 2 * chance() - 1]
      const s = u * u + v * v
      if (s >= 1 || s === 0) continue
      const factor = sqrt((-2 * log(s)) / s)
      spare = v * factor
      return u * factor
    }
  }
}

const { sqrt, log } = Math

/** Even numbers from 0 to 1, the same by a seed: a counter whose bits are mixed (splitmix, 32 bits). */
export function uniforms(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x9e3779b9) >>> 0
    let mixed = state
    mixed = imul(mixed ^ (mixed >>> 16), 0x21f0aaad)
    mixed = imul(mixed ^ (mixed >>> 15), 0x735a2d97)
    return ((mixed ^ (mixed >>> 15)) >>> 0) / 4_294_967_296
  }
}
const { imul } = Math

/** A number from words, so that what has a name has chance of its own by a seed (Fowler, Noll and Vo’s sum, 32 bits). */
export function seedOf(...words: readonly (string | number)[]): number {
  let sum = 0x811c9dc5
  for (const letter of words.join(' ')) sum = imul(sum ^ (letter.codePointAt(0) ?? 0), 0x01000193)
  return sum >>> 0
}
