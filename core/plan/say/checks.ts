import { hasFilm } from '../../method'
import { bleeds, hasJoint, isPad, thinnestSide } from '../../shelf'
import type { UnitWords } from '../../units'
import { boreSpare } from '../judge'
import { isKind, stepsBefore, type Plan, type Step } from '../model'
import type { PlanTrace } from '../trace'
import type { Check } from './check'
import { levelChecks } from './level-checks'

/** What is looked at in a step of the preparation, in the order a turner does. */
export function checksFor(plan: Plan, step: Step, whole: PlanTrace, units: UnitWords): Check[] {
  const two = plan.inputs.fitting.barrels.length > 1
  const pair: Check = {
    id: 'pair',
    ask: 'Both halves carry the mark, middle to middle?',
    otherwise: 'Put their witness marks together before anything else: grain that was turned round shows for ever.',
  }
  switch (step.kind) {
    case 'parts':
      return (plan.inputs.fitting.parts ?? []).map((part, index) => ({
        id: `part.${index}`,
        ask: `${part}?`,
        otherwise: `Without its ${part.toLowerCase()} the pen cannot be finished: order it before you cut.`,
      }))
    case 'cut':
      return [
        {
          id: 'witness',
          ask: two ? 'Witness mark drawn across the middle cut?' : 'Witness mark drawn at the tip end?',
          otherwise: 'Draw the line and the letter before you cut: afterwards nobody can tell which ends met.',
        },
        {
          id: 'length',
          ask: 'Pieces as long as they should be?',
          otherwise: 'A piece shorter than its tube is lost: cut it again from the rest of the stick.',
        },
      ]
    case 'drill':
      return [
        { id: 'centred', ask: 'Exit hole centred?', otherwise: offCentre(plan, whole, units) },
        {
          id: 'unsplit',
          ask: 'No split, no burnt smell?',
          otherwise: 'Thin CA into a hairline, then let it set. If it runs through, cut a new piece: it opens when the tube goes in.',
        },
      ]
    case 'dry':
      return [
        {
          id: 'dry',
          ask: 'Within two points of the shop?',
          otherwise: 'Wait and weigh it again: a blank that shrinks on its tube cracks its finish.',
        },
      ]
    case 'tube':
      return [
        {
          id: 'cover',
          ask: 'Glue all over the brass, no dry patch?',
          otherwise: 'Pull it out while it is wet and spread more: where it is dry the blank shatters later.',
        },
        { id: 'below', ask: 'A hair below the end?', otherwise: 'Push it through a little: brass that stands out cannot be squared.' },
        ...(two ? [pair] : []),
      ]
    case 'square':
      return [
        {
          id: 'bright',
          ask: 'Bright brass all round?',
          otherwise: 'A little more: wood that stands over the brass on one side leaves a gap at the metal.',
        },
        { id: 'bore', ask: 'Bore clear of glue?', otherwise: 'Ream it or scrape it out: a crumb splits the barrel in the press.' },
      ]
    case 'turn':
    case 'flush':
      return [
        {
          id: 'nail',
          ask: 'Smooth to a fingernail, at the ends and over the joints?',
          otherwise: 'Lighter cuts towards the ends; measure, and stop at the figure.',
          defects: ['chip', 'void', 'crack', 'oval', 'step'],
        },
        ...(two && step.kind === 'turn' ? [{ ...pair, ask: 'Barrels on the mandrel as they grew, marks together?' }] : []),
      ]
    case 'fill':
      return [
        {
          id: 'full',
          ask: 'Filled a little over the surface?',
          otherwise: 'Add more: it sinks as it sets, and a hollow shows under the finish.',
        },
      ]
    case 'sand':
      return [
        {
          id: 'light',
          ask: 'Under a raking light: nothing but this grit’s own scratches?',
          otherwise: 'Tap what you see: now it costs a grit or two.',
          defects: ['ring scratches', 'heat checks', 'chip', 'void', 'crack', ...(bleeds(plan.inputs.material) ? ['bleed' as const] : [])],
        },
      ]
    case 'smooth':
      return [
        ...(isAmongFirstPads(plan, step)
          ? [
              {
                id: 'slurry',
                ask: 'White slurry while it cuts?',
                otherwise: 'Rinse the pad, more water, a lighter hand. Still none: it is worn, take a fresh one.',
              },
            ]
          : []),
        {
          id: 'light',
          ask: 'Rinsed, under the light: nothing but this grit’s own scratches?',
          otherwise: 'Tap what you see: a grit back costs less now than at the end.',
          defects: ['ring scratches', 'white dots', 'sand-through'],
        },
      ]
    case 'level':
      return levelChecks(plan, step, whole)
    case 'ends':
      return [
        {
          id: 'bushings',
          ask: 'Bushings off, without force on the finished side?',
          otherwise: 'Cut or snap them apart on the metal; never knock the finished side.',
          defects: ['chipped end', 'lifting', 'crack'],
        },
        {
          id: 'collar',
          ask: 'Collar of finish taken off squarely, the sharp edge eased?',
          otherwise: 'A few strokes square to the end, P400 on a flat block: a sharp edge chips in the press.',
        },
        hasFilm(plan.inputs.method)
          ? {
              id: 'edge',
              ask: 'Film whole to the very edge, nothing lifting?',
              otherwise: 'Tap the end: under the press it would go on peeling.',
              defects: ['chipped end', 'lifting'],
            }
          : { id: 'edge', ask: 'Edges whole, no chip?', otherwise: 'Tap the end: the metal covers little.', defects: ['chip', 'crack'] },
        {
          id: 'clear',
          ask: 'Bore clear, looked through?',
          otherwise: 'Ream it now: a crumb splits the barrel in the press.',
          defects: ['crumb'],
        },
        {
          id: 'fit',
          ask: 'A part tried by hand: it enters straight, and stops?',
          otherwise: 'Loose: a drop of glue at the press. Tight or skew: clear the bore again before you press.',
          defects: ['crumb'],
        },
        { id: 'flush', ask: 'Flush with the metal to your thumb?', otherwise: 'Say where it is proud or shy.', defects: ['step', 'oval'] },
        {
          id: 'surface',
          ask: 'Even, clear and hard all over?',
          otherwise: 'Tap what you see: off the mandrel it is too late.',
          defects: [
            'white dots',
            'ring scratches',
            'ridges',
            'soft film',
            'sand-through',
            ...(isLacquered(plan) ? ['blush' as const] : []),
            ...(bleeds(plan.inputs.material) || hasJoint(plan.inputs.material) ? ['bleed' as const] : []),
          ],
        },
      ]
    case 'assemble':
      return [
        {
          id: 'padded',
          ask: 'Press jaws padded, plated parts covered?',
          otherwise: 'Wood, plastic or tape between the jaws and the plating: a mark in it stays.',
        },
        ...(two
          ? [
              {
                id: 'grain',
                ask: 'Grain lined up, with the pen closed?',
                otherwise: 'Turn the barrels against each other before the mechanism is home: where the pen is closed is where it is seen.',
              },
            ]
          : []),
      ]
    case 'check':
      return [
        { id: 'joints', ask: 'Flush at every joint?', otherwise: 'Say where you feel a step.', defects: ['step', 'oval'] },
        {
          id: 'refill',
          ask: 'Refill out far enough, and fully back?',
          otherwise: 'Say it: too short can be pressed on, too far hardly undone.',
          defects: ['mechanism', 'crumb'],
        },
        {
          id: 'scratch',
          ask: 'No scratch, no haze, nothing lifting?',
          otherwise: 'Tap what you see: boxed, it is out of your hands.',
          defects: ['ring scratches', 'white dots', 'lifting', 'chip', 'crack', 'soft film'],
        },
        { id: 'clip', ask: 'Clip tight?', otherwise: 'Press the cap home, padded; a drop of glue only where the fitting says so.' },
      ]
    default:
      return []
  }
}

