import type { BarrelId } from '../barrel'
import { weightedSpread, type Ranged, type Source } from '../figures'
import type { Defect, DefectKind, WorkStage } from './defect'

/** Every way to mend. What steps each puts into a plan is the plan's business. */
export const repairWays = [
  'turn it out',
  'thin CA',
  'shavings and CA',
  'clear CA',
  'back in the ladder',
  'true it',
  'flush the end',
  'bury',
  'more coats',
  'level out',
  'level coarser',
  'sand back and cover',
  'end coats',
  'ease the end',
  'recoat',
  'set aside',
  'polish again',
  'strip',
  'touch up',
  'ream',
  'press on',
  'take apart',
  'new blank',
  'new pair',
] as const
export type RepairWay = (typeof repairWays)[number]

/** What must hold for a way to be worth offering. */
export type Fits
  = 'goes with the shavings' | 'wood' | 'resin' | 'CA' | 'film' | 'no film' | 'two barrels' | 'more coats to come' | 'no coats to come'

/** One row of the table of repairs: where a way fits, how often it works, and why it is chosen. */
export interface RepairRow {
  /** For which defects. */
  kinds: readonly DefectKind[]
  /** At which stages of the work. */
  stages: readonly WorkStage[]
  /** How it is mended. */
  way: RepairWay
  /** What to do, in a sentence. */
  says: string
  /** What speaks for it. */
  why: string
  /** How often it works before the turner's own record says more, 0 to 1. */
  chance: number
  /** What must be so besides. */
  fits?: readonly Fits[]
  /** Sizes it fits, mm. */
  least?: number
  /** Up to which size, mm. */
  most?: number
  /** Where the rule is from. */
  source: Source
}

/** What is known where a defect is; lengths in mm. */
export interface RepairPlace {
  /** How far the work is. */
  stage: WorkStage
  /** All resin; or wood and resin in one, which takes the ways of both. */
  material: 'wood' | 'resin' | 'both'
  /** Whether there is CA in the finish. */
  hasCa: boolean
  /** Whether the finish is a film. */
  film: boolean
  /** Whether coats of the plan are still to come. */
  coatsToCome: boolean
  /** Whether the pen has two barrels. */
  twoBarrels: boolean
  /** Wood still to be turned off at that place, in depth. */
  toTurnOff: number
}

/** How a way to mend has gone on this shop's pens so far. */
export interface OwnRecord {
  /** How often this way worked here. */
  worked: number
  /** How often it did not. */
  failed: number
}

/** A way that fits, with its chance of success. */
export interface Repair {
  /** How it is mended. */
  way: RepairWay
  /** What to do, in a sentence. */
  says: string
  /** What speaks for it. */
  why: string
  /** How often it works, 0 to 1. */
  chance: number
  /** The part of the usual chance that is left where it was tried here before; 1 where it was not. */
  again: number
  /** How many of one's own mends the chance rests on. */
  own: number
  /** Where the chance is from. */
  source: Source
}

/** A hole is about half as deep as it is wide [model]. */
const DEPTH = 0.5
/** A written chance counts as much as this many mends of one's own [model]. */
const CHANCE_WEIGHT = 6
/** A way that failed at this very place works about half as often the next time [model]. */
const AGAIN = 0.5

/**
 * The ways to mend a defect that fit its kind, size, stage and material, in the order of the table. The chance is the table's until
 * one's own record says more; a way that failed here before (`tried`) is half as likely each time.
 */
export function repairs(
  rows: readonly RepairRow[],
  defect: Pick<Defect, 'kind' | 'size'>,
  place: RepairPlace,
  record: (way: RepairWay, kind: DefectKind) => OwnRecord = () => ({ worked: 0, failed: 0 }),
  tried: readonly RepairWay[] = [],
): Repair[] {
  const fit = rows.filter(
    row =>
      row.kinds.includes(defect.kind)
      && row.stages.includes(place.stage)
      && defect.size >= (row.least ?? 0)
      && defect.size <= (row.most ?? Infinity)
      && (row.fits ?? []).every(one => holds(one, defect, place)),
  )
  const first = fit.filter((row, index) => fit.findIndex(one => one.way === row.way) === index)
  return first.map(({ way, says, why, chance, source }): Repair => {
    const { worked, failed } = record(way, defect.kind)
    const [good, bad] = [chance * CHANCE_WEIGHT + worked, (1 - chance) * CHANCE_WEIGHT + failed]
    const again = AGAIN ** tried.filter(one => one === way).length
    return { way, says, why, chance: (again * good) / (good + bad), again, own: worked + failed, source }
  })
}

/**
 * Between what the chance of a way lies nine times in ten, 0 to 1, with its median: what is written is worth six mends, one’s own count
 * one each. That of a Beta distribution, on a grid.
 */
export function chanceRange({ chance, again, own }: Pick<Repair, 'chance' | 'again' | 'own'>): Ranged {
  const all = CHANCE_WEIGHT + own
  const good = (chance / again) * all
  const bad = all - good
  const places = Array.from({ length: BETA_PLACES }, (_, index) => (index + 0.5) / BETA_PLACES)
  const logs = places.map(p => (good - 1) * log(p) + (bad - 1) * log(1 - p))
  const most = Math.max(...logs)
  const { low, likely, high } = weightedSpread(places.map((value, index) => ({ value, weight: exp((logs[index] ?? 0) - most) })))
  return { low: again * low, likely: again * likely, high: again * high }
}
const BETA_PLACES = 120
const { exp, log } = Math

function holds(fits: Fits, { kind, size }: Pick<Defect, 'kind' | 'size'>, place: RepairPlace): boolean {
  switch (fits) {
    case 'goes with the shavings':
      return kind !== 'crack' && size * DEPTH < place.toTurnOff
    case 'wood':
      return place.material !== 'resin'
    case 'resin':
      return place.material !== 'wood'
    case 'CA':
      return place.hasCa
    case 'film':
      return place.film
    case 'no film':
      return !place.film
    case 'two barrels':
      return place.twoBarrels
    case 'more coats to come':
      return place.coatsToCome
    case 'no coats to come':
      return !place.coatsToCome
  }
}

/** What a repair is of: kept in the steps it puts into a plan. */
export interface RepairOf {
  /** The id of the defect. */
  defect: string
  /** What it is. */
  kind: DefectKind
  /** How it is mended. */
  way: RepairWay
  /** On which barrel. */
  barrel: BarrelId
  /** Distance from the tip end of the barrel, mm. */
  fromTip: number
  /** How large it is, mm. */
  size: number
}
