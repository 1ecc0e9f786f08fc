import type { OtherwiseIn } from '#core/bench'

/** How a part was put in otherwise than its fitting has it, in words: `cut to 18 mm`. */
export function otherwiseWords({ how, to, what }: OtherwiseIn, length: (mm: number) => string): string {
  if (how === 'glued') return 'glued in'
  if (how === 'cut') return to === null ? 'cut to length' : `cut to ${length(to)}`
  return what ? `another kind: ${what}` : 'another kind'
}
