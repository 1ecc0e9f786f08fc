import { abrasiveName } from '../abrasives'
import { given, worked, type Figure } from '../figures'
import { isGrit, type Plan, type PlanTrace } from '../plan'
import { abrasivePrice, blankPrice, materialPrice, setPrice, type Prices } from './prices'

/** What a pen is made of, to be paid. */
export const costParts = ['set', 'blank', 'finish', 'abrasives', 'packing', 'hands'] as const
/** One of them. */
export type CostPart = (typeof costParts)[number]

/** What a pen costs, in minor units. */
export interface PenCost {
  /** Each part, rounded to the minor unit; null where a price of it is not known. */
  parts: Record<CostPart, Figure | null>
  /** The sum of the parts that are known, so that they add up as on paper. */
  total: Figure
  /** The parts of which something is not known. */
  missing: CostPart[]
}

/** What a pen is costed by. */
export interface Costed {
  /** Its plan. */
  plan: Plan
  /** The same traced, with what was left out where it was worked. */
  traced: PlanTrace
  /** Hands-on time, s: as planned, or as it was. */
  handsOn: number
  /** Whether that was measured. */
  isDone: boolean
  /** The blank of one's own that it is of, and how many pens it is for; absent: one bought as a pen blank. */
  blank?: { id: string, pens: number }
}

/** A pad is good for about so many pens [model: handbook 10 says “many”]. */
const PENS_OF_A_PAD = 20

/**
 * What a pen costs: its set, its blank or its share of one, what its coats take from the bottles, what its grits take of sheets and pads,
 * its packing, and hands at their rate.
 */
export function penCost({ plan, traced, handsOn, isDone, blank }: Costed, prices: Prices): PenCost {
  const { fitting, material } = plan.inputs
  const priced = (label: string, name: string): Figure | undefined => {
    const price = prices[name]
    return price === undefined ? undefined : given(label, price, 'money')
  }
  const set = priced(`${fitting.name}, the set`, setPrice(fitting.id))
  const parts: Record<CostPart, Figure | null> = {
    set: set ?? null,
    blank: (blank ? sharedBlank(prices, blank) : priced(`${material.name}, a pen blank`, materialPrice(material.id))) ?? null,
    finish: finishCost(traced),
    abrasives: abrasivesCost(traced, prices),
    packing: priced('packing', 'packing') ?? null,
    hands: handsCost(handsOn, isDone, prices),
  }
  const known = costParts.flatMap(part => parts[part] ?? [])
  return {
    parts,
    total: worked('cost', known.reduce((sum, one) => sum + one.value, 0), 'money', 'sum of what is known', known),
    missing: costParts.filter(part => parts[part] === null),
  }
}

/** A figure of money rounded to the minor unit. */
const inMinor = (label: string, value: number, note: string, from: Figure[]): Figure =>
  worked(label, Math.round(value), 'money', note, from)

function sharedBlank(prices: Prices, { id, pens }: { id: string, pens: number }): Figure | undefined {
  const price = prices[blankPrice(id)]
  if (price === undefined || !(pens >= 1)) return undefined
  const from = [given('price of the blank', price, 'money'), given('pens it is for', pens, '')]
  return inMinor('its share of the blank', price / pens, 'price / pens', from)
}

function finishCost({ needs }: PlanTrace): Figure | null {
  const costs = needs.flatMap(need => need.cost ?? [])
  if (costs.length < needs.length) return null
  return inMinor('what coats take', costs.reduce((sum, one) => sum + one.value, 0), 'sum over the bottles', costs)
}

/** By how much of their life grits take; a pad is rinsed and lasts for many pens. */
function abrasivesCost({ steps }: PlanTrace, prices: Prices): Figure | null {
  const uses = new Map<string, { name: string, pieces: number }>()
  for (const { step, grit } of steps) {
    if (!isGrit(step) || !grit) continue
    const { id } = step.abrasive
    const known = uses.get(id) ?? { name: abrasiveName(step.abrasive), pieces: 0 }
    uses.set(id, { ...known, pieces: known.pieces + (grit.uses > 0 ? grit.uses : 1 / PENS_OF_A_PAD) })
  }
  const costs = [...uses].map(([id, { name, pieces }]): Figure | null => {
    const price = prices[abrasivePrice(id)]
    if (price === undefined) return null
    const from = [given('of a piece', pieces, '×', { mark: 'model' }), given('price of a piece', price, 'money')]
    return worked(name, pieces * price, 'money', 'part of its life × price', from)
  })
  const told = costs.flatMap(one => one ?? [])
  if (told.length < costs.length) return null
  return inMinor('what grits take', told.reduce((sum, one) => sum + one.value, 0), 'sum over the abrasives', told)
}

function handsCost(seconds: number, isDone: boolean, prices: Prices): Figure | null {
  const { hour } = prices
  if (hour === undefined) return null
  const time = isDone ? given('hands on it, as it was', seconds, 's') : given('hands on it, as planned', seconds, 's', { mark: 'model' })
  return inMinor('hands', (seconds / 3600) * hour, 'time × an hour', [time, given('an hour', hour, 'money')])
}
