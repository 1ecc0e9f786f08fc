import type { BarrelId } from '../../barrel'
import type { DefectKind } from '../../defects'
import { airAt, type AirReading, type Climate, type Touch } from '../../climate'
import type { Growth, Levelled } from '../../film'
import type { SetUp } from '../../evening'
import { isGrit, type PlanInputs, type StepId, type StepKind } from '../../plan'
import type { SandingObservation } from '../../sanding'
import { sandingClass, type SandingClass, type WaitPurpose } from '../../shelf'
import type { Board } from '../board'
import type { DefectState } from '../course'
import { setUpOf } from '../evenings/set-up'
import { buildGrowths } from '../growths'
import { usualOf } from '../evidence/usual'
import { levelledOf } from '../levelled'
import { secondsBetween } from '../pause'
import { sandingObservations } from '../observations'
import { pressTold } from '../pressed'
import type { PenRecord, RecordRow } from '../record'
import { isDone } from '../replay'
import { touchesOf } from '../touches'
import { usesOf } from '../uses'
import type { Gone, Return } from '../whereabouts'

/** What every fact has: when it was, ISO 8601. */
interface Dated {
  at: string
}

/** How a step went. */
interface StepFact {
  /** How long hands were on it, s. */
  seconds: number
  /** How that is known. */
  timing: NonNullable<RecordRow['timing']>
  /** What was planned, s. */
  planned: number
  /** What had to be set up for it. */
  setUp: SetUp | null
}

/** Something that the log of one pen tells once and for all, to be asked for by its kind and by what it is about. */
export type Fact = Dated & (
  /** A step that was done. */
  | ({ kind: 'step', about: StepKind, step: StepId } & StepFact)
  /** A grit that was looked at. */
  | { kind: 'look', about: string, step: StepId, answer: 'not yet' | 'cannot tell' }
  /** What a look tells of cut rate and capacity on a class of wood. */
  | ({ kind: 'sanding', about: SandingClass } & SandingObservation)
  /** How the radius grew under coats, and what the plan had reckoned with, µm; about the first of their products. */
  | ({ kind: 'growth', about: string, planned: number } & Growth)
  /** What a finger told of a coat that waited; about its product. */
  | ({ kind: 'touch', about: string } & Touch)
  /** How far short of its ring a mechanism was right, mm; about its fitting. */
  | { kind: 'press', about: string, left: number }
  /** A levelling that is over. */
  | ({ kind: 'levelled', about: 'film' } & Levelled)
  /** For each piece of evidence that a plan knows of whether it holds. */
  | { kind: 'usual', about: 'pens', evidence: Readonly<Record<string, boolean>> }
  /** What a coat took from a bottle, ml. */
  | { kind: 'use', about: string, ml: number }
  /** An abrasive that was worked with: seconds on it, how many pieces were in hand, and what of their lives that took, in pieces. */
  | { kind: 'sheet', about: string, step: StepId, seconds: number, pieces: number, uses: number }
  /** A defect: what it was, why, how it was mended and how that went; the kind of step it was found at, if any was left. */
  | { kind: 'defect', about: DefectKind, defect: ProjectedDefect, found: StepKind | null }
  /** A diameter that was measured, mm. */
  | { kind: 'diameter', about: BarrelId, step: StepId, fromTip: number, mm: number }
  /** That it went to somebody, and what it brought, in minor units; about the place, or how. */
  | { kind: 'leave', about: string, how: Gone['how'], price: number | null, order: string | null }
  /** That it came back, and what was paid back, in minor units; about the place it had been at, or how it had gone. */
  | { kind: 'return', about: string, why: Return['why'], paid: number | null }
  /** A wait of so many s that was kept, or cut short by so many; how long it was in truth, s, and the air half-way through it. */
  | { kind: 'wait', about: WaitPurpose, step: StepId, seconds: number, shortBy: number, waited: number, air: Climate }
)

/** A defect as it is kept: without what was asked on the way to its cause. */
export type ProjectedDefect = Omit<DefectState, 'answers'>

