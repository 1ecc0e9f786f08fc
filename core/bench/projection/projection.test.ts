import fc from 'fast-check'
import { eventAt, idOf, methodOf, momentAt, planFor } from '../../../tests/support/inputs'
import { trace } from '../../plan'
import { boardOf } from '../board'
import type { BenchEvent, Entry } from '../event'
import { record } from '../record'
import { summarise } from '../summary'
import { unitWords } from '../../units'
import type { Fact } from './facts'
import { project, summaryIn } from './projection'

const plan = planFor('damson', 'click-8', { method: methodOf('ca-medium-only') })
const steps = plan.steps.map(step => step.id)
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })
/** Every step up to one, a minute apart; at a pace that is no clock's where it is uneven. */
const workedTo = (step: string, uneven = 0): BenchEvent[] =>
  steps.slice(0, steps.indexOf(step) + 1).map((id, index) => eventAt(index * 60 + (index % 3 === 2 ? uneven : 0), index + 1, done(id)))
const facts = (events: readonly BenchEvent[], kind: Fact['kind']) => project(plan, events).facts.filter(one => one.kind === kind)
const coat = plan.steps.find(step => step.kind === 'coat')!
const sand = plan.steps.find(step => step.kind === 'sand')!

it('a step that was done is a fact: when, how long hands were on it, and how that is known', () => {
  const log = workedTo(sand.id, 8)
  const found = facts(log, 'step')
  expect(found.map(one => one.kind === 'step' && one.step)).toEqual(steps.slice(0, steps.indexOf(sand.id) + 1))
  const planned = trace(plan).steps[0]!.handsOn.value
  // The first has nothing before it to measure from; each other took the minute since.
  expect(found[0]).toEqual({
    kind: 'step', about: 'parts', at: momentAt(0), step: 'parts', seconds: planned, timing: 'planned', planned,
    setUp: { kind: 'set-up', which: 'parts' },
  })
  expect(found[1]).toMatchObject({ about: 'cut', at: momentAt(60), seconds: 60, timing: 'measured' })
  const said = eventAt(9000, 900, { kind: 'time', payload: { step: 'cut', seconds: 300 } })
  expect(facts([...log, said], 'step')[1]).toMatchObject({ seconds: 300, timing: 'yours' })
  const skipped = eventAt(30, 901, { kind: 'skip', payload: { step: 'parts' } })
  expect(facts([skipped], 'step')).toEqual([])
})
it('steps that were typed in after the work, at one pace, are told as planned', () => {
  const typed = facts(workedTo(sand.id), 'step')
  expect(typed.every(one => one.kind === 'step' && one.timing === 'planned' && one.seconds === one.planned)).toBe(true)
})
it('what a pen tells once it is over has its minutes where they were measured, none where it was typed in afterwards', () => {
  const last = steps.at(-1)!
  expect(project(plan, workedTo(steps.at(-2)!, 8)).told).toBeUndefined()
  const { figures } = project(plan, workedTo(last, 8)).told!
  expect(figures.minutes).toBeGreaterThan(steps.length * 0.8)
  expect(project(plan, workedTo(last)).told).toMatchObject({ finished: true, scrapped: false, figures: {} })
  // One time that was said does not tell the whole.
  const said = eventAt(9000, 900, { kind: 'time', payload: { step: 'cut', seconds: 300 } })
  expect(project(plan, [...workedTo(last), said]).told!.figures).toEqual({})
})
it('a wait is a fact: what for, how long, and what was cut off it', () => {
  const found = facts(workedTo(coat.id), 'wait')
  const short = found.find(one => one.kind === 'wait' && one.shortBy > 0)!
  expect(short).toMatchObject({ about: 'square', seconds: expect.any(Number) })
  // A minute after the tube was glued in; all the rest of the wait is missing.
  if (short.kind === 'wait') expect(short.shortBy).toBeCloseTo(short.seconds - 60, 3)
  expect(short).toMatchObject({ waited: 60, air: { celsius: plan.inputs.climate.celsius, humidity: plan.inputs.climate.humidity } })
})
it('the picture of a pen is the one that was taken last and stands; a remark without one changes nothing', () => {
  const remark = (second: number, number: number, photo?: string) =>
    eventAt(second, number, { kind: 'remark', payload: { text: 'So it is', step: null, ...(photo ? { photo } : {}) } })
  const log = [remark(10, 500, 'first'), remark(20, 501, 'second'), remark(30, 502)]
  expect(project(plan, log).summary.picture).toBe('second')
  expect(project(plan, [...log, eventAt(40, 503, { kind: 'undo', payload: { entries: [idOf(501)] } })]).summary.picture).toBe('first')
  expect(project(plan, [remark(30, 502)]).summary).not.toHaveProperty('picture')
})
it('the air of a wait is that half-way through it', () => {
  const log = workedTo(coat.id)
  const [short] = project(plan, log).facts.filter(one => one.kind === 'wait' && one.about === 'square')
  // It was a minute long; the air changed when a third of it was over, and again near its end.
  const at = (before: number) => new Date(Date.parse(short!.at) - 1000 * before).toISOString()
  const air = [[90, 10], [40, 20], [5, 30]].map(([before, celsius]) => ({ at: at(before!), celsius: celsius!, humidity: 50 }))
  expect(project(plan, log, air).facts.find(one => one.kind === 'wait' && one.about === 'square')).toMatchObject({ air: { celsius: 20 } })
})
it('looks by the abrasive, diameters by the barrel, coats by the bottle, paper by what it is', () => {
  const look = eventAt(5000, 800, { kind: 'look', payload: { step: sand.id, answer: 'not yet' } })
  const measured = eventAt(5001, 801, { kind: 'measure', payload: { barrel: 'only', fromTip: 5, diameter: 11.2, step: coat.id } })
  const log = [...workedTo(coat.id), look, measured]
  const about = 'abrasive' in sand ? sand.abrasive.id : ''
  expect(facts(log, 'look')).toEqual([{ kind: 'look', about, at: momentAt(5000), step: sand.id, answer: 'not yet' }])
  expect(facts(log, 'diameter')).toEqual([{ kind: 'diameter', about: 'only', at: momentAt(5001), step: coat.id, fromTip: 5, mm: 11.2 }])
  expect(facts(log, 'use')).toEqual([{ kind: 'use', about: coat.product.id, at: expect.any(String), ml: expect.any(Number) }])
  const grit = trace(plan).steps.find(one => one.step.id === sand.id)!.grit!
  expect(facts(log, 'sheet')[0]).toMatchObject({ about, step: sand.id, seconds: grit.seconds, pieces: grit.pieces })
  // A look at a step that is no grit tells of no abrasive.
  expect(facts([eventAt(1, 1, { kind: 'look', payload: { step: 'cut', answer: 'not yet' } })], 'look')).toEqual([])
})
it('a defect is a fact with its cause, its mends and how it stands', () => {
  const payload = { kind: 'chip' as const, barrel: 'only' as const, fromTip: 10, size: 0.5, step: 'turn' }
  const chip = eventAt(4000, 700, { kind: 'defect', payload })
  const judged = eventAt(4001, 701, { kind: 'judge', payload: { defect: idOf(700), cause: 'dull tool' } })
  const log = [...workedTo('turn'), chip, judged]
  const noted = { about: 'chip', found: 'turn', defect: { judged: 'dull tool', status: 'open' } }
  expect(facts(log, 'defect')).toMatchObject([noted])
  expect(facts(log, 'defect')[0]).not.toHaveProperty('defect.answers')
})
it('what coats build and how the turner sands are facts by their product and their class of wood', () => {
  const at = (seconds: number, number: number, diameter: number) =>
    eventAt(seconds, number, { kind: 'measure', payload: { barrel: 'only', fromTip: 5, diameter, step: coat.id } })
  const log = workedTo(coat.id)
  const on = log.length * 60 - 60
  const grown = facts([...log, at(on - 1, 600, 11), at(on + 1, 601, 11.06)], 'growth')
  const film = trace(plan).steps.find(one => one.step.id === coat.id)!
  const planned = film.after.film.mean - film.before.film.mean
  expect(planned).toBeGreaterThan(0)
  expect(grown).toMatchObject([{ about: coat.product.id, at: momentAt(on + 1), places: 1, planned }])
  expect(facts(log, 'sanding').every(one => one.about === 'close-grained' || one.about === 'bleeding')).toBe(true)
})
it('the summary stands in any units, and is what the bench shows', () => {
  const log = workedTo('turn')
  const { summary } = project(plan, log)
  const board = boardOf(plan, log)
  for (const units of ['metric', 'inch', 'inch64'] as const) expect(summaryIn(summary, units)).toEqual(summarise(board, unitWords(units)))
  expect(summary.handsOnDone).toBe(record(board.state, board.traced).handsOn)
  for (const word of ['damson', plan.inputs.fitting.name.toLowerCase(), plan.inputs.method.name.toLowerCase()])
    expect(summary.text).toContain(word)
  const end = project(plan, steps.map((step, index) => eventAt(index * 86_400, index + 1, done(step)))).summary
  expect([end.stage, end.next, summaryIn(end, 'inch').next, end.waits]).toEqual(['finished', null, null, []])
})
it('any order and any repetition of the same entries gives the same rows (property)', () => {
  const log = [
    ...workedTo('turn'),
    eventAt(4000, 700, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 10, size: 0.5, step: 'turn' } }),
    eventAt(4100, 701, { kind: 'repair', payload: { defect: idOf(700), way: 'thin CA', step: 'turn' } }),
    eventAt(4200, 702, { kind: 'undo', payload: { entries: [idOf(3)] } }),
  ].map((event, index) => ({ ...event, device: index % 2 ? 'tablet' : 'bench' }))
  const whole = project(plan, log)
  fc.assert(
    fc.property(fc.shuffledSubarray(log, { minLength: log.length }), fc.subarray(log), (shuffled, again) => {
      expect(project(plan, [...shuffled, ...again])).toEqual(whole)
    }),
    { numRuns: 40 },
  )
})
