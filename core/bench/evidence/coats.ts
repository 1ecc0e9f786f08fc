import type { Finding } from '../../defects'
import { counted, decimal } from '../../format'
import { HIGH_RISK, isKind, type CoatStep } from '../../plan'
import { isCa, keepsUntil } from '../../shelf'
import { buildGrowths } from '../growths'
import { either, greatest, nameIn, tells, type Case } from './case'

/** A coat that grew by more than this many times what was reckoned was thick [model]. */
const THICK = 1.6
/** From this chance of going through at the ends on a levelling was a high risk, as it is called where it is planned [model]. */
const RISKY = HIGH_RISK

/** The coats themselves: of what, how, how many, how thick; nothing before the first. */
export function coatsTell(about: Case): Finding[] {
  const {
    state: { plan },
    coats,
    skipped,
  } = about
  if (!coats.length) return []
  const thick = coats.find(({ step }) => isThick(step))?.step
  const quick = coats.filter(({ step }) => step.accelerated).length
  const left = skipped.filter(({ step }) => step.kind === 'coat').length
  const were = left === 1 ? 'was' : 'were'
  return [
    thick
      ? tells('medium CA', true, `${nameIn(plan, thick)}: ${thick.product.name}`)
      : tells('medium CA', false, 'No medium or thick CA so far'),
    either('accelerated', quick > 0, `${quick} of ${coats.length} coats with accelerator`, 'No accelerator so far'),
    ...putOnWith(coats),
    either('coats left out', left > 0, `${counted(left, 'coat')} ${were} left out`, 'No coat was left out'),
    ...bottleTells(about),
    ...thicknessTells(about),
  ]
}

/** Whether a coat is of medium or thick CA. */
export const isThick = ({ product: { role } }: CoatStep): boolean => role === 'medium CA' || role === 'thick CA'

/** What plain coats tell before anything happened: whether each piece of evidence holds; none of what has no such coats. */
export function usualCoats(coats: readonly CoatStep[]): Record<string, boolean> {
  const ca = coats.filter(({ product }) => isCa(product.role))
  return {
    ...(coats.length ? { 'medium CA': coats.some(isThick), 'accelerated': coats.some(one => one.accelerated) } : {}),
    ...(ca.length ? { towel: ca.some(one => one.applicator === 'towel') } : {}),
  }
}

/** Towel grabs CA; what else is put on with it is put on as it should be. */
function putOnWith(coats: Case['coats']): Finding[] {
  const ca = coats.filter(({ step }) => isCa(step.product.role))
  if (!ca.length) return [tells('towel', false, 'None of it was CA, which towel grabs')]
  return [either('towel', ca.some(({ step }) => step.applicator === 'towel'), 'Put on with towel', 'Put on with foam')]
}

function bottleTells({ coats }: Case): Finding[] {
  const dated = coats.flatMap(({ step: { product }, at }) => {
    const until = keepsUntil(product)
    return until ? [{ name: product.name, isOld: until < at.slice(0, 10) }] : []
  })
  const old = dated.find(one => one.isOld)
  if (old) return [tells('old bottle', true, `${old.name} was past its time`)]
  return dated.length ? [tells('old bottle', false, 'The bottle was within its time')] : []
}

/** What was measured between coats, against what the model reckons for them. */
function thicknessTells(about: Case): Finding[] {
  const builds = new Map(about.state.plan.steps.filter(isKind('coat')).map(({ product }) => [product.id, product.film?.build ?? 0]))
  const grown = buildGrowths(about, '', about.defect.at)
    .map(({ coats, growth }) => ({
      growth,
      reckoned: Object.entries(coats).reduce((sum, [id, count]) => sum + count * (builds.get(id) ?? 0), 0),
    }))
    .filter(one => one.reckoned > 0)
  const most = greatest(grown, one => one.growth / one.reckoned)
  if (!most) return []
  const says = `The coats grew ${decimal(most.growth)} µm where ${decimal(most.reckoned)} is reckoned`
  return [tells('thick coats', most.growth > THICK * most.reckoned, says)]
}

/** How thin the film was at the last levelling. */
export function levellingTells({ traced: { steps }, defect }: Case): Finding[] {
  const at = steps.findIndex(one => one.step.id === defect.step)
  const level = steps.slice(0, at + 1).findLast(one => one.step.kind === 'level')
  if (!level?.risk) return []
  const { before, after, risk } = level
  const says = `Levelling was to take ${decimal(before.film.mean - after.film.mean)} of ${decimal(before.film.mean)} µm`
  return [tells('thin film', risk.edges > RISKY, says)]
}
