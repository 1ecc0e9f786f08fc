import type { Made } from './event'
import type { Held } from './held'

/** A pen that was made before its log was kept here: what is known of it, when it was finished (ISO 8601), and by which entry. */
export type MadeBefore = Made & { at: string, entry: string }

/** That a pen was made before its log was kept here, as it was said last; null for a pen whose log tells how it was made. */
export function madeBefore({ said }: Held): MadeBefore | null {
  const last = said.findLast(event => event.kind === 'made')
  return last?.kind === 'made' ? { ...last.payload, at: last.at, entry: last.id } : null
}

/** A step that may be settled by an entry. */
interface Settled {
  step: { id: string }
  status: string
  entry?: string
}

/** Whether a step counts as over because the pen was made before its log was kept here: nothing else is known of it. */
export const isUnlogged = ({ made, steps }: { made: MadeBefore | null, steps: readonly Settled[] }): ((step: string) => boolean) => {
  const unlogged = new Set(steps.flatMap(one => (made && one.entry === made.entry ? [one.step.id] : [])))
  return step => unlogged.has(step)
}
