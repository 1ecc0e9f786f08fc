import { boardOf, record, type BenchEvent, type Entry, type PenRecord } from '../../core/bench'
import type { AirReading } from '../../core/climate'
import type { Method } from '../../core/method'
import { makePlan, type Plan, type PlanInputs } from '../../core/plan'
import type { Shelf } from '../../core/shelf'
import { abrasives, fittings, materials, methods, products, usualAbrasives } from '../../reference'

export const usualShelf: Shelf = { abrasives: abrasives.filter(row => usualAbrasives.includes(row.id)), products }

/** Inputs of a plan by the ids of the reference data; what is not said is as most turners have it. */
export function inputs(material = 'apple', fitting = 'click-8', change: Partial<PlanInputs> = {}): PlanInputs {
  return {
    fitting: fittings.find(row => row.id === fitting)!,
    material: materials.find(row => row.id === material)!,
    method: methods[0]!,
    shelf: usualShelf,
    climate: { celsius: 21, humidity: 55 },
    wishes: { tool: 'skew', film: 'gloss' },
    ...change,
  }
}

/** A method of the reference data by its id. */
export const methodOf = (id: string): Method => methods.find(row => row.id === id)!

export const planFor = (material?: string, fitting?: string, change?: Partial<PlanInputs>): Plan =>
  makePlan(inputs(material, fitting, change))

/** A shelf without the things of these ids. */
export const without = (...ids: string[]): Shelf => ({
  abrasives: usualShelf.abrasives.filter(row => !ids.includes(row.id)),
  products: usualShelf.products.filter(row => !ids.includes(row.id)),
})

const START = Date.parse('2026-11-23T18:00:00.000Z')
export const PEN = '00000000-0000-4000-8000-000000000001'

/** An id made from a number, so that tests can name events. */
export const idOf = (number: number): string => `00000000-0000-4000-9000-${String(number).padStart(12, '0')}`

/** An event so many seconds after 18:00. */
export function eventAt(seconds: number, number: number, entry: Entry, device = 'bench'): BenchEvent {
  return { ...entry, id: idOf(number), pen: PEN, barrels: ['only'], device, at: new Date(START + seconds * 1000).toISOString() }
}
export const momentAt = (seconds: number): string => new Date(START + seconds * 1000).toISOString()

/** The record of a pen from its plan and its log. */
export function recordOf(
  plan: Plan,
  events: readonly BenchEvent[],
  air: readonly AirReading[] = [],
  elsewhere: readonly string[] = [],
): PenRecord {
  const { state, traced } = boardOf(plan, events, air)
  return record(state, traced, air, elsewhere)
}
