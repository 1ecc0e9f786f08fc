/** A small seeded source of chance, so that a simulation is the same every time: uniform values of 0 to 1, and standard normal ones. */
export function chance(seed: number): { uniform: () => number, normal: () => number } {
  let state = seed
  const uniform = () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296
    return (state + 0.5) / 4_294_967_296
  }
  return { uniform, normal: () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform()) }
}
