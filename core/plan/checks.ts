import { abrasiveName, grainSize } from '../abrasives'
import type { DefectKind } from '../defects'
import { capacity } from '../sanding'
import type { UnitWords } from '../units'
import { thinnestSide } from './blank'
import type { ShelfAbrasive } from './inputs'
import { hasFilm } from './method'
import { filmPass } from './methods/levelling'
import type { Plan, Step, StepOf } from './plan'
import type { PlanTrace } from './trace'
import { bleeds, hasJoint } from './traits'

/** One thing to look at before a step counts as good. */
export interface Check {
  id: string
  ask: string
  /** What to do when the answer is no. */
  otherwise: string
  /** Defects that a no may tell of, the likeliest first, to be noted with their place. */
  defects?: readonly DefectKind[]
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
      { id: 'nail', ask: 'Smooth to a fingernail, at the ends and over the joints?', otherwise: 'Lighter cuts towards the ends; measure, and stop at the figure.', defects: ['chip', 'void', 'crack', 'oval', 'step'] },
      ...(two && step.kind === 'turn' ? [{ ...pair, ask: 'Barrels on the mandrel as they grew, marks together?' }] : []),
    ]
    case 'fill': return [{ id: 'full', ask: 'Filled a little over the surface?', otherwise: 'Add more: it sinks as it sets, and a hollow shows under the finish.' }]
    case 'sand': return [{ id: 'light', ask: 'Under a raking light: nothing but this grit’s own scratches?', otherwise: 'Tap what you see: now it costs a grit or two.', defects: ['ring scratches', 'heat checks', 'chip', 'void', 'crack', ...(bleeds(plan.inputs.material) ? ['bleed' as const] : [])] }]
    case 'smooth': return [{ id: 'light', ask: 'Rinsed, under the light: nothing but this grit’s own scratches?', otherwise: 'Tap what you see: a grit back costs less now than at the end.', defects: ['ring scratches', 'white dots', 'sand-through'] }]
    case 'level': return levelChecks(plan, step, whole)
    case 'ends': return [
      hasFilm(plan.inputs.method)
        ? { id: 'edge', ask: 'Film whole to the very edge, nothing lifting?', otherwise: 'Tap the end: under the press it would go on peeling.', defects: ['chipped end', 'lifting'] }
        : { id: 'edge', ask: 'Edges whole, no chip?', otherwise: 'Tap the end: the metal covers little.', defects: ['chip', 'crack'] },
      { id: 'clear', ask: 'Bore clear, looked through?', otherwise: 'Ream it now: a crumb splits the barrel in the press.', defects: ['crumb'] },
      { id: 'flush', ask: 'Flush with the metal to your thumb?', otherwise: 'Say where it is proud or shy.', defects: ['step', 'oval'] },
      { id: 'surface', ask: 'Even, clear and hard all over?', otherwise: 'Tap what you see: off the mandrel it is too late.', defects: ['white dots', 'ring scratches', 'ridges', 'soft film', 'sand-through', ...(isLacquered(plan) ? ['blush' as const] : []), ...(bleeds(plan.inputs.material) || hasJoint(plan.inputs.material) ? ['bleed' as const] : [])] },
    ]
    case 'check': return [
      { id: 'joints', ask: 'Flush at every joint?', otherwise: 'Say where you feel a step.', defects: ['step', 'oval'] },
      { id: 'refill', ask: 'Refill out far enough, and fully back?', otherwise: 'Say it: too short can be pressed on, too far hardly undone.', defects: ['mechanism', 'crumb'] },
      { id: 'scratch', ask: 'No scratch, no haze, nothing lifting?', otherwise: 'Tap what you see: boxed, it is out of your hands.', defects: ['ring scratches', 'white dots', 'lifting', 'chip', 'crack', 'soft film'] },
      { id: 'clip', ask: 'Clip tight?', otherwise: 'Press the cap home, padded; a drop of glue only where the fitting says so.' },
    ]
    default: return []
  }
}

/** Whether a solvent finish is in the plan, which can take on a veil of damp. */
const isLacquered = (plan: Plan): boolean => plan.steps.some(step => step.kind === 'coat' && step.product.setsBy === 'solvent')

/** What a levelling is looked at for, and what each answer asks for. */
function levelChecks(plan: Plan, step: StepOf<'level'>, whole: PlanTrace): Check[] {
  const at = whole.steps.find(one => one.step.id === step.id)
  const uneven = at?.before.film.unevenness ?? 0
  const reaches = uneven <= capacity(filmPass(plan.inputs)(step.abrasive))
  const coarser = coarserLevel(plan, step)
  const more = !reaches && coarser ? `This film is about ${uneven.toFixed(0)} µm uneven, more than a piece of ${abrasiveName(step.abrasive)} takes: go to ${abrasiveName(coarser)}, lightly.` : 'Go on, lathe stopped, end to end; a fresh piece if the dust has stopped.'
  const coats = plan.steps.slice(plan.steps.indexOf(step)).some(one => one.kind === 'coat')
  return [
    { id: 'shiny', ask: 'No shiny spot left?', otherwise: `Shiny is low: it has not been reached yet. ${more}`, ...(reaches ? {} : { defects: ['ridges'] as const }) },
    { id: 'colour', ask: 'No colour on the paper?', otherwise: 'Stop here: colour means the wood. Tap the place, then cover it before you go on.', defects: ['sand-through', 'bleed'] },
    { id: 'dots', ask: 'No white dots?', otherwise: coats ? 'They are low spots full of dust: sand them out now, or the next coat seals them in.' : 'They are low spots full of dust: a little more with this grit, wet; rinse, and look again.', defects: ['white dots', 'foam', 'fish-eyes'] },
    { id: 'hard', ask: 'Hard: no print of a nail, the paper does not drag?', otherwise: 'Stop: a soft film only smears. Give it time.', defects: ['soft film'] },
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
