import { deepest } from '#core/sanding'
import type { PlanTrace, StepTrace } from '#core/plan'
import type { CoatRole } from '#core/shelf'
import { abrasiveName } from '#core/abrasives'

/** One column of the surface drawing: what a step finds and what it leaves, in µm. */
export interface SurfaceColumn {
  /** The step after which the surface stands so. */
  step: string
  /** What is written under the column. */
  label: string
  /** Scratches in the bare blank, before and after. */
  wood?: { before: number, after: number }
  /** The film after the step; `cut` is what was over it before a levelling or a grit. */
  film?: { mean: number, unevenness: number, scratch: number, cut?: number }
}

/** The columns for every step that touches the surface. */
export function surfaceColumns(traced: PlanTrace): SurfaceColumn[] {
  return traced.steps.flatMap((one): SurfaceColumn[] => {
    const column = columnOf(one)
    return column ? [{ step: one.step.id, label: labelOf(one), ...column }] : []
  })
}

function columnOf({ step, before, after }: StepTrace): Omit<SurfaceColumn, 'step' | 'label'> | undefined {
  const { mean, unevenness } = after.film
  switch (step.kind) {
    case 'turn':
      return { wood: { before: 0, after: deepest(after.wood) } }
    case 'sand':
      return { wood: { before: deepest(before.wood), after: deepest(after.wood) } }
    case 'sand back':
      return step.whole ? { wood: { before: deepest(before.wood), after: deepest(after.wood) } } : undefined
    case 'coat':
      return mean > 0 ? { film: { mean, unevenness, scratch: 0 } } : undefined
    case 'level':
    case 'cut back':
      return { film: { mean, unevenness, scratch: after.filmScratch, cut: before.film.mean + before.film.unevenness / 2 } }
    case 'smooth':
      return { film: { mean, unevenness, scratch: after.filmScratch, cut: before.film.mean } }
    case 'polish':
      return mean > 0 ? { film: { mean, unevenness, scratch: 0 } } : undefined
    default:
      return undefined
  }
}

/** Short names of coats under the drawing. */
const COAT_LABELS: Record<CoatRole, string> = {
  'thin CA': 'thin',
  'medium CA': 'medium',
  'thick CA': 'thick',
  'sanding sealer': 'sealer',
  'friction polish': 'friction',
  'carnauba wax': 'wax',
  'melamine lacquer': 'lacquer',
  'spray lacquer': 'spray',
  'wood conditioner': 'conditioner',
  'wipe-on finish': 'wipe-on',
  'finishing oil': 'oil',
  'shellac wax': 'wax',
  'hard wax': 'wax',
}

function labelOf({ step }: StepTrace): string {
  if (step.kind === 'level' || step.kind === 'cut back') return `${step.kind} ${abrasiveName(step.abrasive)}`
  if ('abrasive' in step) return abrasiveName(step.abrasive)
  if (step.kind === 'coat') return `${COAT_LABELS[step.product.role]}${step.soak ? ', soak' : ''}`
  return step.kind
}

/** Depths from 0.5 to 200 µm on a logarithmic scale, 0 to 1; below it 0. */
export const logDepth = (um: number): number => (um <= 0.5 ? 0 : Math.min(1, Math.log(um / 0.5) / Math.log(400)))
