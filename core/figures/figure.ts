/** Where a number comes from, as the turner would ask it. */
export type Origin = 'default' | 'yours' | 'measured' | 'published' | 'worked out'

/** How far a default may be trusted: published, common practice, recalled from memory, or a starting value of our own model. */
export type Mark = 'pub' | 'trade' | 'mem' | 'model'

export type Unit
  = 'mm' | 'mm²' | 'mm³' | 'µm' | 's' | '°C' | '%' | 'g' | 'kg/m³' | 'm/min' | 'rev/min' | 'N' | 'coats' | 'ml' | 'money' | '×' | ''

/** Where a row of reference data comes from. `note` names the publication or says what is invented. */
export interface Source {
  /** How sure the figure is. */
  mark: Mark
  /** What more there is to say of it. */
  note?: string
}

/** A number that explains itself: what it is, in which unit, where it comes from, and what went into it. */
export interface Figure {
  /** What it is, in a few words. */
  label: string
  /** The number, in its unit. */
  value: number
  /** Its unit. */
  unit: Unit
  /** Whether it was given, measured or worked out. */
  origin: Origin
  /** How sure it is, where somebody said. */
  mark?: Mark
  /** One line on how it was worked out, or on its source. */
  note?: string
  /** What it was worked out from. */
  from?: Figure[]
}

/** A figure taken as it stands. `source` marks a default; without it the value counts as the turner's own. */
export function given(label: string, value: number, unit: Unit, source?: Source): Figure {
  if (!source) return { label, value, unit, origin: 'yours' }
  const origin = source.mark === 'pub' ? 'published' : 'default'
  return { label, value, unit, origin, mark: source.mark, ...(source.note ? { note: source.note } : {}) }
}

/** A figure computed from others; `note` says how in one line. */
export function worked(label: string, value: number, unit: Unit, note: string, from: Figure[]): Figure {
  return { label, value, unit, origin: 'worked out', note, from }
}
