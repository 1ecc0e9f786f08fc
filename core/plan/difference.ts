import { abrasiveName } from '../abrasives'
import { formatSpan } from '../units'
import { coatCount, type Plan, type Step } from './plan'
import { trace } from './trace'

/** What another plan would change, in short lines; empty when the work and its waits are the same. */
export function planDifference(now: Plan, other: Plan): string[] {
  const lines: string[] = []
  const [had, has] = [grits(now), grits(other)]
  const [gone, come] = [had.filter(name => !has.includes(name)), has.filter(name => !had.includes(name))]
  if (gone.length) lines.push(`without ${gone.join(', ')}`)
  if (come.length) lines.push(`with ${come.join(', ')}`)
  if (coatCount(now) !== coatCount(other)) lines.push(`${coatCount(other)} coats, not ${coatCount(now)}`)
  const [before, after] = [rest(now), rest(other)]
  if (before !== after && !lines.length) lines.push('other products or settings')
  const waits = trace(other).untilHandOver.value - trace(now).untilHandOver.value
  if (Math.abs(waits) >= 60) lines.push(`ready ${formatSpan(Math.abs(waits))} ${waits < 0 ? 'sooner' : 'later'}`)
  return lines
}

const grits = (plan: Plan): string[] => plan.steps.flatMap(step => 'abrasive' in step ? [`${abrasiveName(step.abrasive)}${step.phase === 'level' ? ' on the film' : ''}`] : [])

/** Everything else of the steps that a turner would notice, as text. */
const rest = (plan: Plan): string => plan.steps.filter(step => !('abrasive' in step) && step.kind !== 'coat').map(stepText).join(' ')
  + plan.steps.flatMap(step => step.kind === 'coat' ? [`${step.product.id}${step.accelerated}`] : []).join(' ')

const stepText = (step: Step): string =>
  `${step.id}${'product' in step ? step.product?.id : ''}${'accelerated' in step ? step.accelerated : ''}${'how' in step ? step.how : ''}`
