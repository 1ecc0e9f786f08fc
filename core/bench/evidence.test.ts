import { causes, evidence } from '../../reference'
import { eventAt, idOf, methodOf, momentAt, planFor } from '../../tests/support/inputs'
import { diagnose, type DefectKind, type Finding } from '../defects'
import type { Plan } from '../plan'
import { answersOf, findingsOf } from './evidence'
import type { BenchEvent, Entry } from './event'
import { record } from './record'
import { replay } from './replay'

const plan = planFor('apple', 'click-8')
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })
/** All steps before one, `gap` s apart, ending at second 0. */
const before = (of: Plan, step: string, gap = 40) => {
  const ids = of.steps.map(one => one.id)
  return ids.slice(0, ids.indexOf(step)).map((id, index, all) => eventAt((index - all.length + 1) * gap, index, done(id)))
}
const noted = (kind: DefectKind, at: number, step: string, fromTip = 20) => eventAt(at, 700, { kind: 'defect', payload: { kind, barrel: 'only', fromTip, size: 1, step } })

function told(of: Plan, log: BenchEvent[], air: { at: string, celsius: number, humidity: number }[] = []): Map<string, Finding> {
  const state = replay(of, log, air)
  return new Map(findingsOf(state.defects[0]!, state, record(of, log, air), log, air).map(one => [one.evidence, one]))
}

it('a coat that went on early is evidence, with how much; one kept is evidence against', () => {
  const base = before(plan, 'coat.2')
  // Coat 1 was the last before second 0; its wait is 75 s.
  const early = told(plan, [...base, eventAt(55, 600, done('coat.2')), noted('white dots', 60, 'coat.3')])
  expect(early.get('coat early')).toMatchObject({ holds: true, says: 'Coat 2 went on 20 s early' })
  const kept = told(plan, [...base, eventAt(90, 600, done('coat.2')), noted('white dots', 95, 'coat.3')])
  expect(kept.get('coat early')).toMatchObject({ holds: false })
})

it('a skipped grit, the jump it makes, and a grit cut short are named', () => {
  const [first, second] = plan.steps.filter(step => step.kind === 'sand')
  const log = [...before(plan, second!.id), eventAt(20, 600, { kind: 'skip', payload: { step: second!.id } })]
  const next = plan.steps[plan.steps.indexOf(second!) + 1]!
  const found = told(plan, [...log, eventAt(25, 601, done(next.id)), noted('ring scratches', 30, 'clean')])
  expect(found.get('grit skipped')).toMatchObject({ holds: true, says: `P${second!.kind === 'sand' ? second!.abrasive.mark : ''} was skipped` })
  expect(found.get('grit cut short')).toMatchObject({ holds: true })
  expect(found.get('grit cut short')!.says).toMatch(/had 5 s where about .+ is planned/)
  expect(first).toBeDefined()
})

it('the air at the coats is read off as it was', () => {
  const damp = [{ at: momentAt(-3600), celsius: 9, humidity: 78 }]
  const found = told(plan, [...before(plan, 'coat.3'), noted('white dots', 5, 'coat.3')], damp)
  expect(found.get('damp air')).toMatchObject({ holds: true })
  expect(found.get('damp air')!.says).toMatch(/Humidity was 78 %/)
  expect(found.get('near dew point')).toMatchObject({ holds: true })
  expect(found.get('cold air')).toMatchObject({ holds: true })
})

it('a medium coat of double thickness shows in the diameters', () => {
  const medium = planFor('apple', 'click-8', { method: methodOf('ca-medium-only') })
  const at = (second: number, number: number, diameter: number) => eventAt(second, number, { kind: 'measure', payload: { barrel: 'only', fromTip: 30, diameter, step: 'coat.1' } })
  const found = told(medium, [...before(medium, 'coat.1'), at(1, 600, 11), eventAt(30, 601, done('coat.1')), at(60, 602, 11.11), noted('ridges', 70, 'coat.2')])
  expect(found.get('thick coats')).toMatchObject({ holds: true })
  expect(found.get('thick coats')!.says).toMatch(/grew 51 µm where 25 is reckoned/)
  expect(found.get('medium CA')).toMatchObject({ holds: true })
})

it('what was answered in the preparation, where it lies and when it came count too', () => {
  const log = [...before(plan, 'turn'), eventAt(1, 600, { kind: 'check', payload: { step: 'tube', check: 'cover', answer: 'no' } })]
  const found = told(plan, [...log, noted('chip', 5, 'turn', 1)])
  expect([...['glue gap', 'at an end', 'while turning'].map(id => found.get(id)?.holds)]).toEqual([true, true, true])
  expect(found.has('damp air')).toBe(false)
})

it('only what came before the defect speaks', () => {
  const log = [...before(plan, 'coat.2'), noted('white dots', 10, 'coat.2'), eventAt(20, 600, done('coat.2'))]
  expect(told(plan, log).has('coat early')).toBe(false)
})

it('log and answers together move the causes: ends cut inward, said, and the place at the end', () => {
  const log = [...before(plan, 'turn'), noted('chip', 5, 'turn', 1)]
  const chances = (events: BenchEvent[]) => {
    const state = replay(plan, events)
    const defect = state.defects[0]!
    const { findings, asked } = answersOf(defect, evidence)
    return { ...diagnose('chip', causes, evidence, [...findingsOf(defect, state, record(plan, events), events, []), ...findings], {}, asked), asked }
  }
  const said = eventAt(6, 601, { kind: 'answer', payload: { defect: idOf(700), question: 'cut inward', answer: 'yes' } })
  const [before_, after] = [chances(log), chances([...log, said])]
  const inward = (of: typeof after) => of.causes.find(one => one.id === 'ends inward')!.chance
  expect(inward(after)).toBeGreaterThan(1.5 * inward(before_))
  expect(after.causes[0]!.for.map(one => one.says)).toContain('Were the ends cut from the outside inward? Yes')
  // “Not known” changes nothing, and is not asked again.
  const unknown = chances([...log, eventAt(6, 601, { kind: 'answer', payload: { defect: idOf(700), question: before_.question!.id, answer: 'not known' } })])
  expect(unknown.causes).toEqual(before_.causes)
  expect(unknown.question?.id).not.toBe(before_.question!.id)
})
