import type { Material, MaterialClass } from '../core/plan'
import { materials } from './materials'

/** A blank of the shelf by what it is made of: one of the known materials, one of the turner's own, or not known. */
export interface BlankKind {
  id: string
  material: string | null
  species: string | null
  classes: readonly MaterialClass[]
}

const COLOURS: Partial<Record<MaterialClass, string>> = { resin: '#5b7f8c', hybrid: '#5f8a57', bleeding: '#9a3b2a', oily: '#7d4a2c', soft: '#c4a786' }

/** What a plan takes a blank for. A known material keeps its hardness; the blank's own classes stand above the material's where some are given. */
export function materialOf({ id, material, species, classes }: BlankKind): Material {
  const known = materials.find(row => row.id === material)
  if (known) return classes.length ? { ...known, classes } : known
  const unknown = materials.find(row => row.id === 'unknown')!
  const colour = classes.map(one => COLOURS[one]).find(Boolean) ?? unknown.colour
  return { ...unknown, id: `blank-${id}`, name: species || (classes.includes('resin') ? 'Resin, not known' : unknown.name), classes, colour }
}
