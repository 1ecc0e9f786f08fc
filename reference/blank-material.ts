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
export function materialOf({ id, material, species, classes }: BlankKind): Material {
  const known = materials.find(row => row.id === material)
  if (known) return classes.length ? { ...known, classes } : known
  const unknown = materialWith('unknown')
  const colour = classes.map(one => COLOURS[one]).find(Boolean) ?? unknown.colour
  return {
    ...unknown,
    id: `blank-${id}`,
    name: species || (classes.includes('resin') ? 'Resin, not known' : unknown.name),
    classes,
    colour,
  }
}

/** A known material by its id. @throws RangeError when there is none */
export function materialWith(id: string): Material {
  const found = materials.find(row => row.id === id)
  if (!found) throw new RangeError(`No material is called ${id}.`)
  return found
}
