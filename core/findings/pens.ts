/** By what pens can be told apart. */
export const traits = [
  'method', 'wood', 'class', 'fitting', 'first grit', 'last grit', 'applicator', 'product', 'coats', 'air', 'tool', 'shape',
] as const
/** One of them. */
export type Trait = (typeof traits)[number]

/** One pen as questions see it. */
export interface ToldPen {
  /** Its id. */
  id: string
  /** How it was made; absent: not known, or it has none. */
  traits: Readonly<Partial<Record<Trait, string>>>
  /** What went wrong on it, each kind once. */
  defects: readonly string[]
  /** What was measured on it, by name: minutes of a kind of step, µm of film. */
  figures: Readonly<Record<string, number>>
}
