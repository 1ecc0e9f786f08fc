import { airFaults } from '../../../climate'
import { within } from '../../../format'
import { familyOf, suitability } from '../../../method'
import { bleeds, isOily, type Material } from '../../../shelf'
import { layersFor, mayWipeWet } from '../../make'
import type { Plan, PlanInputs } from '../../model'
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
    : [{ weight: 'note', says: `${method.name} on ${material.name} asks for care: ${why}.`, remedy: `${familyOf(method.family).asks}.` }]
}

function whatItAsks(material: Material): Remark[] {
  const bleeding: Remark = {
    weight: 'note',
    says: `${material.name} bleeds: a wet wipe or a wet coat carries its colour.`,
    remedy: 'Blow it clean, seal it thin, keep its dust off pale wood.',
  }
  const oily: Remark = {
    weight: 'note',
    says: `${material.name} is oily: coats can lift and set slowly.`,
    remedy: mayWipeWet(material)
      ? 'Wipe with alcohol just before the first coat and let it flash off.'
      : 'Thin CA at once after the last grit, without a wet wipe.',
  }
  return [...(bleeds(material) ? [bleeding] : []), ...(isOily(material) ? [oily] : [])]
}

/** What the air would do to the products of the plan, told before their bottles are opened. */
export function airNotes({ inputs, steps }: Plan): Remark[] {
  const kinds = new Set(steps.flatMap(step => (step.kind === 'coat' && step.product.setsBy ? [step.product.setsBy] : [])))
  const faults = [...kinds].flatMap(setsBy => airFaults(inputs.climate, setsBy))
  return [...new Map(faults.map(fault => [fault.kind, fault])).values()].map(({ says, remedy }): Remark => ({
    weight: 'note',
    says,
    remedy,
  }))
}
