import type { ListedPen } from '#contract'
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

/** What the log holds of a pen’s work: `12 of 20 steps, 3 of 6 coats`; of one that is not coated its steps alone. */
export function doneWords({ stepsDone, stepsPlanned, coats }: Pick<ListedPen['summary'], 'stepsDone' | 'stepsPlanned' | 'coats'>): string {
  const steps = `${stepsDone} of ${stepsPlanned} steps`
  return coats.planned ? `${steps}, ${coats.on} of ${coats.planned} coats` : steps
}
