import { productFor, type Product } from '../../shelf'
import type { PlanInputs } from '../model'

/** What the tubes are glued with: as wished where the shelf has it, else epoxy, else CA with accelerator if there is some. */
export function tubeGlueFor(inputs: PlanInputs): { product: Product | null, accelerated: boolean } {
  const epoxy = productFor(inputs, 'tube epoxy')
  const ca = productFor(inputs, 'medium CA') ?? productFor(inputs, 'thin CA')
  const quick = Boolean(productFor(inputs, 'accelerator'))
  const wish = inputs.wishes.glue ?? 'by the shelf'
  if (ca && (wish === 'CA overnight' || (wish === 'CA with accelerator' && quick)))
    return { product: ca, accelerated: wish === 'CA with accelerator' }
  return { product: epoxy ?? ca ?? null, accelerated: !epoxy && quick }
}
