import type { Applicator } from '../film'
import type { ProductRole } from './inputs'
import type { Plan, Step, StepOf } from './plan'
import type { StepWords } from './words'

const WITH: Record<Applicator, string> = { foam: 'closed-cell foam', towel: 'paper towel', spray: 'spray', stick: 'the stick' }

/** How each product goes on, after its speed and applicator; and why so [trade]. */
const HOW: Partial<Record<ProductRole, { how: string, why: string }>> = {
  'sanding sealer': { how: 'rub it along the grain until it grabs', why: 'It fills and dries in seconds; two thin rounds do more than one thick' },
  'friction polish': { how: 'spread it on the stopped work, then run: firm, on the towel’s underside, until it is warm to the finger, a second or two more', why: 'The warmth melts the shellac and wax together' },
  'carnauba wax': { how: 'touch it on, then firm with a clean part until the wax stops moving', why: 'What still moves is too much, and prints under the hand' },
  'melamine lacquer': { how: 'thin and even; the first with the lathe slow, later ones turned by hand', why: 'Thick coats run and trap their solvent' },
  'wood conditioner': { how: 'wet it all over, wipe off what stays on top', why: 'It evens what the wax soaks into' },
  'shellac wax': { how: 'a little, firm, until it glows; then a clean part', why: 'The heat melts it in' },
  'wipe-on finish': { how: 'a generous coat, wipe along the grain, then spin it to throw off what is too much', why: 'What stands in a ridge stays soft for days' },
  'finishing oil': { how: 'wet it all over and let it drink', why: 'What has not soaked in is wiped off before it turns sticky' },
  'hard wax': { how: 'press it along the running barrel, then warm it in with a towel', why: 'The warmth spreads it thin' },
  'spray lacquer': { how: 'off the lathe, light passes from 30\u00A0cm, turning', why: 'Light coats do not run' },
}

/** Which coat this is, and of how many: among those that stand together, not counting what was sanded off before or a barrel that catches up. */
export function coatPlaceOf(plan: Plan, step: StepOf<'coat'>): { number: number, of: number } {
  const stands = (other: Step) => plan.steps.slice(0, plan.steps.indexOf(other)).filter(one => one.kind === 'sand back' && one.whole).length
  const together = plan.steps.filter(one => one.kind === 'coat' && one.apart === step.apart && (step.apart ? one.mend === step.mend : stands(one) === stands(step)))
  return { number: together.findIndex(one => one.id === step.id) + 1, of: together.length }
}

/** The words of one coat. */
export function coatWords(plan: Plan, step: StepOf<'coat'>): StepWords {
  const { number } = coatPlaceOf(plan, step)
  const other = HOW[step.product.role]
  const lathe = step.speed === 0 ? 'Lathe off' : `${step.speed} rev/min${other ? '' : ' or slower'}`
  const tool = WITH[step.applicator]
  return {
    title: `${step.product.name}, coat ${number}`,
    done: `Coat ${number} is on`,
    how: `${lathe}, ${tool}${other ? `: ${other.how}` : ', from the middle out, quick'}`,
    why: step.mends ? 'It builds up what was bared' : other ? other.why : step.accelerated ? 'Then a light mist of accelerator from 30\u00A0cm' : step.soak ? 'No accelerator: it is to soak in and fill' : 'Let it set by itself',
  }
}
