import type { Finding } from '../../defects'
import { formatSpan } from '../../format'
import type { WaitPurpose } from '../../shelf'
import type { OffTime } from '../replay'
import { nameIn, tells, type Case } from './case'

/** Coats and levellings that came too early or too late. */
export function waitsTell({ state, done }: Case): Finding[] {
  const last = (purpose: WaitPurpose, when: OffTime['when']) =>
    state.offTime.findLast(one => one.purpose === purpose && one.when === when && done.some(each => each.step.id === one.step))
  const name = ({ step }: OffTime) => nameIn(state.plan, state.plan.steps.find(one => one.id === step))
  const gated = done.some(one => one.step.gate?.purpose === 'next coat')
  const [early, late, levelled] = [last('next coat', 'early'), last('next coat', 'late'), last('level', 'early')]
  return [
    ...(early ? [tells('coat early', true, `${name(early)} went on ${formatSpan(early.by)} early`)] : []),
    ...(!early && gated ? [tells('coat early', false, 'Every coat kept its wait')] : []),
    ...(levelled ? [tells('level early', true, `Levelled ${formatSpan(levelled.by)} before it was hard`)] : []),
    ...(late ? [tells('coat late', true, `${name(late)} came ${formatSpan(late.by)} after its latest time`)] : []),
    ...(!late && gated ? [tells('coat late', false, 'No coat came too late')] : []),
  ]
}
