import { given, worked, type Figure } from '../figures'
import type { ProductRole } from './inputs'
import type { Step, StepKind } from './plan'

/**
 * Time with hands on a step that is not sanding, in s for one barrel or once for the pen. Starting values of our own, chosen so that a simple
 * two-barrel pen takes about half an hour [trade]; the log corrects them.
 */
const SECONDS: Partial<Record<StepKind, { each: number, per: 'barrel' | 'pen' }>> = {
  'parts': { each: 30, per: 'pen' },
  'cut': { each: 60, per: 'barrel' },
  'drill': { each: 90, per: 'barrel' },
  'dry': { each: 30, per: 'pen' },
  'tube': { each: 60, per: 'barrel' },
  'square': { each: 60, per: 'barrel' },
  'turn': { each: 240, per: 'barrel' },
  'fill': { each: 60, per: 'barrel' },
  'flush': { each: 60, per: 'barrel' },
  'harden': { each: 20, per: 'barrel' },
  'clean': { each: 30, per: 'pen' },
  'try': { each: 60, per: 'pen' },
  'coat': { each: 15, per: 'pen' },
  'buff': { each: 30, per: 'pen' },
  'wipe off': { each: 30, per: 'pen' },
  'polish': { each: 60, per: 'pen' },
  'ends': { each: 60, per: 'barrel' },
  'assemble': { each: 180, per: 'pen' },
  'check': { each: 60, per: 'pen' },
  'set aside': { each: 15, per: 'pen' },
  'look again': { each: 15, per: 'pen' },
  'fix': { each: 120, per: 'barrel' },
}

/** A coat that is worked in, warmed or wiped takes longer than a quick stroke of CA, s for the pen. */
const COAT_SECONDS: Partial<Record<ProductRole, number>> = {
  'sanding sealer': 45, 'friction polish': 60, 'carnauba wax': 45, 'melamine lacquer': 45, 'wood conditioner': 45, 'shellac wax': 45, 'wipe-on finish': 60, 'finishing oil': 60, 'hard wax': 60, 'spray lacquer': 30,
}

/** Hands-on time of a step other than a grit. */
export function handsOnBase(step: Step): Figure {
  const usual = SECONDS[step.kind] ?? { each: 0, per: 'pen' as const }
  const { each, per } = step.kind === 'coat' ? { ...usual, each: COAT_SECONDS[step.product.role] ?? usual.each } : usual
  const one = given(`hands on, ${step.kind}, for each ${per}`, each, 's', { mark: 'model', note: 'starting value' })
  return per === 'pen' ? one : worked(`hands on, ${step.kind}`, each * step.barrels.length, 's', 'time for each barrel × barrels', [one, given('barrels', step.barrels.length, '')])
}
