/** How one kind of step went in this workshop, against what was planned for it. */
export interface StepTaken {
  /** Hands on it, s. */
  seconds: number
  /** What was planned, s. */
  planned: number
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

/**
 * The turner’s own pace at one kind of step, drawn towards the usual one where there is little to go by: the mean and the spread of the
 * logarithm of what it took over what was planned. Times that cannot be (none, or a dozen times the planned) teach nothing.
 */
export function learnPace(taken: readonly StepTaken[]): OwnPace {
  const logs = taken.flatMap(({ seconds, planned }) => {
    const log = Math.log(seconds / planned)
    return Number.isFinite(log) && Math.abs(log) <= Math.log(STRANGE) ? [log] : []
  })
  const sum = logs.reduce((all, one) => all + one, 0)
  const mean = sum / (logs.length + COUNTS_AS.factor)
  const squares = logs.reduce((all, one) => all + (one - mean) ** 2, 0)
  const variance = (squares + COUNTS_AS.spread * USUAL.spread ** 2) / (logs.length + COUNTS_AS.spread)
  const mended = taken.filter(one => one.mended).length
  return {
    factor: Math.exp(mean),
    spread: Math.sqrt(variance),
    mends: (mended + COUNTS_AS.mends * USUAL.mends) / (taken.length + COUNTS_AS.mends),
    steps: logs.length,
  }
}
