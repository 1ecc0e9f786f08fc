import { eventAt, methodOf, momentAt, planFor, recordOf } from '../../tests/support/inputs'
import { fitBuild } from '../film'
import type { Entry } from './event'
import { buildGrowths } from './growths'
import { replay } from './replay'
import { usesOf } from './uses'
import { boardOf } from './board'

const plan = planFor('apple', 'click-8', { method: methodOf('ca-medium-only') })
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })
const measure = (diameter: number, step: string, fromTip = 30): Entry => ({
  kind: 'measure',
  payload: { barrel: 'only', fromTip, diameter, step },
})
/** Everything up to the coats is done at the beginning; then what is entered, a minute apart or at its own second. */
const log = (entries: [number, Entry][]) => [
  ...plan.steps
    .slice(
      0,
      plan.steps.findIndex(step => step.kind === 'coat'),
    )
    .map((step, index) => eventAt(index - 100, index, done(step.id))),
  ...entries.map(([at, entry], index) => eventAt(at, 200 + index, entry)),
]

const growthsOf = (events: ReturnType<typeof log>) => buildGrowths(boardOf(plan, events), 'A1')

describe('what coats build, from diameters', () => {
  it('two readings with coats between them are a growth of the radius, less half of what became uneven', () => {
    const [found] = growthsOf(log([
      [0, measure(11.0, 'coat.1')],
      [60, done('coat.1')],
      [120, done('coat.2')],
      [180, measure(11.12, 'coat.3')],
    ]))
    // 60 µm on the radius; two medium coats on foam are 0.6 × 22 × √2 uneven.
    expect(found).toMatchObject({ id: 'A1, coat 1 to 2', coats: { 'medium-ca': 2 }, places: 1 })
    expect(found!.growth).toBeCloseTo(60 - (0.6 * 22 * Math.SQRT2) / 2, 6)
  })
  it('places measured between the same coats are one growth, their mean', () => {
    const found = growthsOf(log([
      [0, measure(11.0, 'coat.1', 5)],
      [1, measure(11.4, 'coat.1', 50)],
      [60, done('coat.1')],
      [120, measure(11.06, 'coat.2', 5)],
      [121, measure(11.42, 'coat.2', 50)],
    ]))
    expect(found).toHaveLength(1)
    expect(found[0]).toMatchObject({ places: 2 })
    expect(found[0]!.growth).toBeCloseTo(20 - (0.6 * 22) / 2, 6)
  })
  it('a place is the same within a millimetre along one barrel, and the coats are named by their numbers', () => {
    const grown = (fromTip: number, coats: number) =>
      growthsOf(log([
        [0, measure(11, 'coat.1', 5)],
        ...Array.from({ length: coats }, (_, index): [number, Entry] => [60 + index, done(`coat.${index + 1}`)]),
        [180, measure(11.1, 'coat.1', fromTip)],
      ])).map(one => one.id)
    expect([4, 6].map(fromTip => grown(fromTip, 1))).toEqual([['A1, coat 1'], ['A1, coat 1']])
    expect([3.9, 6.1].map(fromTip => grown(fromTip, 1))).toEqual([[], []])
    expect(grown(5, 3)).toEqual(['A1, coat 1 to 3'])
  })
  it('nothing is learnt across a levelling, from another place, or from one reading', () => {
    const level = plan.steps.find(step => step.kind === 'level')!.id
    const coats = plan.steps.filter(step => step.kind === 'coat').map(step => step.id)
    expect(
      growthsOf(log([
        [0, measure(11, coats.at(-1)!)],
        [60, done(coats.at(-1)!)],
        [70, done(level)],
        [80, measure(11.02, 'polish')],
      ])),
    ).toEqual([])
    expect(
      growthsOf(log([
        [0, measure(11, 'coat.1', 5)],
        [60, done('coat.1')],
        [70, measure(11.02, 'coat.2', 50)],
      ])),
    ).toEqual([])
  })
  it('what builds no film grows nothing, though it was put on between two readings', () => {
    const oiled = planFor('apple', 'click-8', { method: methodOf('oil') })
    const oil = oiled.steps.find(step => step.kind === 'coat')!.id
    const events = [eventAt(0, 1, measure(11, oil)), eventAt(60, 2, done(oil)), eventAt(120, 3, measure(11.02, oil))]
    expect(buildGrowths(boardOf(oiled, events), 'O1')).toEqual([])
  })
  it('and shows in the fit', () => {
    const growths = growthsOf(log([
      [0, measure(11.0, 'coat.1')],
      [60, done('coat.1')],
      [120, done('coat.2')],
      [180, measure(11.12, 'coat.3')],
    ]))
    const fit = fitBuild(growths, { 'medium-ca': 25 })
    expect(fit.products['medium-ca']!.build).toBeGreaterThan(25)
    expect(fit.products['medium-ca']!.measurements).toBe(1)
  })
})

