import { nth, whole } from '../sure'

/** So many stands of the pens are looked at before the bound says less instead of taking longer. */
const MOST = 20_000
/** Of all stands there are one in so many is met at the most. */
const OFTEN = 100

/**
 * The least that changes of set-up can take for some pens, whatever waits and hours there are: the set-ups of each stand in their order,
 * and what several need at the same time is set up once. That is the cheapest common supersequence of their set-ups, found stand by stand;
 * what was found is kept for the next question. Told from where each pen stands and what is set up.
 */
export class LeastChanges {
  private readonly known = new Map<number, number>()
  private readonly radix: readonly number[]
  private readonly runs: readonly (readonly number[])[]
  /** For each pen and piece: the first of its runs of one set-up that is not over. */
  private readonly runAt: readonly (readonly number[])[]
  private isSmall: boolean

  constructor(setUps: readonly (readonly number[])[], private readonly changes: readonly number[]) {
    this.runs = setUps.map(setUp => setUp.filter(Boolean).filter((one, at, all) => one !== all[at - 1]))
    this.runAt = setUps.map((setUp, pen) => runsFrom(setUp, nth(this.runs, pen).length))
    const sizes = this.runs.map(({ length }) => length + 1)
    this.radix = sizes.map((_, pen) => sizes.slice(0, pen).reduce((product, size) => product * size, 1))
    this.isSmall = sizes.reduce((product, size) => product * size, 1) < MOST * OFTEN
  }

  /**
   * The least from where each pen is at (its next piece) with a set-up that stands, s; undefined where too many stands would have to be
   * looked at.
   */
  from(at: Int32Array, setUp: number): number | undefined {
    if (!this.isSmall) return undefined
    // Asked for each course that is looked at, and mostly known.
    let key = 0
    for (let pen = 0; pen < at.length; pen++) key += this.runOf(pen, whole(at, pen), setUp) * nth(this.radix, pen)
    return this.known.get(key) ?? this.least(Array.from(at, (piece, pen) => this.runOf(pen, piece, setUp)))
  }

  /** The run of a pen that is next at a piece, after what needs no change. */
  private runOf(pen: number, piece: number, setUp: number): number {
    return this.past(pen, nth(nth(this.runAt, pen), piece), setUp)
  }

  /** A run of a pen, or the one after it where it needs what stands. */
  private past(pen: number, run: number, setUp: number): number {
    return nth(this.runs, pen)[run] === setUp ? run + 1 : run
  }

  /** The stand after everything that needs no change was done. */
  private absorbed(runs: readonly number[], setUp: number): number[] {
    return runs.map((run, pen) => this.past(pen, run, setUp))
  }

  private least(runs: readonly number[]): number | undefined {
    const key = runs.reduce((sum, run, pen) => sum + run * nth(this.radix, pen), 0)
    const known = this.known.get(key)
    if (known !== undefined) return known
    if (this.known.size >= MOST) this.isSmall = false
    if (!this.isSmall) return undefined
    const wanted = new Set(runs.flatMap((run, pen) => nth(this.runs, pen)[run] ?? []))
    let least = wanted.size ? Infinity : 0
    for (const setUp of wanted) {
      const rest = this.least(this.absorbed(runs, setUp))
      if (rest === undefined) return undefined
      least = Math.min(least, nth(this.changes, setUp) + rest)
    }
    this.known.set(key, least)
    return least
  }
}

/** For each piece the first run that is not over by then; one without a set-up belongs to what comes after it. */
function runsFrom(setUp: readonly number[], count: number): number[] {
  const found = setUp.map(() => count)
  let [run, next] = [count, 0]
  for (let at = setUp.length - 1; at >= 0; at--) {
    const one = nth(setUp, at)
    if (one && one !== next) [run, next] = [run - 1, one]
    found[at] = run
  }
  return [...found, count]
}
