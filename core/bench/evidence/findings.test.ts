import { causes, evidence } from '../../../reference'
import { eventAt, idOf, methodOf, momentAt, planFor, usualShelf, without } from '../../../tests/support/inputs'
import { decimal } from '../../format'
import { grainOf } from '../../shelf'
import type { DefectKind, Finding } from '../../defects'
import { trace, type Plan } from '../../plan'
import { boardOf } from '../board'
import { findingsOf, whyDefect } from './findings'
import type { BenchEvent, Entry } from '../event'
import { record } from '../record'

const plan = planFor('apple', 'click-8', { wishes: { tool: 'gouge', film: 'gloss' } })
/** Two coats of a thin glue: under a coarse paper, which may well go through, and under the usual one, which may at the edges. */
const twoCoats = { ...methodOf('ca-thin-staged'), layers: methodOf('ca-thin-staged').layers.map(layer => ({ ...layer, count: 2 })) }
const thin = planFor('apple', 'click-8', { method: twoCoats, shelf: without('P-400', 'P-500', 'P-600', 'P-800') })
const edgy = planFor('apple', 'click-8', { method: twoCoats })
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })
/** All steps before one, `gap` s apart, ending at second 0. */
const before = (of: Plan, step: string, gap = 40) => {
  const ids = of.steps.map(one => one.id)
  return ids.slice(0, ids.indexOf(step)).map((id, index, all) => eventAt((index - all.length + 1) * gap, index, done(id)))
}
const noted = (kind: DefectKind, at: number, step: string, fromTip = 20) =>
  eventAt(at, 700, { kind: 'defect', payload: { kind, barrel: 'only', fromTip, size: 1, step } })

function findings(of: Plan, log: BenchEvent[], air: { at: string, celsius: number, humidity: number }[] = []): Finding[] {
  const board = boardOf(of, log, air)
  return findingsOf(board.state.defects[0]!, board, record(board.state, board.traced, air), air)
}

function told(of: Plan, log: BenchEvent[], air: { at: string, celsius: number, humidity: number }[] = []): Map<string, Finding> {
  return new Map(findings(of, log, air).map(one => [one.evidence, one]))
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
  expect(found.get('grit skipped')).toMatchObject({
    holds: true,
    says: `P${second!.kind === 'sand' ? second!.abrasive.mark : ''} was skipped`,
  })
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
  const at = (second: number, number: number, diameter: number) =>
    eventAt(second, number, { kind: 'measure', payload: { barrel: 'only', fromTip: 30, diameter, step: 'coat.1' } })
  const found = told(medium, [
    ...before(medium, 'coat.1'),
    at(1, 600, 11),
    eventAt(30, 601, done('coat.1')),
    at(60, 602, 11.11),
    noted('ridges', 70, 'coat.2'),
  ])
  expect(found.get('thick coats')).toMatchObject({ holds: true })
  expect(found.get('thick coats')!.says).toMatch(/grew 48 µm where 25 is reckoned/)
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
  const chances = (events: BenchEvent[]) =>
    whyDefect(boardOf(plan, events).state.defects[0]!, findings(plan, events), causes, evidence, { causes: {}, usual: {} })
  const said = eventAt(6, 601, { kind: 'answer', payload: { defect: idOf(700), question: 'cut inward', answer: 'yes' } })
  const [before_, after] = [chances(log), chances([...log, said])]
  const inward = (of: typeof after) => of.causes.find(one => one.id === 'ends inward')!.chance
  expect(inward(after)).toBeGreaterThan(1.5 * inward(before_))
  expect(after.causes[0]!.for.map(one => one.says)).toContain('Were the ends cut from the outside inward? Yes')
  // “Not known” changes nothing, and is not asked again.
  const unknown = chances([
    ...log,
    eventAt(6, 601, { kind: 'answer', payload: { defect: idOf(700), question: before_.question!.id, answer: 'not known' } }),
  ])
  expect(unknown.causes).toEqual(before_.causes)
  expect(unknown.question?.id).not.toBe(before_.question!.id)
})

