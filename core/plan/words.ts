import { abrasiveName, grainSize } from '../abrasives'
import type { UnitWords } from '../units'
import { barrelNames } from '../barrel'
import type { RepairWay } from '../defects'
import type { WaitPurpose } from './inputs'
import { coatPlaceOf, coatWords } from './coat-words'
import { hasFilm } from './method'
import type { CleanHow, FixHow, Plan, Step } from './plan'
import type { SandThrough } from '../film'
import type { PlanTrace, StepTrace } from './trace'
import { bleeds, hasJoint, isOily, sandsWet, sandSpeed } from './traits'

/** What to do, how, and why, in the words of the workshop. */
export interface StepWords {
  /** Short, for lists and headings: “Thin CA, coat 3”. */
  title: string
  /** How it is done, in one line. */
  how: string
  /** Why it is there, in one line. */
  why: string
  /** What the key says that ends it: “Coat 3 is on”. */
  done: string
}

const um = (value: number): string => value < 10 ? value.toFixed(1) : value.toFixed(0)

const CLEAN: Record<CleanHow, { title: string, how: string }> = {
  blow: { title: 'Blow off, no wipe', how: 'Blow or vacuum the dust off, pores too' },
  alcohol: { title: 'Wipe with alcohol', how: 'Blow off, wipe with alcohol, let it flash off, coat at once' },
  rinse: { title: 'Rinse and dry', how: 'Rinse the white residue off, dry, look for pits' },
}

/** What each wait is for, as it stands beside a band. */
export const waitWords: Record<WaitPurpose, string> = {
  'square': 'tube glue sets',
  'sand': 'hardening',
  'next coat': 'next coat',
  'level': 'hardens to level',
  'wipe off': 'soaks in',
  'assemble': 'hardens to assemble',
  'hand over': 'cures to hand over',
  'rest': 'rests in the warm',
}

