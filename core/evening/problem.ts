/** Hours in which hands are there, s from the beginning of the plan. */
export interface Hours {
  /** From when. */
  from: number
  /** Until when. */
  to: number
}

/** What has to be set up for a piece of work. */
export interface SetUp {
  /** What kind of thing is changed: a bit, bushings, a paper, a bottle, a press. */
  kind: string
  /** Which of its kind. */
  which: string
}

/** A piece of work on a pen that is done in one go. */
export interface Work {
  /** Its step. */
  step: string
  /** Hands on it, s. */
  hands: number
  /** What runs by itself after the piece before it, or of the first one from the beginning, s: it begins no sooner. */
  wait: number
  /** It begins at the latest so long after the piece before it ended, s; unsaid: whenever. */
  latest?: number
  /** It begins no sooner than this, s from the beginning: the turner wants it so, or what it waits for is over then. */
  from?: number
  /** The turner wants it begun by then, s from the beginning. */
  by?: number
  /** What has to be set up for it; null: nothing. */
  setUp: SetUp | null
  /** How much its time differs from one time to the next: the standard deviation of its logarithm; 0 where not said. */
  spread?: number
  /** How likely something goes wrong at it, and what mending that takes, s. */
  mend?: { chance: number, hands: number }
}

/** A pen with what is left to do on it. */
export interface EveningPen {
  /** Its id. */
  id: string
  /** Its open work, in order. */
  work: readonly Work[]
  /** What still runs by itself after its last piece until it may go, s. */
  after?: number
  /** By when it is promised, s from the beginning. */
  due?: number
  /** How much a promise kept counts against those of other pens; 1 where not said. */
  weight?: number
}

/** A piece of work by its pen and step. */
export interface PieceId {
  /** Of which pen. */
  pen: string
  /** Its step. */
  step: string
}

/** What there is to do, and when hands are there for it. */
export interface EveningProblem {
  /** The pens. */
  pens: readonly EveningPen[]
  /** When hands are there: one after the other, none over another. */
  hours: readonly Hours[]
  /** When further pairs of hands are there, a list for each helper. */
  helpers?: readonly (readonly Hours[])[]
  /** What a change of each kind of thing takes, s; nothing where a kind is not among them. */
  changes: Readonly<Record<string, number>>
  /** What is set up in the beginning. */
  setUp?: SetUp
  /** Finishing times count in steps of so many s, so that a few minutes sooner are not bought with changes; each second where not said. */
  grain?: number
  /** What the turner wants done before all else, in this order; what stands before a piece on its pen comes with it. */
  first?: readonly PieceId[]
  /** What the turner wants done in one go: once one of them is begun, the others follow. */
  together?: readonly (readonly PieceId[])[]
}

/**
 * What a plan comes to, the least of each: `missed` latest times; `pinned`, wishes of the turner that are not held; `late` promises, by
 * their weights; `finished`, the sum of the times at which pens are finished, what is past a promise counted once more by its weight, s;
 * `hands`, time in which nothing is worked up to the last piece of each evening: changes and standing about, s; `lateness` of the latest
 * promise, s.
 */
export const goals = ['missed', 'pinned', 'late', 'finished', 'hands', 'lateness'] as const
export type Goal = (typeof goals)[number]
/** What is wanted where nothing else is said, the first before all others. */
export const usuallyWanted: readonly Goal[] = ['missed', 'pinned', 'late', 'finished', 'hands']
/** What a plan comes to, by goal. */
export type Costs = Readonly<Record<Goal, number>>

/** One piece of work in its place. */
export interface Block {
  /** On which pen. */
  pen: string
  /** Its step. */
  step: string
  /** Whose hands: 0 the turner’s, then each helper’s. */
  crew: number
  /** When hands begin on it, s. */
  begins: number
  /** When they end, s. */
  ends: number
  /** Of that time before it what the change took, s; 0: nothing was changed. */
  change: number
  /** Whether its latest time is missed. */
  missed: boolean
  /** Whether it lies in the hours; what does not is not done in them. */
  inHours: boolean
}

/** Less than this is the same, s. */
export const SAME = 1e-6

/** Which of two costs is less by these goals, the first one first: below 0 the first, 0 alike. */
export function compareCosts(a: Costs, b: Costs, wanted: readonly Goal[] = usuallyWanted): number {
  for (const goal of wanted) {
    const difference = a[goal] - b[goal]
    if (Math.abs(difference) > SAME) return difference
  }
  return 0
}
