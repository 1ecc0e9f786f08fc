import type { AirReading } from '../climate'
import type { StepId } from '../plan'
import { secondsBetween } from './pause'
import type { DefectState } from './course'
import type { OtherwiseIn } from './event'
import type { KeptWait, PenRecord, RecordRow } from './record'
import type { Away, BenchState, MeasuredDiameter, Remarked } from './replay'
import { isUnlogged, type MadeBefore } from './made'
import type { Gone, Return } from './whereabouts'

/** Hands off for longer than this, s, and what follows is told as another evening [model: 3 h, longer than a supper]. */
const APART = 3 * 3600
/** A reading of the air says nothing of an evening that began so long after it, s [model]. */
const AIR_HOLDS = 12 * 3600

/** What happened at a moment of an evening: steps that were done one after another, or something beside them. */
export type Happening = {
  /** When, ISO 8601; of several steps, the first of them. */
  at: string
} & (
  | { kind: 'steps', rows: RecordRow[] }
  | { kind: 'defect', defect: DefectState }
  | { kind: 'mend', defect: DefectState, way: string, failed: boolean }
  | { kind: 'settled', defect: DefectState }
  | { kind: 'measured', reading: MeasuredDiameter }
  | { kind: 'part', part: string, as: OtherwiseIn }
  | { kind: 'remark', remark: Remarked }
  | { kind: 'left out', step: StepId }
  | { kind: 'cut short', step: StepId, wait: KeptWait }
  | { kind: 'away', away: Away }
  | { kind: 'made', made: MadeBefore }
  | { kind: 'leave', gone: Gone }
  | { kind: 'return', back: Return }
  | { kind: 'gate', gate: string, how: 'agreed' | 'seen' }
)

/** What was done on one pen in one go. */
export interface Evening {
  /** Its first entry, ISO 8601. */
  from: string
  /** Its last. */
  to: string
  /** Hands-on time of the steps done in it, s. */
  handsOn: number
  /** The air while it went on, each reading once; empty where nobody read it. */
  air: AirReading[]
  /** What happened, in its order. */
  happenings: Happening[]
}

/** What happened on a pen, evening by evening, in the order of time; empty while nothing has. */
export function story(told: PenRecord, state: BenchState, air: readonly AirReading[] = []): Evening[] {
  const unlogged = isUnlogged(state)
  const rows = told.rows.filter(({ step }) => !unlogged(step.id))
  const moments = [...rows.flatMap(ofRow), ...happeningsOf(told, state)].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
  const evenings: Evening[] = []
  for (const moment of moments) {
    const last = evenings.at(-1)
    if (last && secondsBetween(last.to, moment.at) <= APART) goOn(last, moment)
    else evenings.push({ from: moment.at, to: moment.at, handsOn: handsOnIn(moment), air: [], happenings: [moment] })
  }
  return evenings.map(evening => ({ ...evening, air: airOf(evening, air) }))
}

/** One moment more of an evening; steps that follow one another stand together. */
function goOn(evening: Evening, moment: Happening) {
  const before = evening.happenings.at(-1)
  if (before?.kind === 'steps' && moment.kind === 'steps') before.rows.push(...moment.rows)
  else evening.happenings.push(moment)
  evening.to = moment.at
  evening.handsOn += handsOnIn(moment)
}

const handsOnIn = (moment: Happening): number =>
  moment.kind === 'steps' ? moment.rows.reduce((sum, row) => sum + (row.handsOn ?? 0), 0) : 0

/** The readings of an evening, and the last one before it where that is not too long ago. */
function airOf({ from, to }: Evening, air: readonly AirReading[]): AirReading[] {
  const before = air.findLast(reading => reading.at <= from && secondsBetween(reading.at, from) <= AIR_HOLDS)
  return [...(before ? [before] : []), ...air.filter(reading => reading.at > from && reading.at <= to)]
}

const happeningsOf = ({ defects, measured }: PenRecord, { remarks, away, made, leavings, returns, held }: BenchState): Happening[] => [
  ...defects.flatMap(ofDefect),
  ...measured.map((reading): Happening => ({ at: reading.at, kind: 'measured', reading })),
  ...held.said.flatMap((event): Happening[] =>
    event.kind === 'press' && event.payload.as ? [{ at: event.at, kind: 'part', part: event.payload.part, as: event.payload.as }] : []),
  ...remarks.map((remark): Happening => ({ at: remark.at, kind: 'remark', remark })),
  ...(away ? [{ at: away.at, kind: 'away', away } as const] : []),
  ...(made ? [{ at: made.at, kind: 'made', made } as const] : []),
  ...leavings.map((gone): Happening => ({ at: gone.at, kind: 'leave', gone })),
  ...returns.map((back): Happening => ({ at: back.at, kind: 'return', back })),
  ...held.said.flatMap((event): Happening[] =>
    event.kind === 'gate' && event.payload.how !== 'asked'
      ? [{ at: event.at, kind: 'gate', gate: event.payload.gate, how: event.payload.how }]
      : []),
]

function ofDefect(defect: DefectState): Happening[] {
  const { at, status, settledAt } = defect
  const mends = defect.mends.map((mend): Happening => ({ at: mend.at, kind: 'mend', defect, way: mend.way, failed: mend.failed ?? false }))
  const over: Happening[] = settledAt && (status === 'mended' || status === 'left') ? [{ at: settledAt, kind: 'settled', defect }] : []
  return [{ at, kind: 'defect', defect }, ...mends, ...over]
}

function ofRow(row: RecordRow): Happening[] {
  const { at, status, step, wait } = row
  if (at === null) return []
  if (status === 'skipped') return [{ at, kind: 'left out', step: step.id }]
  const short: Happening[] = wait && wait.shortBy > 0 ? [{ at, kind: 'cut short', step: step.id, wait }] : []
  return [...short, { at, kind: 'steps', rows: [row] }]
}
