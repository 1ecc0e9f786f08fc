import { coarserThan, grainOf, productFor } from '../../shelf'
import { usableBare } from '../make'
import { isKind, phases, type Step, type StepOf } from '../model'
import { again, newStep, type Mend } from './place'

const isBeforeLadder = (step: Step): boolean => phases.indexOf(step.phase) < phases.indexOf('sand')

/**
 * A hole filled: before the ladder it is turned flush; on sanded wood it is brought flush and sanded again from two grits back.
 * Undefined without CA.
 */
export function fill(mend: Mend): { at: number, steps: Step[] } | undefined {
  const early = mend.phase === 'blank' || mend.phase === 'turn'
  const steps = drops(early ? { ...mend, phase: 'turn' } : mend)
  if (!steps) return undefined
  if (early) return { at: ladderOf(mend), steps }
  const down = gritsUsed(mend).length ? (backTo(mend, GRITS_BACK) ?? []) : []
  return { at: mend.at, steps: [...steps, ...down] }
}

/** Where the ladder begins in a plan, or its end. */
function ladderOf({ plan: { steps } }: Mend): number {
  const ladder = steps.findIndex(step => !isBeforeLadder(step))
  return ladder < 0 ? steps.length : ladder
}

/** A mended place is sanded from so many grits back [trade]. */
const GRITS_BACK = 2

/** The drops and what brings them flush; undefined without CA. */
export function drops(mend: Mend): [Step, Step] | undefined {
  const { key: _, step: __, from: ___, ...repair } = mend.repair
  const { inputs } = mend.plan
  const product = productFor(inputs, 'thin CA') ?? productFor(inputs, 'medium CA')
  if (!product) return undefined
  const accelerated = repair.way === 'shavings and CA' && Boolean(productFor(inputs, 'accelerator'))
  return [
    newStep(mend, 'fill', { kind: 'fill', product, accelerated, repair }),
    newStep(mend, 'flush', { kind: 'flush', repair, gate: { purpose: 'sand', since: 'fill' } }),
  ]
}

/** The grits already used on this wood, in their order. */
const gritsUsed = ({ before }: Mend): StepOf<'sand'>[] => before.filter(isKind('sand'))

/**
 * Back in the ladder, and down it again to where it was: to the grit that was said, else for ring scratches to the one before the
 * greatest jump, else two grits back. With nothing coarser used yet, a coarser one of the shelf. Undefined when there is none.
 */
export function backInLadder(mend: Mend): Step[] | undefined {
  const used = gritsUsed(mend)
  const said = used.findIndex(step => step.id === mend.repair.from)
  const from = said >= 0 ? said : mend.repair.kind === 'ring scratches' ? greatestJump(used) : undefined
  return from === undefined ? backTo(mend, GRITS_BACK) : again(mend, used.slice(from))
}

/** From so many grits back (of what is under way, or of the last one used) down to it again. */
function backTo(mend: Mend, back: number): Step[] | undefined {
  const used = gritsUsed(mend)
  const underWay = mend.plan.steps[mend.at]
  const sanding = underWay?.kind === 'sand' ? underWay : undefined
  const from = (sanding ? used.length : used.length - 1) - back
  if (used.length) return again(mend, used.slice(Math.max(0, from)))
  const [coarser] = sanding ? coarserThan(sanding.abrasive, usableBare(mend.plan.inputs)) : []
  return coarser && [newStep(mend, `sand.${coarser.id}`, { kind: 'sand', abrasive: coarser, again: mend.repair.defect })]
}

/** The grit before the greatest jump: its scratches are the likeliest to be left. Undefined with fewer than two grits. */
function greatestJump(used: readonly StepOf<'sand'>[]): number | undefined {
  const jumps = used.slice(1).map((step, index) => {
    const before = used[index]
    return before ? grainOf(before.abrasive) / grainOf(step.abrasive) : 0
  })
  return jumps.length ? jumps.indexOf(Math.max(...jumps)) : undefined
}

/**
 * All that was done to a barrel from its turning on, done again: a new cut takes what stood on it with it. Undefined before it was
 * turned at all.
 */
export function trueIt(mend: Mend): Step[] | undefined {
  const turn = mend.before.findIndex(step => step.kind === 'turn')
  if (turn < 0) return undefined
  return again(
    mend,
    mend.before.slice(turn).filter(step => step.kind !== 'try'),
    { apart: true },
  )
}

/** The barrel, or the pair, cut again, and all that was done to it done anew. */
export function newBlank(mend: Mend): Step[] {
  const { repair, plan, before } = mend
  const barrels = repair.way === 'new pair' ? plan.inputs.fitting.barrels.map(one => one.id) : [repair.barrel]
  const done = before.filter(step => step.kind !== 'parts' && step.kind !== 'try' && !step.mend)
  const pressed = done.some(step => step.kind === 'assemble')
  const apart = pressed ? [newStep(mend, 'take-apart', { kind: 'fix', how: 'take apart' })] : []
  return [...apart, ...again(mend, done, { apart: true, barrels })]
}
