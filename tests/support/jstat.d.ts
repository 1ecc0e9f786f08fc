/** As much of the statistics package as tests ask of it; it brings no types. */
declare module 'jstat' {
  const jstat: {
    normal: { cdf: (x: number, mean: number, sd: number) => number, inv: (part: number, mean: number, sd: number) => number }
    binomial: { cdf: (k: number, n: number, part: number) => number }
    hypgeom: { pdf: (k: number, all: number, marked: number, drawn: number) => number }
  }
  export default jstat
}
