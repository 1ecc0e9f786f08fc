import { abrasiveName } from '../../../abrasives'
import { decimal } from '../../../format'
import { hasFilm } from '../../../method'
import { deepest } from '../../../sanding'
import { forgives, isGrit, leastFilm, mayLeave, type Plan } from '../../model'
import type { PlanTrace } from '../../trace'
import type { Remark } from './remark'

/** What the surface falls short of: scratches left in the blank or in the film, a film too thin, jumps that had to be allowed. */
export const surfaceGaps = (plan: Plan, traced: PlanTrace): Remark[] => [
  ...scratchesLeft(plan, traced),
  ...filmScratches(plan, traced),
  ...thinFilm(plan, traced),
  ...liftedJump(plan, traced),
]

function scratchesLeft({ inputs }: Plan, { steps }: PlanTrace): Remark[] {
  const wood = deepest(steps.at(-1)?.after.wood ?? { scratches: [], removed: 0 })
  const hidden = mayLeave(inputs).value
  if (wood <= hidden + 1e-6) return []
  const { method, wishes } = inputs
  const bound = wishes.leave !== undefined ? 'you wanted at most' : hasFilm(method) ? 'a film hides' : `a ${method.sheen} forgives`
  const says = `Scratches ${decimal(wood, 1)} µm deep stay in the blank; ${bound} ${hidden} µm.`
  if (wishes.ladder) return [{ weight: 'gap', says, remedy: 'Look at the sanding ladder.' }]
  const finer = hasFilm(method) ? 'P600' : '9 µm or less'
  return [{ weight: 'gap', says, remedy: `Put a finer dry abrasive on the shelf, about ${finer}.`, shelf: 'abrasives' }]
}

function filmScratches({ inputs: { method }, steps: planned }: Plan, { steps }: PlanTrace): Remark[] {
  const last = steps.at(-1)?.after
  if (!last || method.levelling === 'never') return []
  if (last.coats && !planned.some(step => step.kind === 'level')) {
    const says = 'No wet abrasive from P320 to P800 on the shelf to level the film with.'
    return [{ weight: 'gap', says, remedy: 'Put wet P400 and P600 on the shelf, then plan again.', shelf: 'abrasives' }]
  }
  const hides = forgives(method.sheen).value
  if (last.filmScratch <= hides + 1e-6) return []
  const says = `The film keeps scratches of ${decimal(last.filmScratch, 1)} µm; a ${method.sheen} hides ${hides} µm.`
  return [{ weight: 'gap', says, remedy: 'Put finer wet pads or paper on the shelf, about 9 µm or less.', shelf: 'abrasives' }]
}

function thinFilm({ inputs }: Plan, { steps, filmThinnest }: PlanTrace): Remark[] {
  const wanted = leastFilm(inputs).value
  if (!steps.at(-1)?.after.coats || filmThinnest.value >= wanted) return []
  const says = `Only ${decimal(filmThinnest.value)} µm of film is sure at the thinnest place; ${decimal(wanted)} µm is wanted.`
  const isCa = inputs.method.family === 'CA film'
  const remedy = isCa ? 'Add coats, or level with a finer grit.' : 'Allow more coats in the method, or wish for less depth.'
  return [{ weight: 'gap', says, remedy }]
}

function liftedJump({ inputs }: Plan, { steps }: PlanTrace): Remark[] {
  const lifted = steps.find(one => (one.grit?.jump ?? 0) > inputs.method.greatestJump + 1e-6)
  if (!lifted?.grit?.jump || !isGrit(lifted.step)) return []
  const says = `From ${abrasiveName(lifted.step.abrasive)} back to the grit before it is a jump of ${decimal(lifted.grit.jump, 1)}.`
  return [{ weight: 'note', says, remedy: 'A grit between them on the shelf would be quicker and surer.' }]
}
