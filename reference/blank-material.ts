import type { Material, MaterialClass } from '../core/shelf'
import { materials } from './materials'

/** A blank of the shelf by what it is made of: one of the known materials, one of the turner's own, or not known. */
export interface BlankKind {
  /** Its id. */
  id: string
  /** The id of its material; null: of none that is known. */
  material: string | null
  /** The name of its wood; null: not said, or no wood. */
  species: string | null
  /** What such a blank behaves like. */
  classes: readonly MaterialClass[]
  /** Its side hardness, N, as the turner has it from somewhere. */
  hardness?: number | null | undefined
  /** Its density, kg/m³. */
  density?: number | null | undefined
  /** What to mind with it. */
  caution?: string | null | undefined
  /** Where that stands. */
  source?: string | null | undefined
}

const COLOURS: Partial<Record<MaterialClass, string>> = {
  resin: '#5b7f8c',
  hybrid: '#5f8a57',
  bleeding: '#9a3b2a',
  oily: '#7d4a2c',
  soft: '#c4a786',
}

/**
 * What a plan takes a blank for. A known material keeps its hardness; the blank's own classes stand above the material's where some are
 * given.
 */
export function materialOf({ id, material, species, classes, ...own }: BlankKind): Material {
  const known = materials.find(row => row.id === material)
  if (known) return { ...known, ...(classes.length ? { classes } : {}), ...ownOf(own) }
  const unknown = materialWith('unknown')
  const colour = classes.map(one => COLOURS[one]).find(Boolean) ?? unknown.colour
  return {
    ...unknown,
    id: `blank-${id}`,
    name: species || (classes.includes('resin') ? 'Resin, not known' : unknown.name),
    classes,
    colour,
    ...ownOf(own),
  }
}

/** What a turner knows of a blank stands above what a table has. */
function ownOf({ hardness, density, caution, source }: Pick<BlankKind, 'hardness' | 'density' | 'caution' | 'source'>): Partial<Material> {
  const from = { mark: 'pub' as const, note: source ? `as you entered it: ${source}` : 'as you entered it' }
  return {
    ...(hardness ? { hardness: { value: hardness, source: from } } : {}),
    ...(density ? { density: { value: density, source: from } } : {}),
    ...(caution ? { caution } : {}),
  }
}

/** A known material by its id. @throws RangeError when there is none */
export function materialWith(id: string): Material {
  const found = materials.find(row => row.id === id)
  if (!found) throw new RangeError(`No material is called ${id}.`)
  return found
}