/** The words of one step, in the turner's units. */
export function stepWords(plan: Plan, traced: StepTrace, units: UnitWords, whole: PlanTrace): StepWords {
  const { step } = traced
  const { fitting, material, method } = plan.inputs
  switch (step.kind) {
    case 'parts': return { title: 'Check the parts', done: 'All there', how: `${fitting.name}: every part, its bushings, its bit`, why: 'What is missing now stops the pen at the press' }
    case 'cut': return again(step, {
      title: 'Cut', done: 'Cut',
      how: `${pieces(step, whole).map(piece => units.length(piece.length.value, 1)).join(' and ')} from a stick of ${units.length(stickFor(step, whole), 1)}`,
      why: 'Draw the witness mark across the cut first, so that the grain runs on',
    })
    case 'drill': return again(step, {
      title: `Drill ${[...new Set(drills(step, whole).map(one => units.length(one.bit.value, 1)))].join(' and ')}`, done: 'Drilled',
      how: drillHow(step, whole, units),
      why: fitting.barrels.length > 1 ? 'From the middle cut outwards: there the bit has wandered least' : 'A packed bit heats, wanders and splits the blank',
    })
    case 'dry': return { title: 'Dry', done: 'Dry enough', how: 'Leave it in the shop and weigh it, until it is within two points', why: 'A blank that shrinks on its tube cracks its finish' }
    case 'tube': return again(step, {
      title: 'Glue the tube', done: 'Tube is in',
      how: `${step.product?.name ?? 'Glue'} all over the scuffed brass, twist it in, a hair below the end`,
      why: 'A dry patch lets the blank shatter later',
    })
    case 'fill': return {
      title: `Fill: ${FILL[step.repair.way] ? step.repair.way : 'drops of CA'}`, done: 'Filled',
      how: `${barrelNames[step.repair.barrel]}, ${units.length(step.repair.fromTip, 1)} from its tip end, ${units.length(step.repair.size, 1)} across: ${FILL[step.repair.way] ?? 'a drop at a time, until it stands a little over'}`,
      why: step.accelerated ? 'Then a light mist of accelerator from 30\u00A0cm' : 'No accelerator: let it set by itself',
    }
    case 'flush': return step.phase === 'turn'
      ? { title: 'Turn the fill flush', done: 'Flush', how: 'Light cuts over the fill, then look under a raking light', why: 'Before the ladder a second fill costs nothing' }
      : { title: 'Bring the fill flush', done: 'Flush', how: 'A sharp blade or a flat block, on the fill only, then look under a raking light', why: 'What stands proud would be ringed by every grit after it' }
    case 'sand back': return step.whole
      ? { title: `Sand back with ${abrasiveName(step.abrasive)}`, done: 'Bare all over', how: 'Lathe slow, light, the whole barrel down to the wood; blow', why: 'The finish begins again from here' }
      : { title: `Sand back there, ${abrasiveName(step.abrasive)}`, done: 'Gone there', how: `${barrelNames[step.barrels[0]!]}, lathe stopped, a flat block, only there, feathered out; blow, no wipe`, why: 'Down to what is sound; the rest of the film stays' }
    case 'set aside': return { title: 'Set it aside', done: 'Set aside', how: 'Warm and dry, nothing touching it, not on a heater', why: 'Most soft films only want time' }
    case 'look again': return { title: 'Look at it again', done: 'Hard and clear', how: 'A fingernail at an end, lathe off; hold it to the light', why: 'Still soft or cloudy: note it again, and strip it' }
    case 'fix': return FIX[step.how]
    case 'square': return again(step, { title: 'Square the ends', done: 'Bright brass', how: 'Trim to the brass and stop; clear glue from the bore', why: 'Bright brass all round shows the end is square' })
    case 'turn': return again(step, {
      title: 'Turn to size', done: 'At size',
      how: whole.ends.filter(end => step.barrels.includes(end.barrel)).map(end => units.length(end.own ?? end.diameter.value)).join(' · '),
      why: `${plan.inputs.wishes.tool}; ${proudWords(whole, units)}`,
    })
    case 'harden': return { title: `${step.product.name} to harden`, done: 'Soaked in', how: 'Let thin CA soak in all over; no accelerator', why: 'Soft wood tears and dents under the paper' }
    case 'sand': return {
      title: abrasiveName(step.abrasive), done: 'Scratches gone',
      how: sandsWet(plan.inputs.material, step.abrasive)
        ? `${sandSpeed(plan.inputs).value} rev/min, wet, light hand; stop, along the barrel, wipe off the white residue, look`
        : `${sandSpeed(plan.inputs).value} rev/min, dry, keep moving; stop, with-grain pass, wipe, look`,
      why: gritWhy(traced, plan),
    }
    case 'clean': return { ...CLEAN[step.how], done: 'Clean', why: cleanWhy(plan, step.how) }
    case 'try': return { title: `Try ${lower(step.product.name)} on an offcut`, done: 'Nothing crazed', how: 'One coat on a sanded offcut of the same resin; look under a raking light once it is dry', why: 'Its solvent can craze resin, and that cannot be undone on the pen' }
    case 'coat': return coatWords(plan, step)
    case 'wipe off': return { title: 'Wipe it off', done: 'Wiped off', how: 'All that has not soaked in, with clean towel, until it drags', why: 'Left too long it turns sticky and stays so' }
    case 'buff': return { title: 'Buff', done: 'Buffed', how: `${method.speeds.polish} rev/min, a clean part of the towel, little pressure`, why: 'It evens the coat and shows what is dull' }
    case 'cut back': return {
      title: `Cut back with ${abrasiveName(step.abrasive)}`, done: 'Even and dull', how: 'Lathe stopped, along the barrel, a few light strokes; wipe', why: 'It takes the nibs and gives the next coat something to hold to',
    }
    case 'level': return {
      title: `Level with ${abrasiveName(step.abrasive)}`, done: 'No shiny spot left',
      how: `Wet, ${um(grainSize(step.abrasive.scale, step.abrasive.mark))} µm grain, lathe stopped, end to end, until no shiny spot is left`,
      why: `Takes ${um(traced.before.film.mean - traced.after.film.mean)} of ${um(traced.before.film.mean)} µm; ${traced.risk ? `${riskWords(traced.risk)} at the edges; ` : ''}colour on the paper means stop`,
    }
    case 'smooth': return {
      title: abrasiveName(step.abrasive), done: 'Scratches gone',
      how: 'Wet, light hand, keep moving; wipe off the white residue',
      why: gritWhy(traced, plan),
    }
    case 'polish': return { title: step.product.name, done: 'Polished', how: `${method.speeds.polish} rev/min, soft cloth, little pressure`, why: hasFilm(method) ? 'Takes the last haze off the film' : 'Takes the last haze off' }
    case 'ends': return { title: 'Clear the ends', done: 'Ends and bore clear', how: 'Part film and bushing on the metal, ease the sharp edge, clear the bore', why: 'A crumb of glue in the bore splits the barrel in the press' }
    case 'assemble': return { title: 'Assemble', done: 'Pressed', how: 'Tip first; the mechanism to just short of its ring, try the refill, then a little more', why: 'Too far cannot be undone' }
    case 'check': return { title: 'Check and hand over', done: 'Handed over', how: 'Flush at every joint, refill out and back, no scratch, clip tight', why: step.gate ? `${material.name} leaves the shop with its finish fully cured` : `${material.name} leaves the shop as it is: nothing has to cure` }
  }
}

const FILL: Partial<Record<RepairWay, string>> = {
  'thin CA': 'a drop at a time, until it stands a little over',
  'shavings and CA': 'pack its own fine shavings in, a drop of CA, a little over the surface',
  'clear CA': 'drop by drop, no bubbles, a little over the surface',
}