describe('the coats', () => {
  const wait = (found: Map<string, Finding>, id: string) => [found.get(id)?.holds, found.get(id)?.says]
  it('with accelerator or without, with foam or towel, of which glue, and how many were left out', () => {
    const soaking = told(plan, [...before(plan, 'coat.2'), noted('white dots', 5, 'coat.2')])
    expect(wait(soaking, 'accelerated')).toEqual([false, 'No accelerator so far'])
    expect(wait(soaking, 'towel')).toEqual([false, 'Put on with foam'])
    expect(wait(soaking, 'medium CA')).toEqual([false, 'No medium or thick CA so far'])
    expect(wait(soaking, 'coats left out')).toEqual([false, 'No coat was left out'])
    const skip = (at: number, number: number, step: string) => eventAt(at, number, { kind: 'skip', payload: { step } })
    const left = [...before(plan, 'coat.4'), eventAt(100, 600, done('coat.4')), skip(200, 601, 'coat.5')]
    const one = told(plan, [...left, noted('white dots', 300, 'coat.6')])
    expect(wait(one, 'coats left out')).toEqual([true, '1 coat was left out'])
    expect(one.get('accelerated')!.says).toMatch(/^\d of \d coats with accelerator$/)
    const two = told(plan, [...left, skip(210, 602, 'coat.6'), noted('white dots', 300, 'coat.7')])
    expect(wait(two, 'coats left out')).toEqual([true, '2 coats were left out'])
    const wax = planFor('apple', 'click-8', { method: methodOf('friction-polish') })
    const coat = wax.steps.filter(step => step.kind === 'coat')[1]!.id
    const onWax = told(wax, [...before(wax, coat), noted('white dots', 5, coat)])
    expect(wait(onWax, 'towel')).toEqual([false, 'None of it was CA, which towel grabs'])
  })
  it('out of a bottle past its time, within it, or of no known age', () => {
    const with_ = (bottle: object | undefined) => {
      const shelf = { ...usualShelf, products: usualShelf.products.map(one => (one.id === 'thin-ca' && bottle ? { ...one, bottle } : one)) }
      const of = planFor('apple', 'click-8', { shelf })
      return told(of, [...before(of, 'coat.2'), noted('white dots', 5, 'coat.2')]).get('old bottle')
    }
    // The log begins on 2026-11-23.
    expect(with_({ opened: '2026-11-01', keeps: 21 })).toMatchObject({ holds: true, says: 'Thin CA was past its time' })
    expect(with_({ opened: '2026-11-01', keeps: 22 })).toMatchObject({ holds: false, says: 'The bottle was within its time' })
    expect(with_(undefined)).toBeUndefined()
  })
  it('grown as reckoned are not thick', () => {
    const medium = planFor('apple', 'click-8', { method: methodOf('ca-medium-only') })
    const at = (second: number, number: number, diameter: number) =>
      eventAt(second, number, { kind: 'measure', payload: { barrel: 'only', fromTip: 30, diameter, step: 'coat.1' } })
    const grown = (diameter: number) =>
      told(medium, [
        ...before(medium, 'coat.1'), at(1, 600, 11), eventAt(30, 601, done('coat.1')), at(60, 602, diameter), noted('ridges', 70, 'coat.2'),
      ]).get('thick coats')
    // 25 µm are reckoned; half of what one coat is uneven is taken off, and 1.6 times as much is thick [model].
    const uneven = (0.6 * 22) / 2
    const [less, more] = [1.59, 1.61].map(times => 11 + (2 * (25 * times + uneven)) / 1000)
    expect([grown(less!)!.holds, grown(more!)!.holds]).toEqual([false, true])
    expect(told(medium, [...before(medium, 'coat.1'), at(1, 600, 11), noted('ridges', 70, 'coat.1')]).has('thick coats')).toBe(false)
  })
  it('a levelling that could go through is told by what it takes of what is there', () => {
    const at = (of: Plan) => {
      const level = of.steps.findLast(step => step.kind === 'level')!.id
      const traced = trace(of).steps.find(one => one.step.id === level)!
      const found = told(of, [...before(of, level), eventAt(10, 600, done(level)), noted('sand-through', 20, level)])
      return { found: found.get('thin film')!, traced }
    }
    for (const made of [plan, planFor('apple', 'click-8', { method: methodOf('ca-thin-staged') }), thin, edgy]) {
      const { found, traced } = at(made)
      const { before: film, after, risk } = traced
      const takes = film.film.mean - after.film.mean
      expect(found.says).toBe(`Levelling was to take ${decimal(takes)} of ${decimal(film.film.mean)} µm`)
      expect(found.holds).toBe(risk!.edges > 0.1)
    }
    // One is a risk all over, the other at its edges alone.
    expect([at(thin), at(edgy)].map(one => one.found.holds)).toEqual([true, true])
    expect(at(edgy).traced.risk!.open).toBeLessThan(0.02)
    expect(at(plan).found.holds).toBe(false)
    expect(told(plan, [...before(plan, 'coat.2'), noted('white dots', 5, 'coat.2')]).has('thin film')).toBe(false)
  })
  it('after its latest time is told, by how much; kept in time is told too', () => {
    const oiled = planFor('apple', 'click-8', { method: methodOf('conditioner-wax') })
    const [first, second, third] = oiled.steps.filter(step => step.kind === 'coat').map(step => step.id)
    const at = (hours: number) =>
      told(oiled, [
        ...before(oiled, second!),
        eventAt(hours * 3600, 600, done(second!)),
        noted('white dots', hours * 3600 + 5, third ?? first!),
      ])
    // Wood conditioner takes the next coat within two hours [mem].
    expect(at(1).get('coat late')).toMatchObject({ holds: false, says: 'No coat came too late' })
    expect(at(3).get('coat late')).toMatchObject({ holds: true, says: 'Coat 2 came 1 h after its latest time' })
  })
  it('levelled too early is told by name', () => {
    const level = plan.steps.find(step => step.kind === 'level')!.id
    const found = told(plan, [...before(plan, level), eventAt(60, 600, done(level)), noted('soft film', 70, level)])
    expect(found.get('level early')!.says).toMatch(/^Levelled .* before it was hard$/)
  })
})

