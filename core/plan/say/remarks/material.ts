import { airFaults, noFinishBears } from '../../../climate'
import { formatSpan, within } from '../../../format'
import { familyOf, suitability } from '../../../method'
import { bleeds, isOily, type Material } from '../../../shelf'
import { layersFor, mayWipeWet } from '../../make'
import type { Figure } from '../../../figures'
import type { Plan, PlanInputs } from '../../model'
import type { PlanTrace } from '../../trace'
import type { Remark } from './remark'

/** How the finish goes with the blank, what the blank added to it, and what it asks for. */
export const materialNotes = ({ inputs }: Plan): Remark[] => [
  ...howItSuits(inputs),
  ...layersFor(inputs).adjustments.map(({ says, why }): Remark => ({ weight: 'note', says: `${says}.`, remedy: `${why}.` })),
  ...whatItAsks(inputs.material),
]

function howItSuits({ material, method }: PlanInputs): Remark[] {
  const { verdict, reasons } = suitability(method.family, material)
  if (verdict === 'suits') return []
  const against = verdict === 'does not suit'
  const why = reasons.filter(reason => reason.weight === (against ? 'against' : 'care')).map(reason => within(reason.says)).join('; ')
  return against
    ? [{
        weight: 'gap',
        says: `${method.name} does not suit ${material.name}: ${why}.`,
        remedy: 'Look at the other finishes: the ones that suit stand first. Or keep it, knowing this.',
      }]
    : [{ weight: 'note', says: `Take care, ${method.name} on ${material.name}: ${why}.`, remedy: `${familyOf(method.family).asks}.` }]
}

function whatItAsks(material: Material): Remark[] {
  const bleeding: Remark = {
    weight: 'note',
    says: `${material.name}, a wood that bleeds: a wet wipe or a wet coat carries its colour.`,
    remedy: 'Blow it clean, seal it thin, keep its dust off pale wood.',
  }
  const oily: Remark = {
    weight: 'note',
    says: `${material.name}, oily wood: coats can lift and set slowly.`,
    remedy: mayWipeWet(material)
      ? 'Wipe with alcohol just before the first coat and let it flash off.'
      : 'Thin CA at once after the last grit, without a wet wipe.',
  }
  return [...(bleeds(material) ? [bleeding] : []), ...(isOily(material) ? [oily] : [])]
}

/** A planned wait longer than this is told, s: a fortnight. */
const LONG_WAIT = 14 * 86_400

/** Waits over a fortnight: of several the longest. */
export function waitNotes({ steps }: PlanTrace): Remark[] {
  const waits = steps.flatMap(({ wait }) => (wait && wait.length.value > LONG_WAIT ? [wait.length] : []))
  const longest = waits.reduce<Figure | undefined>((most, one) => (most && most.value >= one.value ? most : one), undefined)
  if (!longest) return []
  const says = `This pen has to stand for ${formatSpan(longest.value)} once: ${longest.label}.`
  const remedy = 'A warmer shop shortens it, or another finish; look whether the time on the label is entered right.'
  return [{ weight: 'note', says, remedy }]
}

/** What the air would do to the products of the plan, told before their bottles are opened. */
export function airNotes({ inputs, steps }: Plan): Remark[] {
  const none = steps.some(step => step.kind === 'coat') ? noFinishBears(inputs.climate) : undefined
  if (none) return [{ weight: 'gap', says: none, remedy: 'Leave the bottles closed until the shop is otherwise.' }]
  const kinds = new Set(steps.flatMap(step => (step.kind === 'coat' && step.product.setsBy ? [step.product.setsBy] : [])))
  const faults = [...kinds].flatMap(setsBy => airFaults(inputs.climate, setsBy))
  return [...new Map(faults.map(fault => [fault.kind, fault])).values()].map(({ says, remedy }): Remark => ({
    weight: 'note',
    says,
    remedy,
  }))
}
