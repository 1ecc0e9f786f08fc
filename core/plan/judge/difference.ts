import { abrasiveName } from '../../abrasives'
import { formatSpan } from '../../format'
import { coatCount, isGrit, type Plan, type Step } from '../model'
import { trace } from '../trace'

/** Waits that differ by less than this are the same, s. */
const ALIKE = 60

/** What another plan would change, in short lines; empty when the work and its waits are the same. */
export function planDifference(now: Plan, other: Plan): string[] {
  const [had, has] = [grits(now), grits(other)]
  const [gone, come] = [had.filter(name => !has.includes(name)), has.filter(name => !had.includes(name))]
  const waits = trace(other).untilHandOver.value - trace(now).untilHandOver.value
  const lines = [
    ...(gone.length ? [`without ${gone.join(', ')}`] : []),
    ...(come.length ? [`with ${come.join(', ')}`] : []),
    ...(coatCount(now) === coatCount(other) ? [] : [`${coatCount(other)} coats, not ${coatCount(now)}`]),
  ]
  return [
    ...lines,
    ...(!lines.length && otherwise(now) !== otherwise(other) ? ['other products or settings'] : []),
    ...(Math.abs(waits) < ALIKE ? [] : [`ready ${formatSpan(Math.abs(waits))} ${waits < 0 ? 'sooner' : 'later'}`]),
  ]
}

const grits = ({ steps }: Plan): string[] =>
  steps.filter(isGrit).map(step => `${abrasiveName(step.abrasive)}${step.phase === 'level' ? ' on the film' : ''}`)

/** Everything else of the steps that a turner would notice, as text to compare. */
const otherwise = ({ steps }: Plan): string => steps.filter(step => !isGrit(step)).map(noticed).join(' ')

function noticed(step: Step): string {
  if (step.kind === 'coat') return `${step.product.id} ${step.accelerated}`
  const product = 'product' in step ? step.product?.id : ''
  return [step.id, product, 'accelerated' in step && step.accelerated, 'how' in step && step.how].join(' ')
}
