import { capital } from '#core/format'
import type { StepKind } from '#core/plan'

const LABELS: Partial<Record<StepKind, string>> = {
  parts: 'Checking the parts', cut: 'Cutting blanks', drill: 'Drilling', tube: 'Gluing tubes', square: 'Squaring the ends',
  turn: 'Turning', sand: 'Sanding bare wood', clean: 'Cleaning', coat: 'Coats', level: 'Levelling', smooth: 'Smoothing',
  polish: 'Polishing', ends: 'Ends', assemble: 'Pressing together', check: 'Looking it over', buff: 'Buffing',
}

/** A kind of step as a label. */
export const workLabel = (kind: string): string => LABELS[kind as StepKind] ?? capital(kind)
