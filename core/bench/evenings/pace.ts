/** How one kind of step went in this workshop, against what was planned for it. */
export interface StepTaken {
  /** Hands on it, with what had to be changed for it, s. */
  seconds: number
  /** What was planned, s. */
  planned: number
  /** Of that time what the change before it is thought to have taken, s; 0: nothing was changed. */
  change: number
  /** Whether something went wrong at it that had to be mended. */
  mended: boolean
}

/** A turner’s own pace at one kind of step. */
export interface OwnPace {
  /** So many times what is planned. */
  factor: number
  /** How much one differs from the next: the standard deviation of the logarithm of its time. */
  spread: number
  /** How many of a hundred have to be mended, as a part of 1. */
  mends: number
  /** From how many steps that were timed. */
  steps: number
}

/**
 * Of whom nothing is known: the planned time, half as long or twice as long one time in twenty each [model]; one in fifty goes wrong
 * [model]. They count as so many steps of the turner’s own.
 */
export const USUAL: Omit<OwnPace, 'steps'> = { factor: 1, spread: 0.4, mends: 0.02 }
const COUNTS_AS = { factor: 4, spread: 8, mends: 20 }
/** A time this many times longer or shorter than planned is an entry that was forgotten, no pace [model]. */
const STRANGE = 12

/** So often the factor is brought nearer to what the times say. */
const ROUNDS = 3

/** One time against what is expected of it: what is over, as a logarithm, and how much of it and of that is the step’s own. */
export interface Against {
  /** The logarithm of the time over what was expected. */
  over: number
  /** The part of the expected time that is the step’s own, 0 to 1; the rest is the change before it. */
  own: number
  /** How much it differs from one time to the next, against a step without a change. */
  noise: number
}

/** A step’s time against a pace, s; null where it cannot be a time of that: none, or a dozen times more or less than planned. */
export function against({ seconds, planned, change }: StepTaken, factor: number): Against | null {
  const strange = Math.abs(Math.log(seconds / (planned + change)))
  const own = (factor * planned) / (factor * planned + change)
  // Step and change are each longer or shorter by themselves.
  if (!(strange <= Math.log(STRANGE))) return null
  return { over: Math.log(seconds / (factor * planned + change)), own, noise: Math.hypot(own, 1 - own) }
}

/**
 * The turner’s own pace at one kind of step, drawn towards the usual one where there is little to go by: the mean and the spread of the
 * logarithm of what it took over what was planned, each time weighed by how much it tells of the step itself. Times that cannot be (none,
 * or a dozen times the planned) teach nothing. `from`: a factor that is known to be near, as a beginning.
 */
export function learnPace(taken: readonly StepTaken[], from = 1): OwnPace {
  let log = Math.log(from)
  let [squares, steps] = [0, 0]
  for (let round = 0; round < ROUNDS; round++) {
    let [sum, weights] = [0, 0]
    ;[squares, steps] = [0, 0]
    for (const one of taken) {
      const told = against(one, Math.exp(log))
      if (!told) continue
      const { over, own, noise } = told
      const weight = (own / noise) ** 2
      sum += weight * (over / own + log)
      weights += weight
      squares += (over / noise) ** 2
      steps++
    }
    log = sum / (weights + COUNTS_AS.factor)
  }
  const mended = taken.filter(one => one.mended).length
  return {
    factor: Math.exp(log),
    spread: Math.sqrt((squares + COUNTS_AS.spread * USUAL.spread ** 2) / (steps + COUNTS_AS.spread)),
    mends: (mended + COUNTS_AS.mends * USUAL.mends) / (taken.length + COUNTS_AS.mends),
    steps,
  }
}
