import { hasFilm } from '../../method'
import type { PlanInputs } from '../model'

/** Why what a ladder leaves in the blank is not seen in the end. */
export function leavesWords({ wishes, method }: Pick<PlanInputs, 'wishes' | 'method'>): string {
  if (wishes.leave !== undefined) return 'no deeper than you wanted'
  return hasFilm(method) ? 'the film hides it' : `a ${method.sheen} hides it`
}
