import type { Applicator } from '../../../film'
import { isCa, type CaRole, type CoatRole } from '../../../shelf'
import { isKind, stepsBefore, stripsAll, wipedOff, type CoatStep, type Plan, type Step } from '../../model'
import type { Words } from './writer'

const WITH: Record<Applicator, string> = { foam: 'closed-cell foam', towel: 'paper towel', spray: 'spray', stick: 'the stick' }

/** How each product but CA goes on, after its speed and applicator; and why so [trade]. */
const HOW: Record<Exclude<CoatRole, CaRole>, { how: string, why: string }> = {
  'sanding sealer': {
    how: 'rub it along the grain until it grabs',
    why: 'It fills and dries in seconds; two thin rounds do more than one thick',
  },
  'friction polish': {
    how: 'spread it on the stopped work, then run: firm, on the towel’s underside, until it is warm to the finger, a second or two more',
    why: 'The warmth melts the shellac and wax together',
  },
  'carnauba wax': {
    how: 'touch it on, then firm with a clean part until the wax stops moving',
    why: 'What still moves is too much, and prints under the hand',
  },
  'melamine lacquer': {
    how: 'thin and even; the first with the lathe slow, later ones turned by hand',
    why: 'Thick coats run and trap their solvent',
  },
  'wood conditioner': { how: 'wet it all over, wipe off what stays on top', why: 'It evens what the wax soaks into' },
  'shellac wax': { how: 'a little, firm, until it glows; then a clean part', why: 'The heat melts it in' },
  'wipe-on finish': {
    how: 'a generous coat, wipe along the grain, then spin it to throw off what is too much',
    why: 'What stands in a ridge stays soft for days',
  },
  'finishing oil': { how: 'wet it all over and let it drink', why: 'What has not soaked in is wiped off before it turns sticky' },
  'hard wax': { how: 'press it along the running barrel, then warm it in with a towel', why: 'The warmth spreads it thin' },
  'spray lacquer': { how: 'on a holder away from the lathe, light passes from 30\u00A0cm, turning', why: 'Light coats do not run' },
}

/**
 * Which coat this is, and of how many: among those that stand together, not counting what was sanded off before or a barrel that
 * catches up.
 */
export function coatPlaceOf(plan: Plan, step: CoatStep): { number: number, of: number } {
  const stripped = (one: Step) => stepsBefore(plan, one).filter(stripsAll).length
  const isTogether = (one: CoatStep) =>
    one.apart === step.apart && (step.apart ? one.mend === step.mend : stripped(one) === stripped(step))
  const off = wipedOff(plan.steps)
  const together = plan.steps.filter(isKind('coat')).filter(one => isTogether(one) && (one.id === step.id || !off.has(one.id)))
  return { number: together.findIndex(one => one.id === step.id) + 1, of: together.length }
}

/** How a coat stands among the others: “coat 6 of 8”; empty for a step that is none. */
export function coatPlace(plan: Plan, step: Step): string {
  if (step.kind !== 'coat') return ''
  const { number, of } = coatPlaceOf(plan, step)
  return `coat ${number} of ${of}`
}

/** Coats of one product after one another: “Thin CA, coats 3 to 7”. */
export function coatsTitle(plan: Plan, first: CoatStep, last: CoatStep): string {
  const [from, to] = [coatPlaceOf(plan, first).number, coatPlaceOf(plan, last).number]
  return `${first.product.name}, coats ${from} ${to === from + 1 ? 'and' : 'to'} ${to}`
}

/** The words of one coat. */
export function coatWords(step: CoatStep, plan: Plan): Words {
  const { number } = coatPlaceOf(plan, step)
  const { role, name } = step.product
  const [how, why] = isCa(role) ? ['from the middle out, quick', caWhy(step)] : [HOW[role].how, HOW[role].why]
  const lathe = step.speed === 0 ? 'Lathe off' : `${step.speed} rev/min${isCa(role) ? ' or slower' : ''}`
  return {
    title: `${name}, coat ${number}`,
    work: name,
    done: `Coat ${number} is on`,
    how: `${lathe}, ${WITH[step.applicator]}${isCa(role) ? ', ' : ': '}${how}`,
    why: step.mends ? 'It builds up what was bared' : why,
  }
}

function caWhy({ accelerated, soak }: CoatStep): string {
  if (accelerated) return 'Then a light mist of accelerator from 30\u00A0cm'
  return soak ? 'No accelerator: it is to soak in and fill' : 'Let it set by itself'
}
