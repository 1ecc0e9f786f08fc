import type { PlanTrace, ProductRole } from '#core/plan'
import { deepest } from '#core/sanding'

/** Coats of one product that stand together in a build section, µm above the wood. */
export interface SectionBand {
  name: string
  role: ProductRole
  coats: number
  from: number
  to: number
  /** Where each coat of it ends, but the last. */
  seams: number[]
}

/** One slice through the barrel wall at a moment of its plan; depths and heights in µm from the surface of the wood. */
export interface BuildSlice {
  /** Deepest scratch still in the wood, below the surface. */
  scratch: number
  bands: SectionBand[]
  top: number
  /** Peak to valley of the top, and scratches in it. */
  unevenness: number
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
  const { after } = steps[at]!
  const next = steps.slice(at + 1).find(one => one.step.kind === 'coat' || 'abrasive' in one.step)
  const cut = next && next.step.kind !== 'coat' ? next.step.kind === 'sand' ? -(next.grit?.removes.value ?? 0) : next.after.film.mean : undefined
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
    scratch: deepest(after.wood), bands, top: Math.max(0, after.film.mean), unevenness: after.film.unevenness, filmScratch: after.filmScratch, least,
    ...(cut === undefined ? {} : { cut }),
  }
}