/** All facts of a pen, in the order of their kinds; `air` as it was read, in the order of time. */
export function factsOf(board: Board, { rows }: PenRecord, air: readonly AirReading[]): Fact[] {
  return [
    ...rows.flatMap(row => stepFacts(row, board.state.plan.inputs)),
    ...rows.flatMap(row => waitFacts(row, board.state.plan.inputs.climate, air)),
    ...lookFacts(board),
    ...sheetFacts(board),
    ...defectFacts(board),
    ...board.state.measured.map(({ barrel, at, step, fromTip, diameter }): Fact =>
      ({ kind: 'diameter', about: barrel, at, step, fromTip, mm: diameter })),
    ...board.state.leavings.map(({ place, how, at, price, order }): Fact =>
      ({ kind: 'leave', about: place ?? how, at, how, price, order })),
    ...board.state.returns.map(({ from, at, why, paid }): Fact =>
      ({ kind: 'return', about: from ? from.place ?? from.how : why, at, why, paid })),
  ]
}

/** What a pen teaches of its turner's hands and bottles; `air` as it was read, in the order of time. */
export function lessonsOf(board: Board, air: readonly AirReading[]): Fact[] {
  const wood = sandingClass(board.state.plan.inputs.material)
  return [
    ...sandingObservations(board.state).map((found): Fact => ({ kind: 'sanding', about: wood, ...found })),
    ...buildGrowths(board, '').map((found): Fact => ({ kind: 'growth', about: Object.keys(found.coats)[0] ?? '', ...found })),
    ...touchesOf(board.state, air).map(({ product, ...found }): Fact => ({ kind: 'touch', about: product, ...found })),
    ...pressFacts(board),
    ...usualFacts(board),
    ...levelledOf(board).map((found): Fact => ({ kind: 'levelled', about: 'film', ...found })),
    ...usesOf(board).map(({ product, at, ml }): Fact => ({ kind: 'use', about: product, at, ml })),
  ]
}

function pressFacts({ state }: Board): Fact[] {
  const told = pressTold(state)
  return told ? [{ kind: 'press', about: state.plan.inputs.fitting.id, ...told }] : []
}

/** From when it is begun a pen counts among those of the shop. */
function usualFacts({ state: { plan, held } }: Board): Fact[] {
  const begun = held.steps[0]?.at
  return begun === undefined ? [] : [{ kind: 'usual', about: 'pens', at: begun, evidence: usualOf(plan) }]
}

function stepFacts({ step, at, handsOn, timing, planned }: RecordRow, inputs: PlanInputs): Fact[] {
  if (at === null || handsOn === null || timing === null) return []
  return [{ kind: 'step', about: step.kind, at, step: step.id, seconds: handsOn, timing, planned, setUp: setUpOf(step, inputs) }]
}

function waitFacts({ step, at, wait }: RecordRow, climate: Climate, air: readonly AirReading[]): Fact[] {
  if (at === null || !wait) return []
  const { purpose, from, seconds, shortBy } = wait
  const waited = secondsBetween(from, at)
  const { celsius, humidity } = airAt(new Date(Date.parse(from) + 500 * waited).toISOString(), climate, air)
  return [{ kind: 'wait', about: purpose, at, step: step.id, seconds, shortBy, waited, air: { celsius, humidity } }]
}

function lookFacts({ state: { held, steps } }: Board): Fact[] {
  const abrasives = new Map(steps.flatMap(({ step }) => (isGrit(step) ? [[step.id, step.abrasive.id] as const] : [])))
  return held.said.flatMap((event): Fact[] => {
    const about = event.kind === 'look' ? abrasives.get(event.payload.step) : undefined
    return event.kind === 'look' && about
      ? [{ kind: 'look', about, at: event.at, step: event.payload.step, answer: event.payload.answer }]
      : []
  })
}

function sheetFacts({ state, traced }: Board): Fact[] {
  const grits = new Map(traced.steps.map(one => [one.step.id, one.grit]))
  return state.steps.filter(isDone).flatMap(({ step, at }): Fact[] => {
    const grit = grits.get(step.id)
    return grit && isGrit(step)
      ? [{ kind: 'sheet', about: step.abrasive.id, at, step: step.id, seconds: grit.seconds, pieces: grit.pieces, uses: grit.uses }]
      : []
  })
}

function defectFacts({ state }: Board): Fact[] {
  return state.defects.map(({ answers: _, ...defect }): Fact => ({
    kind: 'defect',
    about: defect.kind,
    at: defect.at,
    defect,
    found: state.plan.steps.find(step => step.id === defect.step)?.kind ?? null,
  }))
}
