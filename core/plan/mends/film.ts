import { grainSize } from '../../abrasives'
import type { ShelfAbrasive } from '../inputs'
import { coatsSince, type CoatStep } from '../methods/coats'
import { cutBackGrit, levelGritFor } from '../methods/levelling'
import { productFor } from '../methods/products'
import type { Gate, Step, StepOf } from '../plan'
import { bleeds, hasJoint } from '../traits'
import { again, coverCount, coverProduct, moreCoats, MOST_COVERS, newStep, topUpCount, type Mend } from './place'
import { drops } from './wood'

/** Whether all coats of the plan are on, so that nothing levels what a mend adds but the mend itself. */
const isLate = (mend: Mend): boolean => mend.phase === 'level' || mend.phase === 'assemble'
const levels = ({ plan }: Mend): boolean => plan.inputs.method.levelling !== 'never'

/** What was done to the film since it was last coated: levelled, polished. */
function sinceCoated(mend: Mend): readonly Step[] {
  const last = mend.before.findLastIndex(step => step.kind === 'coat')
  return mend.before.slice(last + 1).filter(step => ['level', 'smooth', 'polish', 'buff'].includes(step.kind))
}

/** A levelling that was done, and what came after it, done again once something was put over it; empty while it is still to come. */
const levelAgain = (mend: Mend): Step[] => again(mend, sinceCoated(mend))

/** The abrasive that levels here: the plan’s own, else what this film asks for. */
function levelGrit(mend: Mend): ShelfAbrasive | undefined {
  const own = mend.before.findLast(step => step.kind === 'level') ?? mend.rest.find(step => step.kind === 'level')
  const coats = coatsSince(mend.before)
  return (mend.phase === 'coat' && coats.length ? levelGritFor(mend.plan.inputs, coats) : undefined) ?? (own as StepOf<'level'> | undefined)?.abrasive ?? cutBackGrit(mend.plan.inputs, FINE)
}

const FINE = 9
/** What takes a film off: about P320, µm [trade]. */
const STRIPS = 46

const grain = (one: ShelfAbrasive): number => grainSize(one.scale, one.mark)
const coarserThan = (mend: Mend, than: ShelfAbrasive): ShelfAbrasive | undefined =>
  mend.plan.inputs.shelf.abrasives.filter(one => one.wet && one.scale !== 'pad' && grain(one) > grain(than)).sort((a, b) => grain(a) - grain(b))[0]

/** What sands a finish off: the abrasive of the shelf nearest to P320. */
const stripper = (mend: Mend): ShelfAbrasive | undefined => cutBackGrit(mend.plan.inputs, STRIPS)

const HARD: Gate = { purpose: 'level', since: 'coat' }
const DRY: Gate = { purpose: 'next coat', since: 'coat' }

/** Sands out what is in the top of the film, with a coarser grit if asked; coats make up for what that takes, and what was polished is polished again. */
export function levelOut(mend: Mend, coarser = false): Step[] | undefined {
  const own = levelGrit(mend)
  const abrasive = own && (coarser ? coarserThan(mend, own) ?? own : own)
  if (!abrasive) return undefined
  const out: Step = levels(mend)
    ? newStep(mend, `out.${abrasive.id}`, { kind: 'level', abrasive, gate: HARD } as const)
    : newStep(mend, `out.${abrasive.id}`, { kind: 'cut back', abrasive, gate: DRY } as const)
  const product = coatProduct(mend)
  const recoats = mend.repair.kind === 'foam' || mend.repair.kind === 'fish-eyes' || mend.repair.kind === 'blush'
  const then = levelAgain(mend)
  const polish = then.filter(step => step.kind !== 'level')
  const all = (coats: readonly Step[]) => [out, ...coats, ...(coats.length ? then : polish)]
  if (!product) return all([])
  const count = topUpCount(mend, product, all, recoats ? 1 : 0)
  return all(moreCoats(mend, product, count, false))
}

/** What the last coat was of. */
const coatProduct = (mend: Mend) => mend.before.findLast((step): step is CoatStep => step.kind === 'coat')?.product ?? mend.rest.find((step): step is CoatStep => step.kind === 'coat')?.product

/** Covers a place that was sanded through, before what is under way goes on; what was levelled is levelled again. */
export function cover(mend: Mend): Step[] | undefined {
  const product = coverProduct(mend.plan)
  if (!product) return undefined
  const then = levelAgain(mend)
  return [...moreCoats(mend, product, coverCount(mend, product, [...then, ...mend.rest]), true), ...then]
}

