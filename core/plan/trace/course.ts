import { abrasiveName } from '../../abrasives'
import { cutSticks, usualCut } from '../../barrel'
import { given, worked, type Figure } from '../../figures'
import { thinnest } from '../../film'
import { tears } from '../../shelf'
import { isGrit, type Plan, type StepId } from '../model'
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
  const steps = withRisks(inputs, courseOf(plan, leftOut))
  const last = steps.findLast(one => !one.step.apart)?.after ?? firstStage(inputs)
  const together = steps.filter(one => !one.step.apart)
  const sandingTakes = worked('taken off by sanding', last.wood.removed, 'µm', 'each grit removes the deepest scratch before it', [
    ...together.flatMap(({ step, grit, before, after }) =>
      grit && after.wood.removed > before.wood.removed ? [step.kind === 'sand' ? grit.removes : grit.leaves] : []),
  ])
  const film = filmFigures(together, last)
  const cut = usualCut(tears(inputs.material), inputs.habits)
  const stick = cutSticks(inputs.fitting, cut)
  const size = sizeOf(inputs, stick, cut, sandingTakes, film.left)
  const times = steps.map(one => one.handsOn)
  const hands = times.reduce((sum, one) => sum + one.value, 0)
  const handsOn = worked('hands on', hands, 's', 'all steps together', times)
  return {
    steps,
    stick,
    size,
    ends: endsOf(size),
    sandingTakes,
    filmLeft: film.left,
    filmThinnest: film.thinnest,
    needs: needsOf(plan, size, leftOut),
    handsOn,
    untilHandOver: worked('until it may be handed over', steps.at(-1)?.ends ?? 0, 's', STRAIGHT, [handsOn, ...standingOf(steps)]),
  }
}

const STRAIGHT = 'worked straight through: hands on, and what is left of each wait'

/** What is left of each wait once what can be done meanwhile is done. */
function standingOf(steps: readonly StepTrace[]): Figure[] {
  const ends = new Map(steps.map(one => [one.step.id, one.ends]))
  return steps.flatMap((one, index) => {
    const before = steps[index - 1]?.ends ?? 0
    if (!one.wait || one.begins <= before) return []
    const { length, since } = one.wait
    const meanwhile = given('other steps meanwhile', before - (ends.get(since) ?? 0), 's', { mark: 'model', note: 'hands on, as planned' })
    return [worked(`left of the ${length.label}`, one.begins - before, 's', 'wait − what is done meanwhile', [length, meanwhile])]
  })
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
    const handsOn = handsOnTime(plan.inputs, step, grit)
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
function filmFigures(together: readonly StepTrace[], last: Stage): { left: Figure, thinnest: Figure } {
  const left = worked('film left', last.film.mean, 'µm', 'each coat, less what each levelling and polishing takes', filmChanges(together))
  const where = thinnerFilm(last)
  const least = last[where] ?? last.film
  const label = last.spot ? 'film left where it was mended' : 'film left at the thinnest'
  return {
    left,
    thinnest: worked(label, Math.max(0, thinnest(least)), 'µm', 'mean − half the unevenness − 1.645 × spread from coat to coat', [
      where === 'film' ? left : given('film over the mended place', least.mean, 'µm'),
      given('unevenness that is not levelled', least.unevenness, 'µm', { mark: 'model', note: 'of all coats, in quadrature' }),
      given('spread (standard deviation)', least.sd, 'µm', { mark: 'model', note: '20 % of each coat, in quadrature' }),
    ]),
  }
}

/** What every kind of coat and every sanding made of the film, in the order they first come. */
function filmChanges(together: readonly StepTrace[]): Figure[] {
  const changes = new Map<string, { times: number, um: number }>()
  for (const { step, before, after } of together) {
    const um = after.film.mean - before.film.mean
    if (um === 0) continue
    const name = step.kind === 'coat' ? step.product.name : `${step.kind} ${isGrit(step) ? abrasiveName(step.abrasive) : ''}`
    const { times, um: sum } = changes.get(name) ?? { times: 0, um: 0 }
    changes.set(name, { times: times + 1, um: sum + um })
  }
  return [...changes].map(([name, { times, um }]) => given(times > 1 ? `${times} × ${name}` : name, um, 'µm', AS_REACHED))
}
const AS_REACHED = { mark: 'model' as const, note: 'less what soaked in; starting values, or your own build where it was measured' }
