import fc from 'fast-check'
import { diameterAt, volumeOf } from '../../barrel'
import { unitWords } from '../../units'
import { inputs, planFor, without } from '../../../tests/support/inputs'
import type { Blank } from '../../shelf'
import { blankFaults, judgeReading, stepSpeed } from '../judge'
import { checksFor, remarks } from '../say'
import type { PlanInputs } from '../model'
import { makePlan, tubeGlueFor } from '../make'
import { stations } from './size'
import { trace } from './course'

const mm = (value: number) => `${value.toFixed(2)} mm`
const wishes = (change: Partial<PlanInputs['wishes']>): Partial<PlanInputs> => ({ wishes: { tool: 'skew', film: 'gloss', ...change } })
const says = (change: Partial<PlanInputs>, material = 'apple', fitting = 'twist-7') => {
  const plan = makePlan(inputs(material, fitting, change))
  return remarks(plan, trace(plan))
    .map(one => `${one.weight}: ${one.says} ${one.remedy}`)
    .join('\n')
}
const blank = (change: Partial<Blank> = {}): Blank => ({
  id: 'b',
  name: 'Apple bough',
  width: 19,
  height: 19,
  length: 125,
  damp: false,
  readings: [],
  ...change,
})

describe('the sized barrels', () => {
  it('follow the shape: fatter means a larger section, more wood kept, and never a thinner wall at the ends', () => {
    const of = (bulge: number) =>
      trace(planFor('apple', 'twist-7', wishes({ shapes: { lower: { kind: 'belly', bulge }, upper: { kind: 'straight' } } }))).size
    const [slim, fat] = [of(0.2), of(4)]
    expect(fat.section.value - slim.section.value).toBeCloseTo(
      diameterAt(fat.barrels[0]!.finished, 26.2) - Math.max(diameterAt(slim.barrels[0]!.finished, 26.2), 8.5),
      1,
    )
    expect(fat.mass.value).toBeGreaterThan(slim.mass.value)
    expect(fat.barrels[0]!.wall.wall.value).toBeCloseTo(slim.barrels[0]!.wall.wall.value, 9)
  })

  it('mass is volume times density: a barrel of water would weigh its ml (by hand from the outline)', () => {
    const density = { value: 1000, source: { mark: 'mem' as const } }
    const plan = makePlan({ ...inputs('apple', 'click-8'), material: { ...inputs().material, density } })
    const { size, filmLeft } = trace(plan)
    const barrel = size.barrels[0]!
    // Shaving the film off a body of revolution: the outline is smaller by two films everywhere.
    const slices = 20_000
    const length = barrel.barrel.tubeLength
    let volume = 0
    for (let i = 0; i < slices; i++)
      volume
        += ((Math.PI / 4)
          * ((diameterAt(barrel.finished, ((i + 0.5) * length) / slices) - (2 * filmLeft.value) / 1000) ** 2 - barrel.barrel.tubeOuter ** 2)
          * length)
        / slices
    expect(size.mass.value).toBeCloseTo(volume / 1000, 3)
    expect(volumeOf(barrel.turned)).toBeLessThan(volumeOf(barrel.finished))
  })

  it('an end turned to a diameter of one’s own ends as much over the metal as it was turned over the figure (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.3, max: 0.3, noNaN: true }), (off) => {
        const worked = trace(planFor('apple', 'twist-7')).ends[0]!
        const own = trace(
          planFor('apple', 'twist-7', wishes({ ends: [{ barrel: 'lower', end: 'tip', diameter: worked.diameter.value + off }] })),
        ).ends
        expect(own[0]!.over).toBeCloseTo(off, 9)
        expect(own.slice(1).every(end => end.over === 0)).toBe(true)
      }),
      { numRuns: 25 },
    )
  })
})

