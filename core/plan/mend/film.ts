import type { DefectKind } from '../../defects'
import { hasFilm } from '../../method'
import { coarserThan, grainOf, levels, productFor, type CoatProduct, type ShelfAbrasive } from '../../shelf'
import { coatsSince, cutBackGrit, levelGritFor, mayWipeWet } from '../make'
import { isKind, type CoatStep, type Gate, type Step, type StepKind } from '../model'
import { again, coverCount, coverProduct, moreCoats, MOST_COVERS, newStep, topUpCount, type Mend } from './place'
import { drops } from './wood'

const HARD: Gate = { purpose: 'level', since: 'coat' }
const DRY: Gate = { purpose: 'next coat', since: 'coat' }

/** Whether all coats of the plan are on, so that nothing levels what a mend adds but the mend itself. */
const isLate = ({ phase }: Mend): boolean => phase === 'level' || phase === 'assemble'
const isLevelled = ({ plan: { inputs: { method } } }: Mend): boolean => hasFilm(method) && method.levelling !== 'never'
const wasCoated = ({ before }: Mend): boolean => before.some(step => step.kind === 'coat')
/** A film that will not set is not waited for. */
const isSoft = ({ repair }: Mend): boolean => repair.kind === 'soft film'

/** What is done to a film once it is coated: levelled, polished. */
const AFTER_COATS: readonly StepKind[] = ['level', 'smooth', 'polish', 'buff']

/** What was done to the film since it was last coated. */
function sinceCoated({ before }: Mend): readonly Step[] {
  const last = before.findLastIndex(step => step.kind === 'coat')
  return before.slice(last + 1).filter(step => AFTER_COATS.includes(step.kind))
}

/** A levelling that was done, and what came after it, done again once something was put over it; empty while it is still to come. */
const levelAgain = (mend: Mend): Step[] => again(mend, sinceCoated(mend))

/** Where nothing else is there, a film is levelled with what is nearest to this, µm. */
const FINE = 9
/** What takes a film off: about P320, µm [trade]. */
const STRIPS = 46

/** The abrasive that levels here: what this film asks for while it is coated, else the plan’s own. */
function levelGrit({ plan, phase, before, rest }: Mend): ShelfAbrasive | undefined {
  const coats = coatsSince(before)
  const asked = phase === 'coat' && coats.length ? levelGritFor(plan.inputs, coats) : undefined
  const own = before.filter(isKind('level')).at(-1) ?? rest.find(isKind('level'))
  return asked ?? own?.abrasive ?? cutBackGrit(plan.inputs, FINE)
}

/** What sands a finish off: the abrasive of the shelf nearest to P320. */
const stripper = ({ plan }: Mend): ShelfAbrasive | undefined => cutBackGrit(plan.inputs, STRIPS)

/** What the last coat was of. */
const lastCoat = ({ before, rest }: Mend): CoatStep | undefined => before.filter(isKind('coat')).at(-1) ?? rest.find(isKind('coat'))

/** Defects that lie in a coat that is too thin to be sanded and left: it is put on again. */
const RECOATED: readonly DefectKind[] = ['foam', 'fish-eyes', 'blush']

/**
 * Sands out what is in the top of the film, with a coarser grit if asked; coats make up for what that takes, and what was polished is
 * polished again. Undefined when nothing on the shelf sands it.
 */
export function levelOut(mend: Mend, coarser = false): Step[] | undefined {
  const own = levelGrit(mend)
  const abrasive = own && coarser ? (coarserThan(own, mend.plan.inputs.shelf.abrasives.filter(levels))[0] ?? own) : own
  if (!abrasive) return undefined
  const out = isLevelled(mend)
    ? newStep(mend, `out.${abrasive.id}`, { kind: 'level', abrasive, gate: HARD })
    : newStep(mend, `out.${abrasive.id}`, { kind: 'cut back', abrasive, gate: DRY })
  const then = levelAgain(mend)
  const all = (coats: readonly Step[]) => [out, ...coats, ...(coats.length ? then : then.filter(step => step.kind !== 'level'))]
  const product = lastCoat(mend)?.product
  if (!product) return all([])
  const least = RECOATED.includes(mend.repair.kind) ? 1 : 0
  return all(moreCoats(mend, product, topUpCount(mend, product, all, least), false))
}

/** Covers a place that was sanded through, before what is under way goes on; what was levelled is levelled again. */
export function cover(mend: Mend): Step[] | undefined {
  const product = coverProduct(mend.plan)
  return product && covered(mend, product)
}

function covered(mend: Mend, product: CoatProduct): Step[] {
  const then = levelAgain(mend)
  return [...moreCoats(mend, product, coverCount(mend, product, [...then, ...mend.rest]), true), ...then]
}

/** Sands the film back at the place only, cleans it, and covers it. */
export function sandBackAndCover(mend: Mend): Step[] | undefined {
  const [abrasive, coats] = [stripper(mend), cover(mend)]
  if (!abrasive || !coats) return undefined
  const { inputs } = mend.plan
  const wipes = mend.repair.kind === 'lifting' && mayWipeWet(inputs.material) && productFor(inputs, 'alcohol')
  return [
    newStep(mend, 'sand-back', { kind: 'sand back', abrasive, whole: false, ...(wasCoated(mend) ? { gate: HARD } : {}) }),
    newStep(mend, 'clean', { kind: 'clean', how: wipes ? 'alcohol' : 'blow' }),
    ...coats,
  ]
}

