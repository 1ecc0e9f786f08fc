import { meeting, type BarrelId, type End, type Meeting } from '../../barrel'
import { counted, within } from '../../format'
import { given, worked, type Figure } from '../../figures'
import type { StepId } from '../model'
import { finishedAt, sizedBarrel, type PlanTrace, type StepTrace } from '../trace'

/** A diameter as it was measured, mm: on which barrel, how far from its tip end, during which step. */
export interface DiameterReading {
  /** On which barrel. */
  barrel: BarrelId
  /** How far from its tip end, mm. */
  fromTip: number
  /** What the calliper said, mm. */
  diameter: number
  /** During which step. */
  step: StepId
}

/** Writes a length (mm) in the turner's units. */
type Write = (mm: number) => string

/** What a measured diameter means: how the place will end if the rest is done as planned, and what to do about it. */
export interface ReadingVerdict {
  /** mm over the metal (at an end) or over the outline wanted, once all that is planned has been done; on the diameter. */
  over: Figure
  /** The same in a word. */
  meets: Meeting
  /** Which end it is; absent between them. */
  end?: End
  /** mm on the diameter that must still come off before the next step; below 0 there is too little. */
  toComeOff: number
  /** Further coats that would build up what is missing; only for an end that will be shy, when coats are planned. */
  coats?: number
  /** What to do, in one line. */
  says: string
}

/**
 * Judges a reading by what is still to come after its step: `end = measured − 2 · sanding to come + 2 · film to come`. Undefined when
 * the plan has no such step or barrel.
 */
export function judgeReading(whole: PlanTrace, reading: DiameterReading, mm: Write): ReadingVerdict | undefined {
  const at = whole.steps.find(one => one.step.id === reading.step)
  const barrel = sizedBarrel(whole.size, reading.barrel)
  if (!at || !barrel) return undefined
  const wanted = finishedAt(barrel, reading.fromTip)
  const measured: Figure = { ...given('measured', reading.diameter, 'mm'), origin: 'measured' }
  const [sanding, film] = stillToCome(at, (whole.steps.at(-1) ?? at).after)
  const metal = given(wanted.end ? `metal at the ${wanted.end} end` : 'outline wanted', wanted.diameter, 'mm')
  const over = worked(
    wanted.end ? 'over the metal in the end' : 'over the outline in the end',
    reading.diameter - (2 * sanding.value) / 1000 + (2 * film.value) / 1000 - wanted.diameter,
    'mm',
    'measured − 2 × sanding to come + 2 × film to come − wanted',
    [measured, sanding, film, metal],
  )
  const meets = meeting(over.value)
  const coat = meets === 'shy' ? fullestCoat(whole) : undefined
  const coats = coat && Math.ceil(((-over.value / 2) * 1000) / coat.build)
  return {
    over,
    meets,
    ...(wanted.end ? { end: wanted.end } : {}),
    toComeOff: over.value,
    ...(coats ? { coats } : {}),
    says: advice(meets, over.value, coat && coats ? { coats, product: coat.product } : undefined, at, mm),
  }
}

function stillToCome(at: StepTrace, last: StepTrace['after']): [Figure, Figure] {
  // While a step is under way what it takes is still to come.
  const from = at.before
  return [
    worked('sanding to come', last.wood.removed - from.wood.removed, 'µm', 'each grit still planned', []),
    worked('film to come', last.film.mean - from.film.mean, 'µm', 'coats still planned − levelling − polishing', []),
  ]
}

/** The coat of the plan that builds most: which product, and how many µm. */
function fullestCoat(whole: PlanTrace): { product: string, build: number } | undefined {
  return whole.steps
    .flatMap(({ step, before, after }) =>
      step.kind === 'coat' ? [{ product: step.product.name, build: after.film.mean - before.film.mean }] : [],
    )
    .reduce<{ product: string, build: number } | undefined>((most, one) => (one.build > (most?.build ?? 0) ? one : most), undefined)
}

/** More film than this many coats is no repair of a short end [model]. */
const MOST_COATS = 8

function advice(meets: Meeting, over: number, film: { coats: number, product: string } | undefined, at: StepTrace, mm: Write): string {
  const much = mm(Math.abs(over))
  if (meets === 'flush') return 'At size: it will end flush.'
  if (meets === 'proud') {
    const turning = at.step.phase === 'blank' || at.step.phase === 'turn'
    return turning ? `${much} still to turn off.` : `It will end ${much} proud: sand this end down before the next coat.`
  }
  if (film && film.coats <= MOST_COATS) {
    const more = `${counted(film.coats, 'more coat')} of ${within(film.product)} here ${film.coats === 1 ? 'builds' : 'build'} it up`
    return `It will end ${much} shy: ${more}.`
  }
  return `It will end ${much} shy, more than film builds up: a step will be felt here, or take a new blank.`
}