describe('remarks about size', () => {
  it('say where a wall gets thinner than the turner’s least', () => {
    const waisted = wishes({ shapes: { lower: { kind: 'belly', bulge: -1 } } })
    expect(says(waisted)).toMatch(
      /gap: Only 0\.\d\d mm of wall is left over the tube of the lower barrel, 2\d mm from its tip end.*fuller shape/,
    )
    expect(says({ ...waisted, habits: { leastWall: 0.01 } })).not.toMatch(/of wall/)
    expect(says(wishes({ shapes: { lower: { kind: 'belly', bulge: -3 } } }))).toMatch(/No wall is left over the tube of the lower barrel/)
  })
  it('say when a blank is too thin, how well it must be centred, and when it is too short', () => {
    expect(says({ blank: blank() })).not.toMatch(/Apple bough/)
    expect(says({ blank: blank({ width: 9.4 }) })).toMatch(
      /Apple bough is 9\.4 mm thick; 10\.\d mm square is needed\. It will do if the bit comes out within 0\.\d mm of the middle/,
    )
    expect(says({ blank: blank({ width: 8 }) })).toMatch(/The barrel does not fit into it/)
    expect(says({ blank: blank({ length: 90 }) })).toMatch(/Apple bough is 90\.0 mm long; the stick for this pen is 113\.6 mm/)
    expect(says({ blank: { id: 'b', name: 'Unmeasured', damp: false, readings: [] } })).not.toMatch(/Unmeasured/)
  })
  it('say how an end of one’s own meets the metal', () => {
    expect(says(wishes({ ends: [{ barrel: 'upper', end: 'clip', diameter: 8 }] }))).toMatch(
      /Turned to your own 8\.00 mm, the clip end of the upper barrel ends 0\.\d\d mm shy/,
    )
  })
  it('say when a tube seizes or rattles in its bore', () => {
    const fitting = inputs('apple', 'twist-7').fitting
    expect(says({ fitting: { ...fitting, bit: 7.4 } })).toMatch(/0\.50 mm of play.*glue it with epoxy/)
    expect(says({ fitting: { ...fitting, bit: 6.9 } })).toMatch(/0\.00 mm of play.*seize/)
  })
})

describe('a measured diameter', () => {
  const plan = planFor('apple', 'twist-7')
  const traced = trace(plan)
  const tip = traced.ends[0]!
  const judge = (step: string, diameter: number, fromTip = 0) => judgeReading(traced, { barrel: 'lower', fromTip, diameter, step }, mm)!

  it('at the lathe: proud says what still comes off, at size says so', () => {
    expect(judge('turn', tip.diameter.value + 0.3)).toMatchObject({ meets: 'proud', end: 'tip', says: '0.30 mm still to turn off.' })
    expect(judge('turn', tip.diameter.value)).toMatchObject({ meets: 'flush', says: 'At size: it will end flush.' })
  })
  it('too small by a little is built up with so many coats, too small by much is not', () => {
    const shy = judge('turn', tip.diameter.value - 0.1)
    expect(shy).toMatchObject({ meets: 'shy', coats: expect.any(Number) })
    expect(shy.says).toMatch(/0\.10 mm shy: 2 more coats of medium CA here build it up/)
    expect(judge('turn', tip.diameter.value - 1.5).says).toMatch(/more than film builds up/)
  })
  it('judges between the ends by the outline, and after the finish by the metal alone', () => {
    const { barrel, turned } = traced.size.barrels[0]!
    expect(judge('turn', diameterAt(turned, barrel.tubeLength / 2), barrel.tubeLength / 2)).toMatchObject({ meets: 'flush' })
    expect(judge('check', tip.metal.value + 0.12)).toMatchObject({ meets: 'proud', over: { value: expect.closeTo(0.12, 6) } })
  })
  it('ends at what was measured, less twice the sanding and plus twice the film still to come', () => {
    const last = traced.steps.at(-1)!.after
    for (const { step, before } of traced.steps.filter(one => ['turn', 'sand', 'coat', 'level', 'check'].includes(one.step.kind))) {
      const sanding = last.wood.removed - before.wood.removed
      const film = last.film.mean - before.film.mean
      const { over, meets } = judge(step.id, 8.4)
      expect(over.value).toBeCloseTo(8.4 - (2 * sanding) / 1000 + (2 * film) / 1000 - tip.metal.value, 9)
      expect(over.from!.map(one => [one.value, one.unit, one.origin])).toEqual([
        [8.4, 'mm', 'measured'],
        [sanding, 'µm', 'worked out'],
        [film, 'µm', 'worked out'],
        [tip.metal.value, 'mm', 'yours'],
      ])
      expect(meets).toBe(over.value > 0.05 ? 'proud' : over.value < -0.05 ? 'shy' : 'flush')
    }
  })
  it('as many coats build up what is missing as their fullest needs, and no more than eight are a repair', () => {
    const build = Math.max(
      ...traced.steps.flatMap(one => (one.step.kind === 'coat' ? [one.after.film.mean - one.before.film.mean] : [])),
    )
    for (const short of [0.06, 0.1, 0.2, 0.3, 0.45]) {
      const shy = judge('turn', tip.diameter.value - short)
      expect(shy.coats).toBe(Math.ceil(((-shy.over.value / 2) * 1000) / build))
      expect(/builds? it up/.test(shy.says)).toBe(shy.coats! <= 8)
    }
  })
  it('once it is turned, what is proud is sanded down', () =>
    expect(judge('coat.1', tip.diameter.value + 0.3).says).toMatch(/^It will end .* proud: sand this end down before the next coat\.$/))
  it('knows no step that is not planned, and no barrel', () => {
    expect(judgeReading(traced, { barrel: 'lower', fromTip: 0, diameter: 8, step: 'dance' }, mm)).toBeUndefined()
    expect(judgeReading(traced, { barrel: 'only', fromTip: 0, diameter: 8, step: 'turn' }, mm)).toBeUndefined()
  })
  it('is taken at the ends and where the barrel is fattest', () => {
    expect(stations(traced.size.barrels[0]!).map(one => one.name)).toEqual(['tip end', 'fattest', 'clip end'])
    const straight = trace(planFor('apple', 'twist-7', wishes({ shapes: { lower: { kind: 'straight' } } })))
    expect(stations(straight.size.barrels[0]!)).toEqual([
      { name: 'tip end', fromTip: 0 },
      { name: 'middle', fromTip: 26.2 },
      { name: 'clip end', fromTip: 52.4 },
    ])
  })
})

