/** Something that work wants, and what of it is there, both in its own measure: sets, sticks, sheets, ml. */
export interface Wanted {
  /** Which, as its price is named: `fitting:click-8`, `bottle:thin-ca`. */
  what: string
  /** What it is called. */
  name: string
  /** How much work takes. */
  needed: number
  /** How much is there; null where nobody counted. */
  there: number | null
  /** What one piece of it holds, in its measure: 1 of all but bottles; null where the size of a bottle is not known. */
  piece: number | null
}

/** Where something is bought, and in what packs. */
export interface Supply {
  /** Where; empty where nobody said. */
  source: string
  /** So many pieces are in a pack; 1 where nobody said. */
  pack: number
}

/** Something that has to be bought. */
export interface ToBuy extends Wanted {
  /** How much is missing, in its measure; all that is needed where nobody counted. */
  short: number
  /** The least that is needed, pieces. */
  least: number
  /** The same in whole packs, pieces. */
  pieces: number
  /** What that costs, in minor units; null where the price is not known. */
  cost: number | null
}

/** What is bought at one place. */
export interface BuyAt {
  /** Where; empty where nobody said. */
  source: string
  /** What, by its name. */
  rows: ToBuy[]
  /** What that costs as far as prices are known, in minor units. */
  cost: number
}

/** Less than this is not missing: a drop, ml. */
const ENOUGH = 0.01

/**
 * What must be bought so that work does not stop, by where it is bought. What nobody counted is asked for in full: it may be there.
 * Several wants of one thing are added up; what lasts is left out.
 */
export function whatToBuy(
  wanted: readonly Wanted[], supplyOf: (what: string) => Supply | undefined, priceOf: (what: string) => number | undefined,
): BuyAt[] {
  const all = new Map<string, Wanted>()
  for (const one of wanted) {
    const known = all.get(one.what)
    all.set(one.what, known ? { ...known, needed: known.needed + one.needed } : one)
  }
  const places = new Map<string, ToBuy[]>()
  for (const one of all.values()) {
    const short = one.needed - (one.there ?? 0)
    if (short <= ENOUGH) continue
    const { source = '', pack = 1 } = supplyOf(one.what) ?? {}
    const least = Math.ceil((short - ENOUGH) / (one.piece ?? one.needed))
    const pieces = Math.ceil(least / Math.max(1, pack)) * Math.max(1, pack)
    const price = priceOf(one.what)
    const row = { ...one, short, least, pieces, cost: price === undefined ? null : pieces * price }
    places.set(source, [...(places.get(source) ?? []), row])
  }
  const byName = (a: { name: string }, b: { name: string }) => a.name.localeCompare(b.name, 'en', { numeric: true })
  return [...places]
    // What nobody said a place for comes last.
    .sort(([a], [b]) => Number(!a) - Number(!b) || a.localeCompare(b, 'en'))
    .map(([source, rows]) => ({ source, rows: rows.sort(byName), cost: rows.reduce((sum, row) => sum + (row.cost ?? 0), 0) }))
}
