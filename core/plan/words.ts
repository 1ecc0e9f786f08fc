import { abrasiveName, grainSize } from '../abrasives'
import type { UnitWords } from '../units'
import type { WaitPurpose } from './inputs'
import { coatCount, type CleanHow, type Plan, type Step } from './plan'
import type { PlanTrace, StepTrace } from './trace'
import { bleeds, hasJoint } from './traits'

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
  'assemble': 'hardens to assemble',
  'hand over': 'cures to hand over',
}

/** The words of one step, in the turner's units. */
export function stepWords(plan: Plan, traced: StepTrace, units: UnitWords, whole: PlanTrace): StepWords {
  const { step } = traced
  const { fitting, material, method } = plan.inputs
  switch (step.kind) {
    case 'cut': return {
      title: 'Cut', done: 'Cut',
      how: `${whole.stick.pieces.map(piece => units.length(piece.length.value, 1)).join(' and ')} from a stick of ${units.length(whole.stick.total.value, 1)}`,
      why: 'Draw the witness mark across the cut first, so that the grain runs on',
    }
    case 'drill': return {
      title: `Drill ${units.length(fitting.bit, 1)}`, done: 'Drilled',
      how: `400 to 500 rev/min, ${units.length(12, 0)} at a time, then clear the bit`,
      why: fitting.barrels.length > 1 ? 'From the middle cut outwards: there the bit has wandered least' : 'A packed bit heats, wanders and splits the blank',
    }
    case 'tube': return {
      title: 'Glue the tube', done: 'Tube is in',
      how: `${step.product?.name ?? 'Glue'} all over the scuffed brass, twist it in, a hair below the end`,
      why: 'A dry patch lets the blank shatter later',
    }
    case 'square': return { title: 'Square the ends', done: 'Bright brass', how: 'Trim to the brass and stop; clear glue from the bore', why: 'Bright brass all round shows the end is square' }
    case 'turn': return {
      title: 'Turn to size', done: 'At size',
      how: whole.ends.map(end => units.length(end.diameter.value)).join(' · '),
      why: `${plan.inputs.wishes.tool}; ${proudWords(whole, units)}`,
    }
    case 'harden': return { title: `${step.product.name} to harden`, done: 'Soaked in', how: 'Let thin CA soak in all over; no accelerator', why: 'Soft wood tears and dents under the paper' }
    case 'sand': return {
      title: abrasiveName(step.abrasive), done: 'Scratches gone',
      how: `${method.speeds.sand} rev/min, dry, keep moving; stop, with-grain pass, wipe, look`,
      why: gritWhy(traced, plan),
    }
    case 'clean': return { ...CLEAN[step.how], done: 'Clean', why: cleanWhy(plan, step.how) }
    case 'coat': return {
      title: `${step.product.name}, coat ${step.number}`, done: `Coat ${step.number} is on`,
      how: `${method.speeds.coat} rev/min or slower, ${method.applicator}, from the middle out, quick`,
      why: step.soak ? 'No accelerator: it is to soak in and fill' : step.accelerated ? 'Then a light mist of accelerator from 30\u00A0cm' : 'Let it set by itself',
    }
    case 'level': return {
      title: `Level with ${abrasiveName(step.abrasive)}`, done: 'No shiny spot left',
      how: `Wet, ${um(grainSize(step.abrasive.scale, step.abrasive.mark))} µm grain, lathe stopped, end to end, until no shiny spot is left`,
      why: `Takes ${um(traced.before.film.mean - traced.after.film.mean)} of ${um(traced.before.film.mean)} µm; colour on the paper means stop`,
    }
    case 'smooth': return {
      title: abrasiveName(step.abrasive), done: 'Scratches gone',
      how: 'Wet, light hand, keep moving; wipe off the white residue',
      why: gritWhy(traced, plan),
    }
    case 'polish': return { title: step.product.name, done: 'Polished', how: `${method.speeds.polish} rev/min, soft cloth, little pressure`, why: 'Takes the last haze off the film' }
    case 'ends': return { title: 'Clear the ends', done: 'Ends and bore clear', how: 'Part film and bushing on the metal, ease the sharp edge, clear the bore', why: 'A crumb of glue in the bore splits the barrel in the press' }
    case 'assemble': return { title: 'Assemble', done: 'Pressed', how: 'Tip first; the mechanism to just short of its ring, try the refill, then a little more', why: 'Too far cannot be undone' }
    case 'check': return { title: 'Check and hand over', done: 'Handed over', how: 'Flush at every joint, refill out and back, no scratch, clip tight', why: `${material.name} leaves the shop with its film fully cured` }
  }
}

/** How a coat stands among the others: “coat 6 of 8”. */
export const coatPlace = (plan: Plan, step: Step): string => step.kind === 'coat' ? `coat ${step.number} of ${coatCount(plan)}` : ''

function gritWhy(traced: StepTrace, plan: Plan): string {
  const { grit } = traced
  if (!grit) return ''
  const [scratch, hidden] = [`leaves ${um(grit.leaves.value)} µm`, traced.step.kind === 'sand' ? 'the film hides it' : 'nothing left to see']
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
  return how === 'alcohol' ? 'Oil under a coat lets it lift' : 'Dust under a coat shows as white dots'
}

function proudWords(whole: PlanTrace, units: UnitWords): string {
  const proud = whole.ends[0]!.proud
  return Math.abs(proud) < 0.005 ? 'ends flush with the metal' : `ends ${units.length(Math.abs(proud))} ${proud < 0 ? 'under' : 'proud of'} the metal`
}
