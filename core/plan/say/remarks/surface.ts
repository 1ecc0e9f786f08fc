import { abrasiveName } from '../../../abrasives'
import { decimal, formatSpan, micrometres, trimmed } from '../../../format'
import { hasFilm } from '../../../method'
import { deepest, MOST_PIECES } from '../../../sanding'
import { coatsSince, jumpOf, levelGritFor, STAGE_RISK, stageRisk } from '../../make'
import { forgives, isGrit, isKind, leastFilm, mayLeave, startMarks, type Plan, type Step } from '../../model'
import type { PlanTrace, StepTrace } from '../../trace'
import { chance } from '../words/chance'
import type { Remark } from './remark'

/** What the surface falls short of: scratches left in the blank or in the film, a film too thin, jumps that had to be allowed. */
export const surfaceGaps = (plan: Plan, traced: PlanTrace): Remark[] => [
  ...noLadder(plan),
  ...scratchesLeft(plan, traced),
  ...longGrits(traced),
  ...filmScratches(plan, traced),
  ...leftUneven(traced),
  ...thinFilm(plan, traced),
  ...putOffStages(plan),
  ...liftedJump(plan, traced),
]

/** Nothing to sand, or nothing on the shelf that can: said, so that a plan without a ladder is none by oversight. */
function noLadder({ inputs, steps }: Plan): Remark[] {
  if (steps.some(isKind('sand')) || inputs.wishes.ladder) return []
  const [marks, leave] = [startMarks(inputs.wishes).value, mayLeave(inputs).value]
  const [deep, may] = [micrometres(marks), micrometres(leave)]
  if (marks <= leave) {
    const says = `Nothing to sand: marks of ${deep} µm are no deeper than the ${may} µm that may be left.`
    return [{ weight: 'note', says, remedy: 'Look at the marks under a raking light; put their depth right if it is more.' }]
  }
  const says = `Nothing on the shelf takes marks of ${deep} µm out of this blank.`
  return [{ weight: 'gap', says, remedy: 'Put dry paper on the shelf, about P150 to P320 to begin with.', shelf: 'abrasives' }]
}

/** A grit that takes longer than this is told, s [the handbook: no grit over five minutes is planned silently]. */
const LONG = 300

/** Grits that take very long, or that do not do it with the pieces there are. */
function longGrits({ steps }: PlanTrace): Remark[] {
  return steps.flatMap(({ step, grit }): Remark[] => {
    if (!grit || !isGrit(step) || step.kind === 'cut back') return []
    const name = abrasiveName(step.abrasive)
    const coarser = 'A coarser grit before it would do that in a fraction of the time.'
    if (!grit.reaches && step.kind !== 'level') {
      const says = `${name} does not take out what is before it, with ${MOST_PIECES} pieces or as many as there are.`
      return [{ weight: 'gap', says, remedy: coarser, shelf: 'abrasives' }]
    }
    if (grit.seconds <= LONG) return []
    return [{ weight: 'note', says: `${name} is sanded for ${formatSpan(grit.seconds)} here.`, remedy: coarser }]
  })
}

/** What a levelling does not reach stays uneven. */
function leftUneven({ steps }: PlanTrace): Remark[] {
  const short = steps.find(({ step, after }) => step.kind === 'level' && after.film.unevenness > 0.1)
  if (!short || short.step.kind !== 'level') return []
  const stays = `${decimal(short.after.film.unevenness)} of ${decimal(short.before.film.unevenness)} µm`
  const says = `${abrasiveName(short.step.abrasive)} does not take all the unevenness: ${stays} stay.`
  const remedy = 'Put a coarser wet paper on the shelf, P320 or P400, or level again with a fresh piece.'
  return [{ weight: 'note', says, remedy, shelf: 'abrasives' }]
}

/** Stages of levelling that the method asks for and the film does not bear yet. */
function putOffStages({ inputs, steps }: Plan): Remark[] {
  const { levelling } = inputs.method
  if (typeof levelling !== 'number' || !hasFilm(inputs.method)) return []
  const coats = steps.findIndex(step => step.kind === 'coat')
  let since = 0
  for (const [index, step] of steps.entries()) {
    if (step.mend) continue
    if (step.kind === 'level') since = 0
    else if (step.kind === 'coat' && ++since === levelling && steps[index + 1]?.kind !== 'level') {
      const before = steps.slice(coats, index + 1)
      const abrasive = levelGritFor(inputs, coatsSince(before))
      const more = steps.slice(index + 1).filter(isKind('coat')).length
      const risk = abrasive ? stageRisk(inputs, before, { id: 'level', kind: 'level', phase: 'coat', barrels: step.barrels, abrasive }) : 0
      if (risk <= STAGE_RISK || !more) continue
      const says = `It is not levelled after coat ${step.number} yet: ${chance(risk)} to go through to the wood.`
      return [{ weight: 'note', says, remedy: 'It is levelled once the film bears it; a finer levelling paper takes less.' }]
    }
  }
  return []
}

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
  if (!last || method.levelling === 'never' || !hasFilm(method)) return []
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
  const asked = ({ kind }: Step) => (kind === 'sand' ? jumpOf(inputs) : inputs.method.greatestJump)
  const lifted = greatestOf(steps.filter(({ step, grit }) => (grit?.jump ?? 0) > asked(step) + 1e-6))
  if (!lifted?.grit?.jump || !isGrit(lifted.step)) return []
  const own = inputs.wishes.ladder && lifted.step.kind === 'sand'
  const [jump, wished] = [trimmed(lifted.grit.jump, 2), trimmed(asked(lifted.step), 2)]
  const to = abrasiveName(lifted.step.abrasive)
  const says = own
    ? `To ${to} is a jump of ${jump} in your own ladder; ${wished} is wished for.`
    : `No ladder of this shelf keeps to jumps of ${wished}: the smallest it can keep is ${jump}, to ${to}.`
  return [{ weight: 'note', says, remedy: 'A grit between them on the shelf would be quicker and surer.' }]
}

const greatestOf = (steps: readonly StepTrace[]): StepTrace | undefined =>
  steps.reduce<StepTrace | undefined>((most, one) => ((one.grit?.jump ?? 0) > (most?.grit?.jump ?? 0) ? one : most), undefined)
