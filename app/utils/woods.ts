import type { Material } from '#core/shelf'
import { materialOf, materials, type BlankKind } from '#reference'

/** What a pen can be of, to choose from. */
export interface WoodChoice {
  /** What it is called. */
  label: string
  /** What stands for it. */
  value: string
}
const OWN = 'blank '

/** The known materials, and those of the turner's own that lie on the shelf, each once: by their names. */
export function woodChoices(blanks: readonly BlankKind[]): WoodChoice[] {
  const own = blanks.filter(one => one.material === null).map(one => ({ label: materialOf(one).name, value: OWN + one.id }))
  const known = materials.map(({ id, name }) => ({ label: name, value: id }))
  const first = new Map([...known, ...own].reverse().map(one => [one.label.toLowerCase(), one]))
  return [...first.values()].sort((a, b) => a.label.localeCompare(b.label, 'en'))
}

/** What was chosen; undefined for what lies on the shelf no more. */
export function woodOf(value: string, blanks: readonly BlankKind[]): Material | undefined {
  if (!value.startsWith(OWN)) return materials.find(row => row.id === value)
  const blank = blanks.find(one => one.id === value.slice(OWN.length))
  return blank && materialOf(blank)
}
