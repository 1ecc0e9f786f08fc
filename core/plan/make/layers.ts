import { familyOf, type Layer } from '../../method'
import { bleeds, isOily, isResin, isSoft, openPored, productFor, type CoatRole } from '../../shelf'
import type { PlanInputs } from '../model'

/** What the material changed in a method's coats, and why. */
export interface Adjustment {
  /** What was changed. */
  says: string
  /** Why. */
  why: string
}

/** A method's layers as they can be put on here. */
export interface AdjustedLayers {
  /** In their order. */
  layers: Layer[]
  /** What was added for the material. */
  adjustments: Adjustment[]
  /** Products of the method that are not on the shelf: their coats are left out. */
  missing: CoatRole[]
}

/** Thin CA coats that soak in before all others. */
const seal = (count: number): Layer => ({
  role: 'thin CA',
  count,
  soak: true,
  accelerate: false,
  applicator: 'foam',
  speed: 500,
  after: null,
})

/**
 * The method's layers as this material wants them and the shelf has them. Thin CA goes on first where pores drink, oil lifts or colour
 * bleeds; on resin nothing soaks in.
 */
export function layersFor(inputs: PlanInputs): AdjustedLayers {
  const { method, material, wishes } = inputs
  const there = method.layers.filter(layer => productFor(inputs, layer.role))
  const missing = [...new Set(method.layers.filter(layer => !productFor(inputs, layer.role)).map(layer => layer.role))]
  const asTheyStand = (layers: Layer[]): AdjustedLayers => ({ layers, adjustments: [], missing })
  if (isResin(material)) return asTheyStand(there.map(layer => (layer.soak ? { ...layer, soak: false, accelerate: true } : layer)))

  const [first] = method.layers
  const sealed = first?.role === 'thin CA' && first.soak
  const reasons = reasonsToSeal(inputs)
  const coats = Math.max(0, ...reasons.map(reason => reason.coats))
  if (sealed || wishes.asItStands || !productFor(inputs, 'thin CA') || !there.length || !coats) return asTheyStand(there)
  const why = reasons.filter(reason => reason.coats === coats).map(reason => reason.why).join('; ')
  return { layers: [seal(coats), ...there], adjustments: [{ says: SAYS[coats === 2 ? 2 : 1], why }], missing }
}

const SAYS = { 1: 'A thin CA coat seals it first', 2: 'Two thin coats without accelerator go on first' }

/** What speaks for thin CA under everything else, and for how many coats of it [trade]. */
function reasonsToSeal({ method, material }: PlanInputs): { coats: 1 | 2, why: string }[] {
  const { name } = material
  const { sealsFirst } = familyOf(method.family)
  const fills = method.family === 'CA film'
  const all: [boolean, 1 | 2, string][] = [
    [fills && openPored(material), 2, `${name}, open pores: they drink, and fill only with what is thin and slow`],
    [fills && isSoft(material), 2, `${name}, soft: it drinks unevenly until it is full`],
    [sealsFirst.includes('bleeding') && bleeds(material), 1, `${name}, a wood that bleeds: a wet coat straight on it carries its colour`],
    [sealsFirst.includes('oily') && isOily(material), 1, `${name}, oily wood: what stands on bare oil lifts`],
  ]
  return all.flatMap(([holds, coats, why]) => (holds ? [{ coats, why }] : []))
}
