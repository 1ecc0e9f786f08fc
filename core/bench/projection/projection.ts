import type { AirReading } from '../../climate'
import type { Plan } from '../../plan'
import { unitSystems, unitWords, type UnitSystem } from '../../units'
import { boardOf, type Board } from '../board'
import type { BenchEvent } from '../event'
import { record, type PenRecord } from '../record'
import type { RunningWait } from '../replay'
import { brokenSummary, summarise, type PenSummary, type Unworked } from '../summary'
import type { ToldPen } from '../../findings'
import { factsOf, lessonsOf, type Fact } from './facts'
import { toldOf } from './told'

/** Counts up when what is kept of a pen is worked out otherwise: rows of an earlier one are then made again. */
export const PROJECTION = 8

/** What is to be done next, in each system of units. */
type NextInUnits = Record<UnitSystem, PenSummary['next']>

/** What lists show of a pen, in any units. */
export interface ProjectedSummary extends Omit<PenSummary, 'next'> {
  /** What to do next; null when it is finished. */
  next: NextInUnits | null
  /** Every wait that runs, with its end. */
  waits: Pick<RunningWait, 'before' | 'purpose' | 'from' | 'until'>[]
  /** The version of the method it is planned by. */
  methodVersion: number
  /** Hands-on time so far, s. */
  handsOnDone: number
  /** What can be searched for in it, in small letters. */
  text: string
}

/** What is kept ready of one pen; follows from its plan, its log and the air alone. */
export interface Projection {
  /** For lists. */
  summary: ProjectedSummary
  /** For what is asked of all pens. */
  facts: readonly Fact[]
  /** For questions about how pens turn out; absent until it is over. */
  told?: ToldPen
}

/**
 * What is kept ready of a pen. Any order and any repetition of the same entries gives the same; `air` as it was read since the pen was
 * begun, in the order of time.
 */
export function project(planned: Plan, events: readonly BenchEvent[], air: readonly AirReading[] = []): Projection {
  const board = boardOf(planned, events, air)
  const made = record(board.state, board.traced, air)
  const told = toldOf(board, made, air)
  return { summary: summaryOf(board, made), facts: [...factsOf(board, made, air), ...lessonsOf(board, air)], ...(told ? { told } : {}) }
}

function summaryOf(board: Board, { handsOn }: PenRecord): ProjectedSummary {
  const { state } = board
  const summary = summarise(board, unitWords('metric'))
  const inUnits = unitSystems.map(system => [system, summarise(board, unitWords(system)).next] as const)
  return {
    ...summary,
    next: summary.next && (Object.fromEntries(inUnits) as NextInUnits),
    waits: state.waits.map(({ before, purpose, from, until }) => ({ before, purpose, from, until })),
    methodVersion: state.plan.inputs.method.version,
    handsOnDone: handsOn,
    text: searchText(board),
  }
}

/** What is kept ready of a pen that cannot be worked out: its row in lists. */
export const brokenProjection = (known: Unworked): Projection => ({
  summary: {
    ...brokenSummary(known), next: null, waits: [], methodVersion: 0, handsOnDone: 0,
    text: `${known.material.name} ${known.fitting.name}`.toLowerCase(),
  },
  facts: [],
})

/** The words by which a pen is found, besides its mark, its name and its reason. */
function searchText({ state: { plan: { inputs }, defects } }: Board): string {
  const words = [inputs.material.name, inputs.fitting.name, inputs.method.name, ...new Set(defects.map(one => one.kind))]
  return words.join(' ').toLowerCase()
}

/** The summary of a pen in a turner's units. */
export function summaryIn(projected: ProjectedSummary, units: UnitSystem): PenSummary {
  const { next, waits: _waits, methodVersion: _version, handsOnDone: _done, text: _text, ...rest } = projected
  return { ...rest, next: next?.[units] ?? null }
}
