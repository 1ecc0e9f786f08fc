import { barrelNames } from '../../../barrel'
import { decimal, list } from '../../../format'
import type { UnitWords } from '../../../units'
import type { Step } from '../../model'
import type { PlanTrace } from '../../trace'
import type { Words, Writers } from './writer'

/** Words of a step that may be done again on a new blank. */
const again = (step: Step, words: Words): Words => {
  const [barrel] = step.barrels
  return step.again && barrel ? { ...words, title: `${words.title} again`, how: `${barrelNames[barrel]}: ${words.how}` } : words
}

/** From the parts to a barrel at size. */
export const preparation: Writers<'parts' | 'cut' | 'drill' | 'dry' | 'tube' | 'square' | 'turn'> = {
  parts: (_, { plan }) => ({
    title: 'Check the parts',
    done: 'Parts there',
    how: `${plan.inputs.fitting.name}: every part, its bushings, its bit`,
    why: 'What is missing now stops the pen at the press',
  }),
  cut: (step, { whole, units }) => {
    const pieces = whole.stick.pieces.filter(piece => step.barrels.includes(piece.barrel))
    const all = pieces.length === whole.stick.pieces.length
    const stick = all ? whole.stick.total.value : pieces.reduce((sum, piece) => sum + piece.length.value, 0)
    return again(step, {
      title: 'Cut',
      done: 'Cut',
      how: `${list(pieces.map(piece => units.length(piece.length.value, 1)))} from a stick of ${units.length(stick, 1)}`,
      why: 'Draw the witness mark across the cut first, so that the grain runs on',
    })
  },
  drill: (step, { plan, whole, units }) => {
    const each = whole.size.barrels.filter(one => step.barrels.includes(one.barrel.id)).map(one => one.drilling)
    return again(step, {
      title: `Drill ${list(once(each.map(one => units.length(one.bit.value, 1))))}`,
      done: 'Drilled',
      how: drillHow(each, units),
      why: plan.inputs.fitting.barrels.length > 1
        ? 'From the middle cut outwards: there the bit has wandered least'
        : 'A packed bit heats, wanders and splits the blank',
    })
  },
  dry: () => ({
    title: 'Dry',
    done: 'Dry enough',
    how: 'Leave it in the shop and weigh it, until it is within two points',
    why: 'A blank that shrinks on its tube cracks its finish',
  }),
  tube: step =>
    again(step, {
      title: 'Glue the tube',
      done: 'Tube is in',
      how: `${step.product?.name ?? 'Glue'} all over the scuffed brass, twist it in, a hair below the end`,
      why: 'A dry patch lets the blank shatter later',
    }),
  square: step =>
    again(step, {
      title: 'Square the ends',
      done: 'Bright brass',
      how: 'Trim to the brass and stop; clear glue from the bore',
      why: 'Bright brass all round shows the end is square',
    }),
  turn: (step, { plan, whole, units }) =>
    again(step, {
      title: 'Turn to size',
      done: 'At size',
      how: whole.ends
        .filter(end => step.barrels.includes(end.barrel))
        .map(end => units.length(end.own ?? end.diameter.value))
        .join(' · '),
      why: `${plan.inputs.wishes.tool}; ${proudWords(whole, units)}`,
    }),
}

const once = (words: readonly string[]): string[] => [...new Set(words)]

function drillHow(each: readonly PlanTrace['size']['barrels'][number]['drilling'][], units: UnitWords): string {
  const speeds = once(each.map(one => `${decimal(one.slow.value)} to ${decimal(one.fast.value)}`)).join(', then ')
  const bites = list(once(each.map(one => `${one.bites}`)))
  const deep = once(each.map(one => units.length(one.bite.value, 0))).join(' and ')
  return `${speeds} rev/min, ${bites} bites of ${deep}, clear the bit after each`
}

/** A step at the metal that no thumb feels, mm on the diameter. */
const UNFELT = 0.005

function proudWords({ ends: [first] }: PlanTrace, units: UnitWords): string {
  const proud = first?.proud ?? 0
  if (Math.abs(proud) < UNFELT) return 'ends flush with the metal'
  return `ends ${units.length(Math.abs(proud))} ${proud < 0 ? 'under' : 'proud of'} the metal`
}
