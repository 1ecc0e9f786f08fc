import { bleeds, hasJoint, hasResin, isOily, isResin, productFor, type Material, type Product } from '../../shelf'
import type { CleanHow, PlanInputs } from '../model'
import { layersFor } from './layers'

/** How the blank is cleaned before the first coat. */
export function cleaning(inputs: PlanInputs): CleanHow {
  const { material } = inputs
  if (isResin(material)) return 'rinse'
  return isOily(material) && mayWipeWet(material) && productFor(inputs, 'alcohol') ? 'alcohol' : 'blow'
}

/** Whether it may be wiped with alcohol: never a bleeding wood, and nothing across a joint, oil or not [trade]. */
export const mayWipeWet = (material: Material): boolean => !bleeds(material) && !hasJoint(material)

/**
 * Products of the method whose solvent could craze the resin of this blank: tried on an offcut first, unless the method is wanted as it
 * stands.
 */
export function toTry(inputs: PlanInputs): Product[] {
  const { material, wishes } = inputs
  if (wishes.asItStands || !hasResin(material)) return []
  const products = layersFor(inputs)
    .layers.flatMap(layer => productFor(inputs, layer.role) ?? [])
    .filter(product => product.setsBy === 'solvent' || product.setsBy === 'oil')
  return [...new Set(products)]
}
