import { abrasiveName } from '../../abrasives'
import type { Finding } from '../../defects'
import { decimal, formatSpan, list, share } from '../../format'
import { gritAtWork, type StepOf } from '../../plan'
import { grainOf } from '../../shelf'
import { either, greatest, tells, type Case } from './case'

/** A grit worked for less than this part of its planned time was cut short [model]. */
const SHORT = 0.5
/** For more than this it was long [model]. */
const LONG = 2
/** A piece this far gone is worn. */
const WORN = 0.6

/** Grits skipped, jumped, cut short, drawn out, hot or worn; nothing before the first was used. */
export function gritsTell(about: Case): Finding[] {
  const used = about.done.flatMap(({ step }) => (step.kind === 'sand' ? [step] : []))
  return used.length ? [...skippedGrits(about), ...jumpTells(about, used), ...timesTell(about, used), ...heatAndWear(about, used)] : []
}

type Grits = readonly StepOf<'sand'>[]

function skippedGrits({ skipped }: Case): Finding[] {
  const names = skipped.flatMap(({ step }) => (step.kind === 'sand' ? [abrasiveName(step.abrasive)] : []))
  return [either('grit skipped', names.length > 0, `${list(names)} ${names.length > 1 ? 'were' : 'was'} skipped`, 'No grit was skipped')]
}

function jumpTells({ state: { plan } }: Case, used: Grits): Finding[] {
  const jumps = used.slice(1).flatMap((to, index) => {
    const from = used[index]
    return from ? [{ from, to, jump: grainOf(from.abrasive) / grainOf(to.abrasive) }] : []
  })
  const worst = greatest(jumps, one => one.jump)
  if (!worst) return []
  const jump = decimal(worst.jump, 1)
  const words = `${abrasiveName(worst.from.abrasive)} to ${abrasiveName(worst.to.abrasive)} is a jump of ${jump}`
  return [either('great jump', worst.jump > plan.inputs.method.greatestJump + 1e-6, words, `The greatest jump was ${jump}`)]
}

function timesTell({ record }: Case, used: Grits): Finding[] {
  const timed = record.rows.flatMap(({ step, timing, handsOn, planned }) => {
    const counts = step.kind === 'sand' && timing === 'measured' && handsOn !== null && used.some(one => one.id === step.id)
    return counts ? [{ part: handsOn / Math.max(1, planned), name: abrasiveName(step.abrasive), handsOn, planned }] : []
  })
  const [shortest, longest] = [greatest(timed, one => -one.part), greatest(timed, one => one.part)]
  if (!shortest || !longest) return []
  const words = ({ name, handsOn, planned }: typeof shortest) =>
    `${name} had ${formatSpan(handsOn)} where about ${formatSpan(planned)} is planned`
  return [
    either('grit cut short', shortest.part < SHORT, words(shortest), 'Every grit had its time'),
    either('grit long', longest.part > LONG, words(longest), 'No grit ran long'),
  ]
}

function heatAndWear({ state: { plan }, traced }: Case, used: Grits): Finding[] {
  const hot = used.find(step => gritAtWork(plan, traced, step)?.heat.level === 'hot')
  const worn = used.find(step => (step.abrasive.worn ?? 0) >= WORN)?.abrasive
  return [
    hot
      ? tells('runs hot', true, `${abrasiveName(hot.abrasive)} runs hot at this speed`)
      : tells('runs hot', false, 'No grit runs hot at this speed'),
    ...(worn ? [tells('worn paper', true, `${abrasiveName(worn)} on the shelf has ${share(1 - (worn.worn ?? 0))} of its life left`)] : []),
  ]
}
