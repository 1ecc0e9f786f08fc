import { nth } from '#core/sure'
import type { PlanTrace } from '#core/plan'
import type { ProductRole } from '#core/shelf'
import { deepest } from '#core/sanding'

/** Coats of one product that stand together in a build section, µm above the wood. */
export interface SectionBand {
  /** What the layer is made of. */
  name: string
  /** What its product does, which gives its colour. */
  role: ProductRole
  /** How many coats lie in it. */
  coats: number
  /** Height of its lower face over the wood, µm. */
  from: number
  /** Height of its upper face, µm. */
  to: number
  /** Where each coat of it ends, but the last. */
  seams: number[]
}

/** One slice through the barrel wall at a moment of its plan; depths and heights in µm from the surface of the wood. */
export interface BuildSlice {
  /** Deepest scratch still in the wood, below the surface. */
  scratch: number
  /** The layers, from the wood upward. */
  bands: SectionBand[]
  /** Height of the surface, µm. */
  top: number
  /** Peak to valley of the top, and scratches in it. */
  unevenness: number
  /** Depth of the scratches in the film, µm. */
  filmScratch: number
  /** What the next sanding would cut to: above the surface of a film, below that of the wood. */
  cut?: number
  /** The level below which the least film would be gone. */
  least: number
}

/** The slice after a step, or at the end of the plan; `least` is the film that must remain. */
export function buildSlice({ steps }: PlanTrace, step: string | null, least: number): BuildSlice {
  const found = step === null ? -1 : steps.findIndex(one => one.step.id === step)
  const at = found < 0 ? steps.length - 1 : found
  const { after } = nth(steps, at)
  const next = steps.slice(at + 1).find(one => one.step.kind === 'coat' || 'abrasive' in one.step)
  const cut
    = next && next.step.kind !== 'coat' ? (next.step.kind === 'sand' ? -(next.grit?.removes.value ?? 0) : next.after.film.mean) : undefined
  const bands: SectionBand[] = []
  for (const { product, um } of after.stack) {
    const last = bands.at(-1)
    const from = last?.to ?? 0
    if (last && last.name === product.name) {
      last.seams.push(last.to)
      last.coats++
      last.to = from + um
    } else bands.push({ name: product.name, role: product.role, coats: 1, from, to: from + um, seams: [] })
  }
  return {
    scratch: deepest(after.wood),
    bands,
    top: Math.max(0, after.film.mean),
    unevenness: after.film.unevenness,
    filmScratch: after.filmScratch,
    least,
    ...(cut === undefined ? {} : { cut }),
  }
}
