import type { SetsBy } from '../climate'
import type { Source } from '../figures'
import type { FilmBuild } from '../film'

/** What a wait is for. “Wipe off” is what an oil is left to soak for, “rest” what a soft film is left alone for. */
export const waitPurposes = ['square', 'sand', 'next coat', 'level', 'wipe off', 'assemble', 'hand over', 'rest'] as const
/** One of them. */
export type WaitPurpose = (typeof waitPurposes)[number]

const caRoles = ['thin CA', 'medium CA', 'thick CA'] as const
/** A CA glue by its thickness. */
export type CaRole = (typeof caRoles)[number]

/** Products that are put on in coats, named by what they are. */
export const coatRoles = [
  ...caRoles,
  'sanding sealer',
  'friction polish',
  'carnauba wax',
  'melamine lacquer',
  'wood conditioner',
  'shellac wax',
  'wipe-on finish',
  'finishing oil',
  'hard wax',
  'spray lacquer',
] as const
/** What a coat may be of. */
export type CoatRole = (typeof coatRoles)[number]

/** Every kind of product that a plan asks for, named by what it is. */
export const productRoles = [...coatRoles, 'accelerator', 'tube epoxy', 'plastic polish', 'fine polish', 'alcohol'] as const
/** One of them. */
export type ProductRole = (typeof productRoles)[number]

/** Whether this is a CA glue, which accelerator sets and foam lays. */
export const isCa = (role: ProductRole): role is CaRole => (caRoles as readonly ProductRole[]).includes(role)

/** A wait in s: at 21 °C and 50 to 65 % humidity if it is ours, as it stands if it is the label's. */
export interface BaseWait {
  /** s, left to itself. */
  plain: number
  /** s, after accelerator; absent where that does nothing. */
  accelerated?: number
  /** By when the next thing must be done, s; absent where it may be put off. */
  latest?: number
  /** Who says so. */
  source: Source
}

/** The bottle of a product that is in use; what is not known is absent. */
export interface Bottle {
  /** The day it was opened, ISO 8601; absent when not known, null when it is still sealed. */
  opened?: string | null
  /** Days it keeps once opened, as the turner has found. */
  keeps?: number
  /** What is left in it, ml. */
  left?: number
  /** What it holds when full, ml. */
  size?: number
  /** Further bottles, still sealed. */
  sealed?: number
  /** Price of a bottle in minor units of money. */
  price?: number
}

/** A glue, finish or polish that is on the shelf, named by what it is. */
export interface Product {
  /** Its name in plans and logs. */
  id: string
  /** What a turner calls it. */
  name: string
  /** What it is for. */
  role: ProductRole
  /** What a coat of it adds; absent for what builds no film. */
  film?: FilmBuild
  /** How it sets, which says what slows it; warmth where nothing is said. */
  setsBy?: SetsBy
  /** Waits after it, by what they are for: ours. */
  waits?: Partial<Record<WaitPurpose, BaseWait>>
  /** What its own label says, which stands above ours. */
  label?: Partial<Record<WaitPurpose, BaseWait>>
  /** Days it keeps once opened, where that is short. */
  keeps?: { days: number, source: Source }
  /** The product whose figures it has where its own label says none: of the turner’s own ones. */
  alike?: string
  /** What to mind when it is used, as the turner noted it. */
  caution?: string
  /** The bottle in use; absent while nothing was said of it. */
  bottle?: Bottle
  /** Where its row comes from. */
  source: Source
}

/** A product that is put on in coats. */
export type CoatProduct = Product & { role: CoatRole }

/** Whether a product is put on in coats. */
export const isCoatProduct = (product: Product): product is CoatProduct => (coatRoles as readonly ProductRole[]).includes(product.role)

const DAY_MS = 86_400_000

/**
 * The day (YYYY-MM-DD) until which an opened bottle keeps: the turner's own figure, else the usual one; undefined when it is sealed,
 * not dated, or keeps long.
 */
export function keepsUntil({ bottle, keeps }: Product): string | undefined {
  const days = bottle?.keeps ?? keeps?.days
  return bottle?.opened && days !== undefined
    ? new Date(Date.parse(bottle.opened.slice(0, 10)) + days * DAY_MS).toISOString().slice(0, 10)
    : undefined
}