/** Sands the film back at the place only, cleans it, and covers it. */
export function sandBackAndCover(mend: Mend): Step[] | undefined {
  const abrasive = stripper(mend)
  const covered = cover(mend)
  if (!abrasive || !covered) return undefined
  const { material } = mend.plan.inputs
  const wipes = mend.repair.kind === 'lifting' && !bleeds(material) && !hasJoint(material) && productFor(mend.plan.inputs, 'alcohol')
  return [newStep(mend, 'sand-back', { kind: 'sand back', abrasive, whole: false, ...(wasCoated(mend) ? { gate: HARD } : {}) } as const), newStep(mend, 'clean', { kind: 'clean', how: wipes ? 'alcohol' : 'blow' } as const), ...covered]
}

const wasCoated = (mend: Mend): boolean => mend.before.some(step => step.kind === 'coat')

/** The end eased until it is sound, then built up again there. A shy end is built up by as many coats as it is deep. */
export function endCoats(mend: Mend): Step[] | undefined {
  const product = coverProduct(mend.plan)
  if (!product) return undefined
  const ease = newStep(mend, 'ease', { kind: 'fix', how: 'ease the end' } as const)
  if (mend.repair.kind !== 'step') return [ease, ...cover(mend)!]
  const count = Math.min(MOST_COVERS, Math.max(1, Math.ceil(mend.repair.size * 1000 / (product.film?.build ?? 8))))
  return [...moreCoats(mend, product, count, false).map((coat): Step => ({ ...coat, apart: true })), ...levelAgain(mend)]
}

/** Coats that bury a filled place [trade: about five]. */
const BURIES = 5

/** Fills a hole with drops, puts five coats over it, and levels again what was levelled. */
export function bury(mend: Mend): Step[] | undefined {
  const product = coverProduct(mend.plan)
  const [filled] = drops(mend) ?? []
  if (!product || !filled) return undefined
  const [first, ...coats] = moreCoats(mend, product, BURIES, false)
  return [filled, { ...first!, gate: { purpose: 'next coat', since: 'fill' } } as Step, ...coats, ...levelAgain(mend)]
}

/** One coat more over all; what was levelled is levelled again. */
export function recoat(mend: Mend): Step[] | undefined {
  const product = coatProduct(mend)
  if (!product) return undefined
  const [coat] = moreCoats(mend, product, 1, false)
  return [{ ...coat!, ...(wasCoated(mend) ? { gate: DRY } : {}) } as Step, ...levelAgain(mend)]
}

/** What was polished since the levelling, polished again. */
export function polishAgain(mend: Mend): Step[] | undefined {
  const steps = again(mend, sinceCoated(mend).filter(step => step.kind !== 'level'))
  return steps.length ? steps : undefined
}

/** All of the finish sanded off, the wood sanded down the ladder again from there, and everything put on that was on. */
export function strip(mend: Mend): Step[] | undefined {
  const abrasive = stripper(mend)
  if (!abrasive) return undefined
  const bared = newStep(mend, 'strip', { kind: 'sand back', abrasive, whole: true, ...(wasCoated(mend) && !isSoft(mend) ? { gate: HARD } : {}) } as const)
  const hole = ['chip', 'void', 'crack'].includes(mend.repair.kind) ? drops(mend) ?? [] : []
  const grits = mend.before.filter(step => step.kind === 'sand' && grain(step.abrasive) < grain(abrasive))
  const last = mend.before.findLastIndex(step => step.kind === 'sand')
  const finish = mend.before.slice(last + 1).filter(step => ['clean', 'coat', 'buff', 'wipe off', 'cut back', 'level', 'smooth', 'polish'].includes(step.kind) && !step.mend)
  return [bared, ...hole, ...again(mend, grits), ...again(mend, finish)]
}

/** A film that will not set is not waited for. */
const isSoft = ({ repair }: Mend): boolean => repair.kind === 'soft film'

/** How long a soft film is left alone, and a veil of damp, s [model]. */
const RESTS = { soft: 12 * 3600, veil: 1800 }

/** Set aside in the warm, and looked at again. */
export const setAside = (mend: Mend): Step[] => [
  newStep(mend, 'aside', { kind: 'set aside', seconds: mend.repair.kind === 'blush' ? RESTS.veil : RESTS.soft } as const),
  newStep(mend, 'look', { kind: 'look again', gate: { purpose: 'rest', since: 'set aside' } } as const),
]

/** The end brought down to the metal; what was levelled and polished is done again. */
export const flushEnd = (mend: Mend): Step[] => [newStep(mend, 'flush-end', { kind: 'fix', how: 'flush the end' } as const), ...(isLate(mend) ? levelAgain(mend) : [])]