const FIX: Record<FixHow, StepWords> = {
  'ream': { title: 'Ream the bore', done: 'Clear', how: 'A reamer or a rolled piece of P240, by hand; look through it', why: 'A crumb splits the barrel in the press' },
  'press on': { title: 'Press a little more', done: 'Refill right', how: 'A hair at a time, pads on the plating; the refill out and back after each', why: 'Too far cannot be undone' },
  'take apart': { title: 'Drive it apart', done: 'Apart', how: 'A punch that fits the bore, from behind, padded, straight', why: 'It seldom comes out whole: have the part at hand' },
  'flush the end': { title: 'Bring the end flush', done: 'Flush', how: 'A few strokes at that end only, a flat block, measure after each', why: 'A step is felt by every thumb' },
  'ease the end': { title: 'Ease the edge', done: 'Clean edge', how: 'Square to the end, P400 on a flat block, until nothing loose is left', why: 'New film bites only on a sound edge' },
  'touch up': { title: 'Touch it up by hand', done: 'Touched up', how: 'Metal covered with tape; a drop of thin CA where it is needed, shaved level, fine pads, polish', why: 'Off the lathe little at a time' },
}

/** Words of a step that is done again on a new blank. */
const again = (step: Step, words: StepWords): StepWords => step.again ? { ...words, title: `${words.title} again`, how: `${barrelNames[step.barrels[0]!]}: ${words.how}` } : words

const pieces = (step: Step, whole: PlanTrace) => whole.stick.pieces.filter(piece => step.barrels.includes(piece.barrel))
const drills = (step: Step, whole: PlanTrace) => whole.size.barrels.filter(one => step.barrels.includes(one.barrel.id)).map(one => one.drilling)

/** The stick for the barrels of this step: for one of two it is its own piece. */
const stickFor = (step: Step, whole: PlanTrace): number =>
  step.barrels.length === whole.stick.pieces.length ? whole.stick.total.value : pieces(step, whole).reduce((sum, piece) => sum + piece.length.value, 0)

function drillHow(step: Step, whole: PlanTrace, units: UnitWords): string {
  const each = drills(step, whole)
  const first = each[0]!
  const speeds = [...new Set(each.map(one => `${one.slow.value.toFixed(0)} to ${one.fast.value.toFixed(0)}`))].join(', then ')
  const bites = [...new Set(each.map(one => one.bites))].join(' and ')
  return `${speeds} rev/min, ${bites} bites of ${units.length(first.bite.value, 0)}, clear the bit after each`
}

/** How a coat stands among the others: “coat 6 of 8”. */
export function coatPlace(plan: Plan, step: Step): string {
  if (step.kind !== 'coat') return ''
  const { number, of } = coatPlaceOf(plan, step)
  return `coat ${number} of ${of}`
}

/** A chance of going through, in words: at the edges, which take more. */
export function riskWords({ edges }: SandThrough): string {
  if (edges < 0.001) return 'hardly a risk of going through'
  if (edges < 0.02) return `a small risk of going through, ${chance(edges)}`
  if (edges < 0.1) return `a risk of going through, ${chance(edges)}`
  return `a high risk of going through, ${chance(edges)}`
}

/** A chance as turners say it: “1 in 40”. */
export const chance = (part: number): string => part <= 0 ? 'hardly any' : part >= 0.95 ? 'almost certain' : `1 in ${part > 0.1 ? (1 / part).toFixed(1) : Math.round(1 / part)}`

const lower = (name: string): string => name[0]!.toLowerCase() + name.slice(1)

function gritWhy(traced: StepTrace, plan: Plan): string {
  const { grit } = traced
  if (!grit) return ''
  const [scratch, hidden] = [`leaves ${um(grit.leaves.value)} µm`, traced.step.kind === 'sand' && hasFilm(plan.inputs.method) ? 'the film hides it' : 'nothing left to see']
  const next = plan.steps[plan.steps.indexOf(traced.step) + 1]
  const last = !next || next.phase !== traced.step.phase || !('abrasive' in next)
  const jump = grit.jump ? `jump ${grit.jump.toFixed(1)} · ` : 'takes the tool marks out · '
  const pieces = grit.pieces > 1 ? ` · ${grit.pieces} fresh pieces` : ''
  return `${um(grit.grain.value)} µm grain · ${jump}${scratch}${last ? `: ${hidden}` : ''}${pieces}`
}

function cleanWhy(plan: Plan, how: CleanHow): string {
  const { material } = plan.inputs
  if (bleeds(material)) return 'A wet wipe would carry the colour'
  if (hasJoint(material)) return 'A wipe drags one colour into the other, and solvent can craze resin'
  if (how === 'rinse') return 'What stays in a scratch shows as a white line'
  if (isOily(material)) return how === 'alcohol' ? 'Just before the first coat: oil creeps back within minutes, and a coat on oil lifts' : 'Oil under a coat lets it lift: coat at once'
  return 'Dust under a coat shows as white dots'
}

function proudWords(whole: PlanTrace, units: UnitWords): string {
  const proud = whole.ends[0]!.proud
  return Math.abs(proud) < 0.005 ? 'ends flush with the metal' : `ends ${units.length(Math.abs(proud))} ${proud < 0 ? 'under' : 'proud of'} the metal`
}