/** What a coat builds where nothing is known of it, µm [model]: thin CA. */
const USUAL_BUILD = 8

/** The end eased until it is sound, then built up again there. A shy end is built up by as many coats as it is deep. */
export function endCoats(mend: Mend): Step[] | undefined {
  const product = coverProduct(mend.plan)
  if (!product) return undefined
  const { kind, size } = mend.repair
  if (kind !== 'step') return [newStep(mend, 'ease', { kind: 'fix', how: 'ease the end' }), ...covered(mend, product)]
  const asked = Math.ceil((size * 1000) / (product.film?.build ?? USUAL_BUILD))
  const coats = moreCoats(mend, product, Math.min(MOST_COVERS, Math.max(1, asked)), false)
  return [...coats.map((coat): Step => ({ ...coat, apart: true })), ...levelAgain(mend)]
}

/** Coats that bury a filled place [trade: about five]. */
const BURIES = 5

/**
 * Fills a hole with drops, puts five coats over it, and levels again what was levelled. On the bare blank it waits until the ladder is
 * done and the blank is clean: the coats of the plan then go over it too, and their levelling levels it.
 */
export function bury(found: Mend): { at: number, steps: Step[] } | undefined {
  const mend = whereCoated(found)
  const product = coverProduct(mend.plan)
  const [filled] = drops(mend) ?? []
  if (!product || !filled) return undefined
  const onFill: Gate = { purpose: 'next coat', since: 'fill' }
  const coats = moreCoats(mend, product, BURIES, false).map((coat, index): Step => (index === 0 ? { ...coat, gate: onFill } : coat))
  return { at: mend.at, steps: [filled, ...coats, ...levelAgain(mend)] }
}

/** The same mend made where the coats begin, if they have not begun. */
function whereCoated(mend: Mend): Mend {
  if (mend.phase !== 'sand' && mend.phase !== 'clean') return mend
  const { plan: { steps } } = mend
  const at = steps.findIndex((step, index) => index >= mend.at && step.kind === 'coat' && !step.apart)
  const goOn = (some: readonly Step[]) => some.filter(step => !step.apart)
  return at < 0 ? mend : { ...mend, at, phase: 'coat', before: goOn(steps.slice(0, at)), rest: goOn(steps.slice(at)) }
}

/** One coat more over all; what was levelled is levelled again. */
export function recoat(mend: Mend): Step[] | undefined {
  const product = lastCoat(mend)?.product
  if (!product) return undefined
  const coats = moreCoats(mend, product, 1, false).map((coat): Step => (wasCoated(mend) ? { ...coat, gate: DRY } : coat))
  return [...coats, ...levelAgain(mend)]
}

/** What was polished since the levelling, polished again; undefined where nothing was. */
export function polishAgain(mend: Mend): Step[] | undefined {
  const steps = again(mend, sinceCoated(mend).filter(step => step.kind !== 'level'))
  return steps.length ? steps : undefined
}

/** What makes a finish, from the cleaning to the last polish. */
const FINISH: readonly StepKind[] = ['clean', 'coat', 'buff', 'wipe off', 'cut back', ...AFTER_COATS]
/** Holes that are filled before the finish goes on again. */
const HOLES: readonly DefectKind[] = ['chip', 'void', 'crack']

/** All of the finish sanded off, the wood sanded down the ladder again from there, and everything put on that was on. */
export function strip(mend: Mend): Step[] | undefined {
  const abrasive = stripper(mend)
  if (!abrasive) return undefined
  const waits = wasCoated(mend) && !isSoft(mend)
  const bared = newStep(mend, 'strip', { kind: 'sand back', abrasive, whole: true, ...(waits ? { gate: HARD } : {}) })
  const hole = HOLES.includes(mend.repair.kind) ? (drops(mend) ?? []) : []
  const grits = mend.before.filter(isKind('sand')).filter(step => grainOf(step.abrasive) < grainOf(abrasive))
  const last = mend.before.findLastIndex(step => step.kind === 'sand')
  const finish = mend.before.slice(last + 1).filter(step => FINISH.includes(step.kind) && !step.mend)
  return [bared, ...hole, ...again(mend, grits), ...again(mend, finish)]
}

/** How long a soft film is left alone, and a veil of damp, s [model]. */
const RESTS = { soft: 12 * 3600, veil: 1800 }

/** Set aside in the warm, and looked at again. */
export const setAside = (mend: Mend): Step[] => [
  newStep(mend, 'aside', { kind: 'set aside', seconds: mend.repair.kind === 'blush' ? RESTS.veil : RESTS.soft }),
  newStep(mend, 'look', { kind: 'look again', gate: { purpose: 'rest', since: 'set aside' } }),
]

/** The end brought down to the metal; what was levelled and polished is done again. */
export const flushEnd = (mend: Mend): Step[] => [
  newStep(mend, 'flush-end', { kind: 'fix', how: 'flush the end' }),
  ...(isLate(mend) ? levelAgain(mend) : []),
]

/** Touched up by hand with a drop of CA, which has to cure like any coat before the pen goes. */
export function touchUp(mend: Mend): Step[] {
  const thin = productFor(mend.plan.inputs, 'thin CA')
  return [
    newStep(mend, 'touch-up', { kind: 'fix', how: 'touch up', ...(thin ? { product: thin } : {}) }),
    ...(thin ? [newStep(mend, 'look-again', { kind: 'look again', gate: { purpose: 'hand over', since: 'fix' } })] : []),
  ]
}