describe('the blank and what was done to it', () => {
  const tellsOf = (material: string, change = {}, log: BenchEvent[] = [], step = 'coat.2', of = planFor(material, 'click-8', change)) =>
    told(of, [...before(of, step), ...log, noted('chip', 500, step)])
  it.each([
    ['oily-exotic', 'oily wood'],
    ['oak', 'open pores'],
    ['damson', 'bleeding wood'],
    ['green-resin', 'brittle resin'],
  ])('%s: %s, and none of an apple', (material, evidence_) => {
    const step = material === 'green-resin' ? 'clean' : 'coat.2'
    expect(tellsOf(material, {}, [], step).get(evidence_)!.holds).toBe(true)
    expect(tellsOf('apple').get(evidence_)!.holds).toBe(false)
  })
  it('a bleeding wood whose first coat was no thin seal is told, one that was sealed too', () => {
    expect(tellsOf('damson').get('unsealed')).toMatchObject({ holds: false, says: 'A thin CA coat sealed it first' })
    expect(tellsOf('apple').has('unsealed')).toBe(false)
  })
  it('bushings worn under the metal are told by how much; sound or unmeasured ones are not', () => {
    const fitting = planFor('apple', 'click-8').inputs.fitting
    const worn = (under?: number, end: 'tip' | 'clip' = 'tip') => {
      const [barrel] = fitting.barrels
      const metal = end === 'tip' ? barrel!.tipEnd : barrel!.clipEnd
      const bushings = under === undefined ? {} : { [end]: metal - under }
      return tellsOf('apple', { fitting: { ...fitting, barrels: [{ ...barrel!, bushings }] } }).get('worn bushings')
    }
    expect(worn(0.08)).toMatchObject({ holds: true, says: 'A bushing measures 0.08 mm under the metal' })
    expect(worn(0.08, 'clip')).toMatchObject({ says: 'A bushing measures 0.08 mm under the metal' })
    expect([worn(0.02), worn(-0.2), worn()]).toEqual([undefined, undefined, undefined])
  })
  it('near an end, while turning, with which tool', () => {
    const at = (fromTip: number, step = 'coat.2', tool: 'skew' | 'gouge' = 'skew') => {
      const of = planFor('apple', 'click-8', { wishes: { tool, film: 'gloss' } })
      return told(of, [...before(of, step), noted('chip', 500, step, fromTip)])
    }
    const long = plan.inputs.fitting.barrels[0]!.tubeLength
    expect([3, 3.1, long - 3, long - 3.1].map(place => at(place).get('at an end')!.holds)).toEqual([true, false, true, false])
    expect(at(2).get('at an end')!.says).toBe('It is 2.0 mm from an end')
    expect([at(20, 'turn'), at(20, 'drill'), at(20)].map(found => found.get('while turning')!.holds)).toEqual([true, true, false])
    expect(at(20, 'coat.2', 'gouge').get('coarse tool')).toMatchObject({ holds: true, says: 'It was turned with a gouge' })
    expect(at(20).get('coarse tool')!.holds).toBe(false)
  })
  it('cleaned, not cleaned, wiped wet; measured or not; dried or not', () => {
    expect(tellsOf('apple').get('not cleaned')).toMatchObject({ holds: false, says: 'It was cleaned' })
    const log = before(plan, 'clean')
    const skipped = told(plan, [...log, eventAt(5, 650, { kind: 'skip', payload: { step: 'clean' } }), noted('white dots', 9, 'coat.1')])
    expect(skipped.get('not cleaned')).toMatchObject({ holds: true, says: 'Cleaning was left out' })
    expect(told(plan, [...before(plan, 'turn'), noted('chip', 5, 'turn')]).has('not cleaned')).toBe(false)
    expect(tellsOf('oily-exotic').get('wiped wet')).toMatchObject({ holds: true })
    // Blown off speaks against it.
    expect(tellsOf('apple').get('wiped wet')).toMatchObject({ holds: false, says: 'It was blown off, not wiped' })
    const reading = (at: number) =>
      eventAt(at, 651, { kind: 'measure', payload: { barrel: 'only', fromTip: 0, diameter: 10.1, step: 'turn' } })
    expect(tellsOf('apple').get('not measured')).toMatchObject({ holds: true, says: 'No diameter was measured' })
    expect(tellsOf('apple', {}, [reading(-1)]).get('not measured')).toMatchObject({ holds: false, says: 'It was measured' })
    expect(tellsOf('apple', {}, [reading(501)]).get('not measured')!.holds).toBe(true)
    const said = (answer: 'yes' | 'no') =>
      tellsOf('apple', {}, [eventAt(1, 652, { kind: 'check', payload: { step: 'square', check: 'bore', answer } })]).get('bore not clear')
    expect(said('no')).toMatchObject({ holds: true, says: 'The bore was not clear, it was said' })
    expect(said('yes')).toMatchObject({ holds: false, says: 'The bore was clear, it was said' })
    expect(tellsOf('apple').has('bore not clear')).toBe(false)
  })
})