describe('waits that follow the air', () => {
  const first = log([[0, done('coat.1')]])
  const air = (seconds: number, celsius: number) => ({ at: momentAt(seconds), celsius, humidity: 55 })
  const until = (readings: ReturnType<typeof air>[]) =>
    (Date.parse(replay(plan, first, readings).waits.find(wait => wait.before === 'coat.2')!.until) - Date.parse(momentAt(0))) / 1000

  it('half a wait in air ten degrees colder takes 1.4 times as long for its other half', () => {
    // Medium CA with accelerator: 22 s at 21 °C.
    expect(until([])).toBeCloseTo(22, 3)
    expect(until([air(11, 11)])).toBeCloseTo(11 + 1.4 * 11, 3)
    expect(until([air(-3600, 31)])).toBeCloseTo(22 / 1.4, 3)
    expect(until([air(600, 1)])).toBeCloseTo(22, 3)
  })
  it('the record keeps the wait as the air was', () => {
    const events = log([
      [0, done('coat.1')],
      [25, done('coat.2')],
    ])
    const shortBy = (readings: ReturnType<typeof air>[]) =>
      recordOf(plan, events, readings).rows.find(row => row.step.id === 'coat.2')!.wait!.shortBy
    expect(shortBy([])).toBe(0)
    expect(shortBy([air(11, 11)])).toBeCloseTo(11 + 1.4 * 11 - 25, 3)
  })
})

describe('early and late', () => {
  it('a coat that went on before its time is told, with how much was missing; one second is no matter', () => {
    const early = (second: number) =>
      replay(
        plan,
        log([
          [0, done('coat.1')],
          [second, done('coat.2')],
        ]),
      ).offTime.filter(one => one.step === 'coat.2')
    expect(early(15)).toEqual([{ step: 'coat.2', purpose: 'next coat', when: 'early', by: 7 }])
    expect(early(21.5)).toEqual([])
    expect(early(40)).toEqual([])
  })
  it('an oil that was wiped off too late is told as well', () => {
    const oiled = planFor('apple', 'click-8', { method: methodOf('oil') })
    const on = oiled.steps.find(step => step.kind === 'coat')!.id
    const wiped = (minutes: number) => replay(oiled, [eventAt(0, 1, done(on)), eventAt(minutes * 60, 2, done(`wipe.${on}`))]).offTime
    expect(wiped(15)).toEqual([])
    expect(wiped(5)).toMatchObject([{ when: 'early', by: 300 }])
    expect(wiped(40)).toMatchObject([{ when: 'late', by: 900 }])
  })
})

it('what is on has come out of the bottle', () => {
  const uses = usesOf(boardOf(plan, log([
    [0, done('coat.1')],
    [60, done('coat.2')],
  ])),
  )
  expect(uses.map(use => [use.product, use.at])).toEqual([
    ['medium-ca', momentAt(0)],
    ['medium-ca', momentAt(60)],
  ])
  expect(uses[0]!.ml).toBeGreaterThan(0.02)
  expect(usesOf(boardOf(plan, []))).toEqual([])
})

describe('a sand-through at the bench', () => {
  const staged = planFor('apple', 'click-8', { method: methodOf('ca-thin-staged') })
  const upTo = (step: string) =>
    staged.steps
      .slice(
        0,
        staged.steps.findIndex(one => one.id === step),
      )
      .map((one, index) => eventAt(index - 200, index, done(one.id)))
  const colour: Entry = { kind: 'check', payload: { step: 'level.after.4', check: 'colour', answer: 'no' } }
  const noted = eventAt(2, 301, {
    kind: 'defect',
    payload: { kind: 'sand-through', barrel: 'only', fromTip: 12, size: 2, step: 'level.after.4' },
  })
  const events = [
    ...upTo('level.after.4'),
    eventAt(1, 300, colour),
    noted,
    eventAt(3, 302, { kind: 'repair', payload: { defect: noted.id, way: 'more coats', step: 'level.after.4' } }),
  ]

  it('its cover comes next, what was seen is looked at anew, and levelling again mends it', () => {
    const state = replay(staged, events)
    expect(state.next).toMatchObject({ kind: 'coat', mends: noted.id })
    expect(state.checks.size).toBe(0)
    expect(state.defects[0]!.status).toBe('mending')
    const covers = state.plan.steps.filter(step => step.kind === 'coat' && step.mends === noted.id)
    const covered = [...events, ...covers.map((step, index) => eventAt(20 + index * 60, 310 + index, done(step.id)))]
    expect(replay(staged, covered).next!.id).toBe('level.after.4')
    expect(replay(staged, [...covered, eventAt(900, 400, done('level.after.4'))]).defects[0]!.status).toBe('mended')
  })

  it('taken back, the plan is as it was and the answer stands again', () => {
    const back = replay(staged, [...events, eventAt(9, 399, { kind: 'undo', payload: { entries: [events.at(-1)!.id] } })])
    expect(back.plan.steps).toEqual(staged.steps)
    expect(back.checks.size).toBe(1)
  })
})
