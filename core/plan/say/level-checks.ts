import { decimal } from '../../format'
import { abrasiveName, type AbrasiveMark } from '../../abrasives'
import { capacity } from '../../sanding'
import { coarserThan, levels } from '../../shelf'
import { filmPass } from '../make'
import { stepsBefore, type Plan, type StepOf } from '../model'
import type { PlanTrace } from '../trace'
import type { Check } from './check'

/** A film that is not hard yet is left alone for so long before the next look, s [model]. */
const LEFT_ALONE = 3600

/** What a levelling is looked at for, and what each answer asks for. */
export function levelChecks(plan: Plan, step: StepOf<'level'>, whole: PlanTrace): Check[] {
  const at = whole.steps.find(one => one.step.id === step.id)
  const uneven = at?.before.film.unevenness ?? 0
  const reaches = uneven <= capacity(filmPass(plan.inputs)(step.abrasive))
  const [coarser] = coarserThan(step.abrasive, plan.inputs.shelf.abrasives.filter(levels))
  const goesOn = 'Go on, lathe stopped, end to end; a fresh piece if the dust has stopped.'
  const more = !reaches && coarser ? tooUneven(uneven, step.abrasive, coarser) : goesOn
  const coats = plan.steps.slice(stepsBefore(plan, step).length).some(one => one.kind === 'coat')
  return [
    {
      id: 'shiny',
      ask: 'No shiny spot left?',
      otherwise: `Shiny is low: it has not been reached yet. ${more}`,
      ...(reaches ? {} : { defects: ['ridges'] as const }),
      ...(coarser ? { acts: [{ says: `Levelled with ${abrasiveName(coarser)}`, work: 'level', with: coarser.id }] } : {}),
    },
    {
      id: 'colour',
      ask: 'No colour on the paper?',
      otherwise: 'Stop here: colour means the wood. Tap the place, then cover it before you go on.',
      defects: ['sand-through', 'bleed'],
    },
    {
      id: 'dots',
      ask: 'No white dots?',
      otherwise: coats
        ? 'They are low spots full of dust: sand them out now, or the next coat seals them in.'
        : 'They are low spots full of dust: a little more with this grit, wet; rinse, and look again.',
      defects: ['white dots', 'foam', 'fish-eyes'],
    },
    {
      id: 'hard',
      ask: 'Hard: no print of a nail, the paper does not drag?',
      otherwise: 'Stop: a soft film only smears. Give it time.',
      defects: ['soft film'],
      acts: [{ says: 'Leave it an hour', wait: LEFT_ALONE }],
    },
  ]
}

const tooUneven = (uneven: number, one: AbrasiveMark, coarser: AbrasiveMark): string => {
  const says = `This film is about ${decimal(uneven)} µm uneven, more than a piece of ${abrasiveName(one)} takes`
  return `${says}: go to ${abrasiveName(coarser)}, lightly.`
}