/** On so many of the first pads it is looked for slurry: finer ones make none that is seen [trade]. */
const SLURRY = 3
/** Whether a pad is among the first that are run wet on the film, one after the other. */
function isAmongFirstPads(plan: Plan, step: Step): boolean {
  const before = stepsBefore(plan, step)
  const since = before.slice(before.findLastIndex(one => one.kind !== 'smooth') + 1)
  const pads = [...since, step].filter(isKind('smooth')).filter(one => isPad(one.abrasive))
  return step.kind === 'smooth' && isPad(step.abrasive) && pads.length <= SLURRY
}

/** Whether a solvent finish is in the plan, which can take on a veil of damp. */
const isLacquered = (plan: Plan): boolean => plan.steps.some(step => step.kind === 'coat' && step.product.setsBy === 'solvent')

function offCentre({ inputs: { blank } }: Plan, { size }: PlanTrace, units: UnitWords): string {
  const side = blank && thinnestSide(blank)
  if (side === undefined) {
    return `Measure how far off it is: half of what the blank is thicker than ${units.length(-2 * boreSpare(0, size))} may be lost.`
  }
  const spare = boreSpare(side, size)
  return spare > 0
    ? `Measure how far off it is. Up to ${units.length(spare)} the barrel still fits into this blank; beyond it, cut a new piece.`
    : 'This blank has nothing to spare: cut a new piece from a thicker one.'
}
