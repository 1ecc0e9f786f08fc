import type { PlanInputs, ProductRole } from '../inputs'
import type { FinishFamily, Layer } from '../method'
import { bleeds, isOily, isResin, isSoft, openPored } from '../traits'
import { productFor } from './products'

/** What the material changed in a method's coats, and why. */
export interface Adjustment {
  says: string
  why: string
}

export interface AdjustedLayers {
  layers: Layer[]
  adjustments: Adjustment[]
  /** Products of the method that are not on the shelf: their coats are left out. */
  missing: ProductRole[]
}

/** Families whose coats dissolve a bleeding wood's colour, or do not hold on an oily one, unless thin CA lies between [trade]. */
const SEALED_FIRST: readonly FinishFamily[] = ['CA film', 'friction polish', 'sealer and polish', 'sealer and lacquer', 'wipe-on', 'spray lacquer']
const STANDS_ON: readonly FinishFamily[] = ['CA film', 'sealer and lacquer', 'wipe-on', 'spray lacquer']

const seal = (count: number): Layer => ({ role: 'thin CA', count, soak: true, accelerate: false, applicator: 'foam', speed: 500, after: null })

/** The method's layers as this material wants them and the shelf has them. Thin CA goes on first where pores drink, oil lifts or colour bleeds; on resin nothing soaks in. */
export function layersFor(inputs: PlanInputs): AdjustedLayers {
  const { method, material, wishes } = inputs
  const there = method.layers.filter(layer => productFor(inputs, layer.role))
  const missing = [...new Set(method.layers.filter(layer => !productFor(inputs, layer.role)).map(layer => layer.role))]
  if (isResin(material)) return { layers: there.map(layer => layer.soak ? { ...layer, soak: false, accelerate: true } : layer), adjustments: [], missing }

  const sealed = method.layers[0]?.role === 'thin CA' && method.layers[0].soak
  if (sealed || wishes.asItStands || !productFor(inputs, 'thin CA') || !there.length) return { layers: there, adjustments: [], missing }
  const name = material.name
  const reasons: (Adjustment & { coats: number })[] = []
  if (openPored(material) && method.family === 'CA film') reasons.push({ coats: 2, says: 'Two thin coats without accelerator go on first', why: `${name} has open pores: they drink, and fill only with what is thin and slow` })
  if (isSoft(material) && method.family === 'CA film') reasons.push({ coats: 2, says: 'Two thin coats without accelerator go on first', why: `${name} is soft and drinks unevenly until it is full` })
  if (bleeds(material) && SEALED_FIRST.includes(method.family)) reasons.push({ coats: 1, says: 'A thin CA coat seals it first', why: `${name} bleeds: a wet coat straight on it would carry its colour` })
  if (isOily(material) && STANDS_ON.includes(method.family)) reasons.push({ coats: 1, says: 'A thin CA coat seals it first', why: `${name} is oily: what stands on bare oil lifts` })
  if (!reasons.length) return { layers: there, adjustments: [], missing }
  const coats = Math.max(...reasons.map(reason => reason.coats))
  const most = reasons.filter(reason => reason.coats === coats)
  return { layers: [seal(coats), ...there], adjustments: [{ says: most[0]!.says, why: most.map(reason => reason.why).join('; ') }], missing }
}
