import { grainSize } from '../../abrasives'
import type { ShelfAbrasive } from '../inputs'
import { productFor } from '../methods/products'
import { phases, type Step, type StepOf } from '../plan'
import { usableBare } from '../sanding'
import { again, newStep, type Mend } from './place'

const isSand = (step: Step): step is StepOf<'sand'> => step.kind === 'sand'
const beforeLadder = (step: Step): boolean => phases.indexOf(step.phase) < phases.indexOf('sand')

/** A hole filled: before the ladder it is turned flush; on sanded wood it is brought flush and sanded again from two grits back. Undefined without CA. */
export function fill(mend: Mend): { at: number, steps: Step[] } | undefined {
  const early = mend.phase === 'blank' || mend.phase === 'turn'
  const ladder = mend.plan.steps.findIndex(step => !beforeLadder(step))
  const at = early ? ladder < 0 ? mend.plan.steps.length : ladder : mend.at
  const place: Mend = early ? { ...mend, phase: 'turn' } : mend
  const steps = drops(place)
  return steps && { at, steps: [...steps, ...(early || !gritsUsed(mend).length ? [] : backTo(mend, -2) ?? [])] }
}

/** The drops and what brings them flush. */
export function drops(mend: Mend): Step[] | undefined {
  const { key: _, step: __, from: ___, ...repair } = mend.repair
  const product = productFor(mend.plan.inputs, 'thin CA') ?? productFor(mend.plan.inputs, 'medium CA')
  if (!product) return undefined
  const accelerated = repair.way === 'shavings and CA' && Boolean(productFor(mend.plan.inputs, 'accelerator'))
  return [
    newStep(mend, 'fill', { kind: 'fill', product, accelerated, repair } as const),
    newStep(mend, 'flush', { kind: 'flush', repair, gate: { purpose: 'sand', since: 'fill' } } as const),
  ]
}

/** The grits already used on this wood, in their order. */
const gritsUsed = ({ before }: Mend): StepOf<'sand'>[] => before.filter(isSand)

/**
 * Back in the ladder, and down it again to where it was: to the grit that was said, else for ring scratches to the one before the greatest jump, else two grits back. With nothing coarser used yet, a coarser
 * one of the shelf. Undefined when there is none.
 */
export function backInLadder(mend: Mend): Step[] | undefined {
  const used = gritsUsed(mend)
  const said = used.findIndex(step => step.id === mend.repair.from)
  const from = said >= 0 ? said : mend.repair.kind === 'ring scratches' ? greatestJump(used) : undefined
  return from === undefined ? backTo(mend, -2) : again(mend, used.slice(from))
}

/** From so many grits back (of what is under way, or of the last one used) down to it again. */
export function backTo(mend: Mend, back: number): Step[] | undefined {
  const used = gritsUsed(mend)
  const underWay = mend.plan.steps[mend.at]
  const sanding = underWay && isSand(underWay)
  const from = (sanding ? used.length : used.length - 1) + back
  if (used.length) return again(mend, used.slice(Math.max(0, from)))
  const coarser = sanding ? usableBare(mend.plan.inputs).filter(one => grain(one) > grain(underWay.abrasive)).sort((a, b) => grain(a) - grain(b))[0] : undefined
  return coarser && [newStep(mend, `sand.${coarser.id}`, { kind: 'sand', abrasive: coarser, again: mend.repair.defect } as const)]
}

const grain = (one: ShelfAbrasive): number => grainSize(one.scale, one.mark)

/** The grit after which the jump was greatest: its scratches are the likeliest to be left. Undefined with fewer than two grits. */
function greatestJump(used: readonly StepOf<'sand'>[]): number | undefined {
  const jumps = used.slice(1).map((step, index) => grain(used[index]!.abrasive) / grain(step.abrasive))
  return jumps.length ? jumps.indexOf(Math.max(...jumps)) : undefined
}

/** All that was done to a barrel from its turning on, done again: a new cut takes what stood on it with it. Undefined before it was turned at all. */
export function trueIt(mend: Mend): Step[] | undefined {
  const turn = mend.before.findIndex(step => step.kind === 'turn')
  return turn < 0 ? undefined : again(mend, mend.before.slice(turn).filter(step => step.kind !== 'try'), { apart: true })
}

/** The barrel, or the pair, cut again, and all that was done to it done anew. */
export function newBlank(mend: Mend): Step[] {
  const barrels = mend.repair.way === 'new pair' ? mend.plan.inputs.fitting.barrels.map(one => one.id) : [mend.repair.barrel]
  const done = mend.before.filter(step => step.kind !== 'parts' && step.kind !== 'try' && !step.mend)
  const pressed = done.some(step => step.kind === 'assemble')
  return [...(pressed ? [newStep(mend, 'take-apart', { kind: 'fix', how: 'take apart' } as const)] : []), ...again(mend, done, { apart: true, barrels })]
}
