import { airFaults, type Climate } from '../../climate'
import { day } from '../../format'
import { keepsUntil } from '../../shelf'
import type { Step } from '../model'

/**
 * What to know before the bottle of this step is opened: what this air would do to the coat, whether the bottle is past its time, and
 * whether it is still sealed. Nothing for a step that is no coat. `today` is a day, like 2026-03-01.
 */
export function bottleWarnings(step: Step, air: Climate, today: string): string[] {
  if (step.kind !== 'coat') return []
  const faults = airFaults(air, step.product.setsBy ?? 'warmth').map(fault => `${fault.says} ${fault.remedy}`)
  const until = keepsUntil(step.product)
  if (until && today > until) faults.push(`This bottle keeps until about ${day(until)}: try a drop on scrap first.`)
  if (step.product.bottle?.opened === null) faults.push('The bottle is still sealed: note on the shelf that you open it today.')
  return faults
}
