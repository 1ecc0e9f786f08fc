/** Scratches of one origin that are still in the surface. */
export interface Scratch {
  /** The abrasive or the tool that made them. */
  origin: string
  /** Depth below the present surface, µm. */
  depth: number
  /** Rings around the barrel, or strokes along it after a with-grain pass; of a tool they are rings. */
  way?: 'around' | 'along'
}

/** A surface under work: the scratches still in it, and the depth taken off since the tool, both in µm. */
export interface Surface {
  /** Families of scratches, each from one grit. */
  scratches: readonly Scratch[]
  /** Material that went away, µm. */
  removed: number
}

/** A surface as a tool, or a film, leaves it: one family of scratches of the given depth (µm). */
export function freshSurface(origin: string, depth: number): Surface {
  return { scratches: depth > 0 ? [{ origin, depth }] : [], removed: 0 }
}

/** Depth of the deepest scratch still there, in µm. */
export function deepest(surface: Surface): number {
  return surface.scratches.reduce((most, scratch) => Math.max(most, scratch.depth), 0)
}
