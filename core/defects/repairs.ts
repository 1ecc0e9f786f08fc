import type { BarrelId } from '../barrel'
import type { Defect, DefectKind } from './defect'

/** A way to mend: what turning shows, before the ladder; a sand-through, while the film is built. */
export type RepairWay = 'turn it out' | 'thin CA' | 'shavings and CA' | 'clear CA' | 'new blank' | 'more coats'

export const repairWays: readonly RepairWay[] = ['turn it out', 'thin CA', 'shavings and CA', 'clear CA', 'new blank', 'more coats']

/** What is known where the repair is to be made; lengths in mm. */
export interface RepairPlace {
  resin: boolean
  /** CA of any kind is on the shelf. */
  hasCa: boolean
  /** Wood still to be turned off at that place, in depth. */
  toTurnOff: number
  /** Wall over the tube when finished, at that place. */
  wall: number
  /** Coats that bring back the film wanted there, and whether any of the planned ones are still to come; absent where nothing on the shelf builds a film. */
  cover?: { coats: number, product: string, early: boolean }
}

export interface Repair {
  way: RepairWay
  says: string
  why: string
  /** The first of them, which fits best. */
  recommended: boolean
}

/** Defects that are mended before the ladder, while that costs nothing but a refill. */
export const mendedFirst: readonly DefectKind[] = ['chip', 'crack', 'void']

/** A hole is about half as deep as it is wide [model]; thin CA alone fills up to this, and shavings up to that, mm [model]. */
const DEPTH = 0.5
const THIN_FILLS = 0.6
const SHAVINGS_FILL = 3

/** The ways to mend a chip, crack or void before the ladder, and a sand-through at its levelling, the best first. Empty for other defects. */
export function repairs(defect: Pick<Defect, 'kind' | 'size'>, place: RepairPlace): Repair[] {
  if (defect.kind === 'sand-through') return covers(place)
  if (!mendedFirst.includes(defect.kind)) return []
  const depth = defect.kind === 'crack' ? Infinity : defect.size * DEPTH
  const throughWall = defect.kind !== 'crack' && depth >= place.wall + Math.max(0, place.toTurnOff) && defect.size > SHAVINGS_FILL
  const ways: Omit<Repair, 'recommended'>[] = []
  if (depth < place.toTurnOff) ways.push({ way: 'turn it out', says: 'Turn on: it goes with the shavings', why: `About ${depth.toFixed(1)} mm deep, and ${place.toTurnOff.toFixed(1)} mm are still to come off there` })
  if (place.hasCa && !throughWall) ways.push(...fills(defect, place))
  const large = throughWall || defect.size > SHAVINGS_FILL
  const blank = { way: 'new blank' as const, says: 'Cut this barrel again', why: large ? 'Too large for a fill that would hold and not show' : 'When no fill would please you' }
  return (large ? [blank, ...ways] : [...ways, blank]).map((one, index) => ({ ...one, recommended: index === 0 }))
}

function fills(defect: Pick<Defect, 'kind' | 'size'>, { resin }: RepairPlace): Omit<Repair, 'recommended'>[] {
  if (resin) return [{ way: 'clear CA', says: 'Drops of clear CA, no accelerator', why: 'It dries as clear as the resin; accelerator would cloud it' }]
  const thin = { way: 'thin CA' as const, says: 'Drops of thin CA', why: defect.kind === 'crack' ? 'It runs into a hairline by itself' : 'Small enough for CA alone' }
  if (defect.kind === 'crack') return [thin]
  const shavings = { way: 'shavings and CA' as const, says: 'Its own fine shavings, packed in, and CA', why: 'The wood’s own colour; packed a little over the surface' }
  return defect.size <= THIN_FILLS ? [thin, shavings] : [shavings]
}

function covers({ cover }: RepairPlace): Repair[] {
  if (!cover) return []
  const coats = `${cover.coats} more ${cover.coats === 1 ? 'coat' : 'coats'} of ${cover.product}`
  const why = cover.early ? 'Early it costs only these coats: what is still planned goes over them' : 'Late it can take in dust and show: blow it clean, and cover it thin before anything else touches it'
  return [{ way: 'more coats', says: `${coats}, then level again`, why, recommended: true }]
}

/** What a repair is of: kept in the steps it puts into a plan. */
export interface RepairOf {
  defect: string
  kind: DefectKind
  way: RepairWay
  barrel: BarrelId
  fromTip: number
  size: number
}
