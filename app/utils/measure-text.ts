import { trimmed } from '#core/format'
import { parseLength, parseQuantity, UnitError, type UnitWords } from '#core/units'

/** What a field can be typed in: a length (mm inside) or a mass (g inside). */
export type FieldQuantity = 'length' | 'mass'

/** What somebody typed: a value, nothing, or what was not understood. */
export type Typed = { value: number | null } | { fault: string }

/** Reads a field; an empty one is nothing. */
export function readTyped(text: string, quantity: FieldQuantity, units: UnitWords): Typed {
  if (!text.trim()) return { value: null }
  try {
    return { value: quantity === 'length' ? parseLength(text, units.bare) : parseQuantity('mass', text, units.bareMass) }
  } catch (error) {
    if (error instanceof UnitError) return { fault: error.message }
    throw error
  }
}

/** A value as it stands in a field, in the turner's units; metric lengths without needless noughts. */
export function shownIn(value: number | null, quantity: FieldQuantity, units: UnitWords, digits = 3): string {
  if (value === null || !Number.isFinite(value)) return ''
  if (quantity === 'mass') return units.mass(value)
  return units.bare === 'mm' ? `${trimmed(value, digits)} mm` : units.length(value)
}