it('the air is fair evidence as well: never damper, nearer to its dew point, or colder than so', () => {
  const found = told(plan, [...before(plan, 'coat.3'), noted('white dots', 5, 'coat.3')])
  expect(found.get('damp air')).toMatchObject({ holds: false, says: 'Humidity was never over 55 %' })
  expect(found.get('cold air')).toMatchObject({ holds: false, says: 'Never under 21 °C' })
  // 21 °C at 55 %: the dew point lies at 11.6 °C (Magnus with the constants of Alduchov and Eskridge, 1996).
  expect(found.get('near dew point')).toMatchObject({ holds: false, says: 'Never nearer than 9.4 degrees to the dew point' })
  const at = (celsius: number, humidity: number) =>
    told(plan, [...before(plan, 'coat.3'), noted('white dots', 5, 'coat.3')], [{ at: momentAt(-3600), celsius, humidity }])
  expect([65, 66].map(humidity => at(21, humidity).get('damp air')!.holds)).toEqual([false, true])
  expect([12, 11.9].map(celsius => at(celsius, 50).get('cold air')!.holds)).toEqual([false, true])
  expect([75, 76].map(humidity => at(21, humidity).get('near dew point')!.holds)).toEqual([false, true])
})

it('grits in their order: the greatest jump, long ones, worn paper, and none before the first was used', () => {
  const grits = plan.steps.filter(step => step.kind === 'sand')
  const all = told(plan, [...before(plan, 'clean', 60), noted('ring scratches', 30, 'clean')])
  const jumps = grits.slice(1).map((to, index) => grainOf(grits[index]!.abrasive) / grainOf(to.abrasive))
  expect(all.get('great jump')).toMatchObject({ holds: false, says: `The greatest jump was ${decimal(Math.max(...jumps), 1)}` })
  expect(all.get('grit skipped')).toMatchObject({ holds: false, says: 'No grit was skipped' })
  const log = [...before(plan, grits[1]!.id), ...grits.slice(1, -1).map((step, index) =>
    eventAt(20 + index, 600 + index, { kind: 'skip', payload: { step: step.id } }))]
  const far = told(plan, [...log, eventAt(600, 690, done(grits.at(-1)!.id)), noted('ring scratches', 610, 'clean')])
  expect(far.get('great jump')).toMatchObject({ holds: true })
  expect(far.get('great jump')!.says).toMatch(/^P\d+ to P\d+ is a jump of \d\.\d$/)
  expect(told(plan, [...before(plan, 'turn'), noted('chip', 5, 'turn')]).has('grit skipped')).toBe(false)

  const shelf = (worn: number) => ({ ...usualShelf, abrasives: usualShelf.abrasives.map(one => ({ ...one, worn })) })
  const wornAt = (worn: number) => {
    const of = planFor('apple', 'click-8', { shelf: shelf(worn) })
    return told(of, [...before(of, 'clean'), noted('ring scratches', 30, 'clean')]).get('worn paper')
  }
  expect(wornAt(0.6)).toMatchObject({ holds: true })
  expect(wornAt(0.6)!.says).toMatch(/^P\d+ on the shelf has 40 % of its life left$/)
  expect(wornAt(0.5)).toBeUndefined()
})
