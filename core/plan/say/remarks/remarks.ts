import { unitWords, type UnitWords } from '../../../units'
import type { Plan } from '../../model'
import type { PlanTrace } from '../../trace'
import { airNotes, materialNotes, waitNotes } from './material'
import type { Remark } from './remark'
import { bottleGaps, shelfGaps } from './shelf'
import { sizeGaps } from './size'
import { surfaceGaps } from './surface'

/**
 * What is missing, what falls short and what the material asks for, gaps first. `today` (ISO 8601) tells which bottles are past their
 * time; without it none are.
 */
export function remarks(plan: Plan, traced: PlanTrace, units: UnitWords = unitWords('metric'), today?: string): Remark[] {
  return [
    ...shelfGaps(plan),
    ...bottleGaps(traced, today),
    ...surfaceGaps(plan, traced),
    ...sizeGaps(plan, traced, units),
    ...materialNotes(plan),
    ...airNotes(plan),
    ...waitNotes(traced),
  ].sort((a, b) => Number(a.weight === 'note') - Number(b.weight === 'note'))
}
