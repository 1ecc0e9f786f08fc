import { AGREE, CLEAR, type ClassStanding } from '#core/classroom'
import { workLabel } from './work-label'

/** What a gate is about: `before sanding bare wood`. */
export function gateWords(gate: string): string {
  if (gate === AGREE) return 'to tools and cautions'
  return gate === CLEAR ? 'cleared up' : `before ${workLabel(gate).toLowerCase()}`
}

/** How a pen of a class stands, in a few words; empty where nothing holds it. */
export function heldWords({ held }: ClassStanding): string {
  if (!held) return ''
  if (held.what === 'agree') return 'has to say yes to tools and cautions'
  if (held.what === 'clear') return 'has to clear up'
  return held.since === null ? `stands before a look, ${gateWords(held.gate)}` : `waits for you, ${gateWords(held.gate)}`
}
