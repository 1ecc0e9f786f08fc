import type { BenchEvent } from '../bench'
import type { Plan } from '../plan'
import type { Playable } from './play'
import { normals } from '../chance'

/** Who worked, on which pen, from when on; and how entries get their ids. */
export interface Simulated {
  /** The pen. */
  pen: string
  /** When the first step is begun, ms. */
  from: number
  /** The device that entries are made on. */
  device: string
  /** A new id. */
  id: () => string
}

/**
 * One simulated pen as the entries that the bench would have written: begun, each step done when it was done, and a sand-through where it
 * went through. What replays, traces and shows a log works on it unchanged. The same seed gives the same pen.
 */
export function simulatedLog(plan: Plan, { size, play, ends }: Playable, { pen, from, device, id }: Simulated, seed: number): BenchEvent[] {
  const next = normals(seed)
  const outcome = play(Float64Array.from({ length: size }, next))
  const at = (seconds: number) => new Date(from + 1000 * seconds).toISOString()
  const log = plan.steps.map((step, index): BenchEvent =>
    ({ id: id(), pen, kind: 'done', payload: { step: step.id }, barrels: [...step.barrels], device, at: at(ends[index] ?? 0) }))
  const first = plan.steps[0]
  const begun: BenchEvent[] = first
    ? [{ id: id(), pen, kind: 'begin', payload: { step: first.id }, barrels: [...first.barrels], device, at: at(0) }]
    : []
  const levelled = outcome.through ? plan.steps.findLastIndex(step => step.kind === 'level') : -1
  const step = plan.steps[levelled]
  const [barrel] = step?.barrels ?? []
  const found: BenchEvent[] = step && barrel
    ? [{
        id: id(), pen, kind: 'defect', barrels: [barrel], device, at: at((ends[levelled] ?? 0) + 1),
        payload: { kind: 'sand-through', barrel, fromTip: 10, size: 3, step: step.id },
      }]
    : []
  return [...begun, ...log, ...found]
}
