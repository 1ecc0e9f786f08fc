import type { RepairWay } from '../../defects'
import { stepId, type FixHow, type MendId, type Plan, type Step, type StepId } from '../model'
import { bury, cover, endCoats, flushEnd, levelOut, polishAgain, recoat, sandBackAndCover, setAside, strip, touchUp } from './film'
import { again, newStep, placeOf, type ChosenRepair, type Mend } from './place'
import { backInLadder, fill, newBlank, trueIt } from './wood'

/** What a way to mend puts into the plan, and where; undefined when it cannot be done with this shelf or at this place. */
type Maker = (mend: Mend) => Step[] | { at: number, steps: Step[] } | undefined

const fix = (how: FixHow): Maker => mend => [newStep(mend, how.replaceAll(' ', '-'), { kind: 'fix', how })]

const makers: Record<RepairWay, Maker> = {
  'turn it out': () => [],
  'thin CA': fill,
  'shavings and CA': fill,
  'clear CA': fill,
  'back in the ladder': backInLadder,
  'true it': trueIt,
  'flush the end': flushEnd,
  'bury': bury,
  'more coats': cover,
  'level out': mend => levelOut(mend),
  'level coarser': mend => levelOut(mend, true),
  'sand back and cover': sandBackAndCover,
  'end coats': endCoats,
  'ease the end': fix('ease the end'),
  'recoat': recoat,
  'set aside': setAside,
  'polish again': polishAgain,
  'strip': strip,
  'touch up': touchUp,
  'ream': fix('ream'),
  'press on': fix('press on'),
  'take apart': mend => [
    newStep(mend, 'take-apart', { kind: 'fix', how: 'take apart' }),
    ...again(mend, mend.before.filter(step => step.kind === 'assemble')),
  ],
  'new blank': newBlank,
  'new pair': newBlank,
}

/**
 * The plan with the steps of the repairs that were chosen, in the order they were chosen: each goes in before the step that was under
 * way (a fill found before the ladder right before the first grit). All that was planned or done stays. The same repairs always give
 * the same steps, and one whose steps are there already, or that cannot be made any more, adds none.
 */
export const withRepairs = (plan: Plan, chosen: readonly ChosenRepair[]): Plan =>
  chosen.reduce((now, repair) => {
    if (now.steps.some(step => step.mend === repair.key)) return now
    const mend = placeOf(now, repair)
    const made = makers[repair.way](mend)
    if (!made) return now
    const { at, steps } = Array.isArray(made) ? { at: mend.at, steps: made } : made
    return insert(now, at, apartByName(steps, repair.key))
  }, plan)

/** The last step of a mend: when it is done, the defect counts as mended. Where coats covered a place it is the levelling after them. */
export function endOfRepair(plan: Plan, key: MendId): Step | undefined {
  const last = plan.steps.findLastIndex(step => step.mend === key)
  const end = plan.steps[last]
  return end?.kind === 'coat' && end.mends ? (plan.steps.slice(last).find(step => step.kind === 'level') ?? end) : end
}

/** Steps of one mend that would bear the same name (it does again what another mend did, beside its own) are numbered. */
function apartByName(steps: readonly Step[], key: MendId): Step[] {
  const times = new Map<StepId, number>()
  return steps.map((step) => {
    const time = (times.get(step.id) ?? 0) + 1
    times.set(step.id, time)
    return time > 1 ? { ...step, id: stepId.ofMend(stepId.work(step), key, time) } : step
  })
}

const insert = (plan: Plan, at: number, steps: readonly Step[]): Plan => ({
  ...plan,
  steps: [...plan.steps.slice(0, at), ...steps, ...plan.steps.slice(at)],
})