it('glues with what was wished where the shelf has it, else with what is there', () => {
  const glue = (wish?: PlanInputs['wishes']['glue'], shelf = inputs().shelf) => {
    const { product, accelerated } = tubeGlueFor({
      ...inputs('apple', 'click-8', { shelf }),
      wishes: { tool: 'skew', film: 'gloss', glue: wish },
    })
    return [product?.role, accelerated]
  }
  expect([glue(), glue('epoxy'), glue('CA with accelerator'), glue('CA overnight')]).toEqual([
    ['tube epoxy', false],
    ['tube epoxy', false],
    ['medium CA', true],
    ['medium CA', false],
  ])
  expect(glue('epoxy', without('tube-epoxy'))).toEqual(['medium CA', true])
  expect(glue('CA with accelerator', without('accelerator'))).toEqual(['tube epoxy', false])
})

it('dries what came in damp or is being weighed, before its tube; never resin', () => {
  const kinds = (material: string, one: Blank) => makePlan(inputs(material, 'click-8', { blank: one })).steps.map(step => step.kind)
  expect(kinds('apple', blank({ damp: true })).slice(0, 5)).toEqual(['parts', 'cut', 'drill', 'dry', 'tube'])
  expect(kinds('apple', blank({ readings: [{ at: '2026-11-01T08:00:00.000Z', grams: 40 }] }))).toContain('dry')
  expect(kinds('apple', blank())).not.toContain('dry')
  expect(kinds('green-resin', blank({ damp: true }))).not.toContain('dry')
})

it('every step of the preparation has its checks, each with what to do when the answer is no', () => {
  const plan = planFor('apple', 'twist-7', { blank: blank({ damp: true }) })
  const traced = trace(plan)
  const asked = new Map(plan.steps.map(step => [step.kind, checksFor(plan, step, traced, unitWords('metric'))]))
  for (const kind of ['parts', 'cut', 'drill', 'dry', 'tube', 'square', 'turn'] as const) expect(asked.get(kind)!.length).toBeGreaterThan(0)
  expect(asked.get('clean')).toEqual([])
  for (const check of [...asked.values()].flat()) expect(check.otherwise.length).toBeGreaterThan(20)
  // What the exit hole may be off follows from this blank: (19 − fattest) / 2.
  expect(asked.get('drill')![0]!.otherwise).toMatch(/Up to 5\.0\d mm the barrel still fits/)
  expect(
    checksFor(
      plan,
      { ...plan.steps[2]!, kind: 'drill' } as never,
      trace({ ...plan, inputs: { ...plan.inputs, blank: blank({ width: 8 }) } }),
      unitWords('metric'),
    )[0]!.otherwise,
  ).toMatch(/Up to|nothing to spare/)
  expect(blankFaults(blank(), traced, mm)).toEqual([])
})

it('every step at the lathe knows its spindle and surface speed, and which school runs so', () => {
  const plan = planFor('apple', 'twist-10')
  const traced = trace(plan)
  const of = (id: string) =>
    stepSpeed(
      plan,
      plan.steps.find(step => step.id.startsWith(id))!,
      traced,
    )
  // π · 12.275 mm · 1000 rev/min = 38.6 m/min (the mean of the four ends, by hand).
  expect(of('sand')).toMatchObject({
    spindle: { value: 1000 },
    surface: { value: expect.closeTo(38.56, 1) },
    usual: 'slow school 500 to 1000, fast school 2000 to 4000',
    within: true,
  })
  expect(of('drill')).toMatchObject({ operation: 'drilling', spindle: { value: 350 }, within: true })
  expect(of('cut')).toBeUndefined()
  const coat = plan.steps.find(step => step.kind === 'coat')!
  expect(stepSpeed(plan, { ...coat, speed: 2000 }, traced)!.within).toBe(false)
  expect(stepSpeed(plan, { ...coat, speed: 0 }, traced)).toBeUndefined()
})
