import { cutSticks, usualCut } from '../../barrel'
import { given, worked, type Figure } from '../../figures'
import { thinnest } from '../../film'
import { tears } from '../../shelf'
import { buildOf, isKind, startMarks, type Plan, type PlanInputs, type Step, type StepId } from '../model'
import { gritTrace } from './grit'
import { handsOnTime } from './hands-on'
import { needsOf } from './needs'
import type { PlanTrace, StepTrace } from './plan-trace'
import { withRisks } from './risks'
import { endsOf, sizeOf } from './size'
import { firstStage, stageAfter, thinnerFilm, type Stage } from './stage'
import { stepWaits, type StepWait } from './waits'

/** Everything that follows from a plan, worked out afresh; nothing of it is stored. Steps left out take no time and change nothing. */
export function trace(plan: Plan, leftOut: ReadonlySet<StepId> = new Set()): PlanTrace {
  const { inputs } = plan
  const steps = withRisks(courseOf(plan, leftOut))
  const last = steps.findLast(one => !one.step.apart)?.after ?? firstStage(inputs)
  const sandingTakes = worked('taken off by sanding', last.wood.removed, 'µm', 'each grit removes the deepest scratch before it', [
    startMarks(inputs.wishes),
    ...steps.flatMap(one => (one.step.kind === 'sand' && one.grit ? [one.grit.grain] : [])),
  ])
  const film = filmFigures(plan, last)
  const cut = usualCut(tears(inputs.material), inputs.habits)
  const stick = cutSticks(inputs.fitting, cut)
  const size = sizeOf(inputs, stick, cut, sandingTakes, film.left)
  const times = steps.map(one => one.handsOn)
  const hands = times.reduce((sum, one) => sum + one.value, 0)
  const waits = steps.flatMap(one => (one.wait ? [one.wait.length] : []))
  return {
    steps,
    stick,
    size,
    ends: endsOf(size),
    sandingTakes,
    filmLeft: film.left,
    filmThinnest: film.thinnest,
    needs: needsOf(plan, size, leftOut),
    handsOn: worked('hands on', hands, 's', 'all steps together', times),
    untilHandOver: worked('until it may be handed over', steps.at(-1)?.ends ?? 0, 's', 'worked straight through, waits kept', waits),
  }
}

/** The steps one after the other: the surface before and after each, how long it takes, and when it can begin. */
function courseOf(plan: Plan, leftOut: ReadonlySet<StepId>): StepTrace[] {
  const fresh = firstStage(plan.inputs)
  /** Where each barrel stands: those that go on together, and those that catch up, by the mend that made them. */
  const stages = new Map<string, Stage>()
  const ended = new Map<StepId, number>()
  const endOf = ({ since, length }: StepWait) => (ended.get(since) ?? 0) + length.value
  let clock = 0
  return plan.steps.map((step): StepTrace => {
    const which = step.apart ? (step.mend ?? '') : ''
    const before = stages.get(which) ?? fresh
    if (leftOut.has(step.id)) return { step, before, after: before, handsOn: given('left out', 0, 's'), begins: clock, ends: clock }
    const grit = gritTrace(plan, step, before)
    const handsOn = handsOnTime(step, grit)
    const after = stageAfter(plan.inputs, step, before, grit?.worked)
    const wait = lastToEnd(stepWaits(plan, step, plan.inputs.climate, leftOut), endOf)
    const begins = Math.max(clock, wait ? endOf(wait) : 0)
    clock = begins + handsOn.value
    stages.set(which, after)
    ended.set(step.id, clock)
    return { step, before, after, handsOn, begins, ends: clock, ...(wait ? { wait } : {}), ...(grit ? { grit: grit.shown } : {}) }
  })
}

const lastToEnd = (waits: readonly StepWait[], endOf: (wait: StepWait) => number): StepWait | undefined =>
  waits.reduce<StepWait | undefined>((last, one) => (last && endOf(last) >= endOf(one) ? last : one), undefined)

/** The film in the end: on the mean, and at its thinnest. */
function filmFigures({ inputs, steps }: Plan, last: Stage): { left: Figure, thinnest: Figure } {
  const coats = given('coats', last.coats, 'coats')
  const left = worked('film left', last.film.mean, 'µm', 'coats put on − levelling − polishing', [coats, ...buildsOf(inputs, steps)])
  const where = thinnerFilm(last)
  const least = last[where] ?? last.film
  const label = last.spot ? 'film left where it was mended' : 'film left at the thinnest'
  return {
    left,
    thinnest: worked(label, Math.max(0, thinnest(least)), 'µm', 'mean − 1.645 × spread from coat to coat', [
      where === 'film' ? left : given('film over the mended place', least.mean, 'µm'),
      given('spread (standard deviation)', least.sd, 'µm', { mark: 'model', note: '20 % of each coat, in quadrature' }),
    ]),
  }
}

function buildsOf(inputs: PlanInputs, steps: readonly Step[]): Figure[] {
  const products = new Map(steps.filter(isKind('coat')).map(({ product }) => [product.id, product]))
  return [...products.values()].map(product => buildOf(inputs, product))
}
