import { abrasiveName, grainSize } from '../abrasives'
import type { DefectKind } from '../defects'
import { capacity } from '../sanding'
import type { UnitWords } from '../units'
import { thinnestSide } from './blank'
import type { ShelfAbrasive } from './inputs'
import { filmPass } from './methods/levelling'
import type { Plan, Step, StepOf } from './plan'
import type { PlanTrace } from './trace'

/** One thing to look at before a step counts as good. */
export interface Check {
  id: string
  ask: string
  /** What to do when the answer is no. */
  otherwise: string
  /** The defect that a no tells of, to be noted with its place. */
  defect?: DefectKind
}

/** What is looked at in a step of the preparation, in the order a turner does. */
export function checksFor(plan: Plan, step: Step, whole: PlanTrace, units: UnitWords): Check[] {
  const two = plan.inputs.fitting.barrels.length > 1
  const pair: Check = { id: 'pair', ask: 'Both halves carry the mark, middle to middle?', otherwise: 'Put their witness marks together before anything else: grain that was turned round shows for ever.' }
  switch (step.kind) {
    case 'parts': return (plan.inputs.fitting.parts ?? []).map((part, index) => ({ id: `part.${index}`, ask: `${part}?`, otherwise: `Without its ${part.toLowerCase()} the pen cannot be finished: order it before you cut.` }))
    case 'cut': return [
      { id: 'witness', ask: two ? 'Witness mark drawn across the middle cut?' : 'Witness mark drawn at the tip end?', otherwise: 'Draw the line and the letter before you cut: afterwards nobody can tell which ends met.' },
      { id: 'length', ask: 'Pieces as long as they should be?', otherwise: 'A piece shorter than its tube is lost: cut it again from the rest of the stick.' },
    ]
    case 'drill': return [
      { id: 'centred', ask: 'Exit hole centred?', otherwise: offCentre(plan, whole, units) },
      { id: 'unsplit', ask: 'No split, no burnt smell?', otherwise: 'Thin CA into a hairline, then let it set. If it runs through, cut a new piece: it opens when the tube goes in.' },
    ]
    case 'dry': return [{ id: 'dry', ask: 'Within two points of the shop?', otherwise: 'Wait and weigh it again: a blank that shrinks on its tube cracks its finish.' }]
    case 'tube': return [
      { id: 'cover', ask: 'Glue all over the brass, no dry patch?', otherwise: 'Pull it out while it is wet and spread more: where it is dry the blank shatters later.' },
      { id: 'below', ask: 'A hair below the end?', otherwise: 'Push it through a little: brass that stands out cannot be squared.' },
      ...(two ? [pair] : []),
    ]
    case 'square': return [
      { id: 'bright', ask: 'Bright brass all round?', otherwise: 'A little more: wood that stands over the brass on one side leaves a gap at the metal.' },
      { id: 'bore', ask: 'Bore clear of glue?', otherwise: 'Ream it or scrape it out: a crumb splits the barrel in the press.' },
    ]
    case 'turn': case 'flush': return [
      { id: 'nail', ask: 'Smooth to a fingernail, at the ends and over the joints?', otherwise: 'Lighter cuts towards the ends; measure, and stop at the figure.' },
      ...(two && step.kind === 'turn' ? [{ ...pair, ask: 'Barrels on the mandrel as they grew, marks together?' }] : []),
    ]
    case 'fill': return [{ id: 'full', ask: 'Filled a little over the surface?', otherwise: 'Add more: it sinks as it sets, and a hollow shows under the finish.' }]
    case 'level': return levelChecks(plan, step, whole)
    default: return []
  }
}

/** What a levelling is looked at for, and what each answer asks for. */
function levelChecks(plan: Plan, step: StepOf<'level'>, whole: PlanTrace): Check[] {
  const at = whole.steps.find(one => one.step.id === step.id)
  const uneven = at?.before.film.unevenness ?? 0
  const reaches = uneven <= capacity(filmPass(plan.inputs)(step.abrasive))
  const coarser = coarserLevel(plan, step)
  const more = !reaches && coarser ? `This film is about ${uneven.toFixed(0)} µm uneven, more than a piece of ${abrasiveName(step.abrasive)} takes: go to ${abrasiveName(coarser)}, lightly.` : 'Go on, lathe stopped, end to end; a fresh piece if the dust has stopped.'
  const coats = plan.steps.slice(plan.steps.indexOf(step)).some(one => one.kind === 'coat')
  return [
    { id: 'shiny', ask: 'No shiny spot left?', otherwise: `Shiny is low: it has not been reached yet. ${more}` },
    { id: 'colour', ask: 'No colour on the paper?', otherwise: 'Stop here: colour means the wood. Tap the place, then cover it before you go on.', defect: 'sand-through' },
    { id: 'dots', ask: 'No white dots?', otherwise: coats ? 'They are low spots full of dust: sand them out now, or the next coat seals them in.' : 'They are low spots full of dust: a little more with this grit, wet; rinse, and look again.' },
  ]
}

/** The next coarser wet paper to level with, if the shelf has one. */
function coarserLevel({ inputs }: Plan, { abrasive }: StepOf<'level'>): ShelfAbrasive | undefined {
  const grain = grainSize(abrasive.scale, abrasive.mark)
  return inputs.shelf.abrasives.filter(one => one.wet && one.scale !== 'pad' && grainSize(one.scale, one.mark) > grain).sort((a, b) => grainSize(a.scale, a.mark) - grainSize(b.scale, b.mark))[0]
}

function offCentre(plan: Plan, whole: PlanTrace, units: UnitWords): string {
  const side = plan.inputs.blank && thinnestSide(plan.inputs.blank)
  const barrel = whole.size.barrels.reduce((a, b) => b.section.side.value > a.section.side.value ? b : a)
  const slim = barrel.section.side.value - 2 * barrel.section.wander.value
  if (side === undefined) return `Measure how far off it is: half of what the blank is thicker than ${units.length(slim)} may be lost.`
  const spare = (side - slim) / 2
  return spare > 0
    ? `Measure how far off it is. Up to ${units.length(spare)} the barrel still fits into this blank; beyond it, cut a new piece.`
    : 'This blank has nothing to spare: cut a new piece from a thicker one.'
}
