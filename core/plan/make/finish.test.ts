import fc from 'fast-check'
import { abrasives, materials, methods } from '../../../reference'
import { inputs, methodOf, planFor, usualShelf, without } from '../../../tests/support/inputs'
import { unitWords } from '../../units'
import { levellingWays, methodFigures } from '../judge'
import { rankedMethods, suitability, filmPart, methodFaults } from '../../method'
import { coatsOf as moreCoats } from './coats'
import { layersFor } from './layers'
import { withWishes } from './revise'
import { keepsUntil } from '../../shelf'
import { shortages, trace } from '../trace'
import { coatCount, type Plan, type StepOf } from '../model'
import { remarks, stepWords } from '../say'
import { depthPart, leastFilm } from '../model'

const coatsOf = (plan: Plan): StepOf<'coat'>[] => plan.steps.filter((step): step is StepOf<'coat'> => step.kind === 'coat')
const roles = (plan: Plan): string =>
  coatsOf(plan)
    .map(coat => coat.product.role)
    .join(', ')
const kinds = (plan: Plan): string =>
  plan.steps
    .filter(step => ['coat', 'level'].includes(step.phase))
    .map(step => step.kind)
    .join(', ')
const withMethod = (id: string, material = 'apple', change = {}) => planFor(material, 'click-8', { method: methodOf(id), ...change })
const wish = (depth: number) => ({ wishes: { tool: 'skew' as const, film: 'gloss' as const, depth } })
const says = (plan: Plan, today?: string): string =>
  remarks(plan, trace(plan), unitWords('metric'), today)
    .map(one => `${one.says} ${one.remedy}`)
    .join('\n')

describe('the families', () => {
  it('every family has a method, and every method is sound', () => {
    expect(new Set(methods.map(method => method.family)).size).toBe(10)
    for (const method of methods) expect(methodFaults(method)).toEqual([])
  })

  it('each is put on as turners put it on [trade]', () => {
    expect(roles(withMethod('ca-medium-first'))).toMatch(/^medium CA, medium CA, thin CA/)
    expect(roles(withMethod('sealer-polish-wax', 'apple', wish(15)))).toBe('sanding sealer, sanding sealer, friction polish, carnauba wax')
    expect(kinds(withMethod('sealer-lacquer-wax'))).toBe('coat, buff, coat, buff, coat, buff, coat, buff, coat, buff, coat, buff')
    expect(kinds(withMethod('oil', 'apple', wish(10)))).toBe('coat, wipe off')
    expect(kinds(withMethod('wipe-on', 'apple', wish(40)))).toMatch(/^coat, cut back, coat, cut back.*coat, level/)
    expect(kinds(withMethod('ca-thin-staged'))).toMatch(/^coat, coat, coat, coat, level, coat, coat, coat, level/)
    expect(kinds(withMethod('friction-polish', 'apple', wish(10)))).toBe('coat, coat, buff')
  })

  it('the trade’s usual counts lie between close to the wood and deep: 3 medium, 2 medium + 3 thin, 6-12 thin, 2-4 friction polish, '
    + '2-3 lacquer [trade]', () => {
    const range = (id: string, role: string) =>
      [20, 60].map(depth => coatsOf(withMethod(id, 'apple', wish(depth))).filter(coat => coat.product.role === role).length)
    const within = (id: string, role: string, ...counts: number[]) => {
      const [least, most] = range(id, role)
      for (const count of counts) expect([least! <= count, count <= most!]).toEqual([true, true])
    }
    within('ca-medium-only', 'medium CA', 3)
    within('ca-medium-first', 'thin CA', 3)
    within('ca-thin-staged', 'thin CA', 6, 8, 10, 12)
    within('friction-polish', 'friction polish', 3)
    expect([10, 80].map(depth => coatCount(withMethod('friction-polish', 'apple', wish(depth))))).toEqual([2, 4])
    within('sealer-lacquer-wax', 'melamine lacquer', 2, 3)
    expect(coatCount(withMethod('spray-lacquer', 'apple', wish(80)))).toBeLessThanOrEqual(6)
  })

  it('a bare polish has no coats and no film, and waits for nothing', () => {
    const plan = withMethod('bare-polish', 'green-resin')
    const traced = trace(plan)
    expect([coatCount(plan), traced.filmLeft.value, traced.needs]).toEqual([0, 0, []])
    expect(plan.steps.filter(step => step.kind === 'polish').map(step => step.product.role)).toEqual(['plastic polish', 'fine polish'])
    expect(traced.steps.find(one => one.step.kind === 'check')!.wait).toBeUndefined()
    // Resin under a bare polish is taken finer than any film would ask, the last grits wet.
    const last = traced.steps.findLast(one => one.step.kind === 'sand')!
    expect(last.grit!.leaves.value).toBeLessThanOrEqual(0.8)
    expect(stepWords(plan, last, unitWords('metric'), traced).how).toMatch(/wet/)
    expect(leastFilm(plan.inputs).value).toBe(0)
  })

  it('the ends stay proud under a polish or a wax, and go under the metal for a thick film', () => {
    const proud = (id: string, material: string, change = {}) => trace(withMethod(id, material, change)).ends[0]!.proud
    expect(proud('bare-polish', 'green-resin')).toBeGreaterThan(0)
    expect(proud('hard-wax', 'apple')).toBeGreaterThan(0)
    expect(proud('ca-thin-first', 'apple', wish(80))).toBeLessThan(0)
  })
})

describe('depth', () => {
  it('moves coats, film and turn-to diameters, never backwards (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...methods),
        fc.double({ min: 10, max: 70, noNaN: true }),
        fc.constantFrom('apple', 'oak', 'oily-exotic'),
        (method, depth, material) => {
          const [less, more] = [depth, depth + 10].map(um => withMethod(method.id, material, wish(um)))
          expect(coatCount(more!)).toBeGreaterThanOrEqual(coatCount(less!))
          expect(trace(more!).ends[0]!.diameter.value).toBeLessThanOrEqual(trace(less!).ends[0]!.diameter.value + 0.011)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('goes by ratio from barely there to very deep', () =>
    expect([10, 20, 40, 80, 500, 1].map(um => depthPart(um))).toEqual([0, expect.closeTo(1 / 3, 9), expect.closeTo(2 / 3, 9), 1, 1, 0]))
  it('a film is as thick as wished at its thinnest, wherever the method’s range lets it (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...methods.filter(method => method.family === 'CA film')),
        fc.double({ min: 10, max: 80, noNaN: true }),
        fc.constantFrom(...materials.map(one => one.id)),
        (method, depth, material) =>
          trace(withMethod(method.id, material, wish(depth))).filmThinnest.value >= depth * filmPart(method)! - 1e-9,
      ),
      { numRuns: 60 },
    )
  })
  it('needs fewer coats where the turner’s own coats were measured to build more, and more where less', () => {
    const coats = (build: number) => coatCount(withMethod('ca-thin-first', 'apple', { builds: { 'thin-ca': build } }))
    expect(coats(12)).toBeLessThan(coats(8))
    expect(coats(5)).toBeGreaterThan(coats(8))
  })
})

describe('the material steers', () => {
  it('open pores, oil and colour get thin CA first where the method does not begin so; it can be wanted as it stands', () => {
    const first = (id: string, material: string, asItStands = false) => {
      const { adjustments, layers } = layersFor(
        inputs(material, 'click-8', { method: methodOf(id), wishes: { tool: 'skew', film: 'gloss', asItStands } }),
      )
      return [layers[0]?.role, layers[0]?.count, adjustments.map(one => one.why).join()]
    }
    expect(first('ca-medium-first', 'oak')).toEqual(['thin CA', 2, expect.stringMatching(/open pores/)])
    expect(first('ca-medium-only', 'oily-exotic')).toEqual(['thin CA', 1, expect.stringMatching(/oily/)])
    expect(first('friction-polish', 'damson')).toEqual(['thin CA', 1, expect.stringMatching(/bleeds/)])
    expect(first('sealer-lacquer-wax', 'red-exotic')).toEqual(['thin CA', 1, expect.stringMatching(/bleeds.*oily/)])
    expect(first('ca-thin-first', 'oak')).toEqual(['thin CA', 2, ''])
    expect(first('ca-medium-first', 'apple')[0]).toBe('medium CA')
    expect(first('ca-medium-first', 'oak', true)[0]).toBe('medium CA')
    // Nothing soaks into resin.
    expect(layersFor(inputs('green-resin')).layers.some(layer => layer.soak)).toBe(false)
  })

  it('tries a solvent on an offcut before it goes near resin, unless the method is wanted as it stands', () => {
    const tried = (id: string, material: string, asItStands = false) =>
      withMethod(id, material, { wishes: { tool: 'skew', film: 'gloss', asItStands } }).steps.flatMap(step =>
        step.kind === 'try' ? [step.product.id] : [],
      )
    expect(tried('sealer-lacquer-wax', 'burr-resin')).toEqual(['sanding-sealer', 'melamine-lacquer'])
    expect(tried('sealer-lacquer-wax', 'burr-resin', true)).toEqual([])
    expect(tried('ca-thin-first', 'burr-resin')).toEqual([])
    expect(tried('sealer-lacquer-wax', 'apple')).toEqual([])
  })

  it('says what does not go together, why, and what goes better', () => {
    expect(
      suitability(
        'oil',
        materials.find(one => one.id === 'green-resin')!,
      ),
    ).toMatchObject({ verdict: 'does not suit', reasons: [{ weight: 'against' }] })
    expect(says(withMethod('oil', 'oily-exotic'))).toMatch(/does not suit .*own oils keep it from drying/)
    const best = (id: string) =>
      rankedMethods(
        methods,
        materials.find(one => one.id === id)!,
      )[0]!
    expect(best('green-resin')).toMatchObject({ method: { family: 'bare polish' }, verdict: 'suits' })
    for (const id of ['oak', 'oily-exotic', 'plum-holly', 'spalted-apple', 'burr-resin'])
      expect(best(id)).toMatchObject({ method: { family: 'CA film' }, verdict: 'suits' })
    for (const material of materials) expect(best(material.id).verdict).toBe('suits')
  })
})

describe('waits', () => {
  const { abrasives: paper, products } = usualShelf
  const labelled = (purpose: string, wait: { plain: number, latest?: number }) => ({
    shelf: {
      abrasives: paper,
      products: products.map(product =>
        product.id === 'wipe-on' ? { ...product, label: { [purpose]: { ...wait, source: { mark: 'pub' as const } } } } : product,
      ),
    },
  })

  it('the label’s own figure goes before ours', () => {
    const second = (change = {}) => trace(withMethod('wipe-on', 'apple', change)).steps.find(one => one.step.kind === 'cut back')!.wait!
    expect(second().length.value).toBe(4 * 3600)
    const { length } = second(labelled('next coat', { plain: 7200 }))
    expect([length.value, length.from![0]!.label]).toEqual([7200, expect.stringContaining('by the label')])
    expect(second().latest!.value).toBe(24 * 3600)
  })

  it('what lies under a wax cures on: hand over waits for the lacquer, not for the wax', () => {
    const check = trace(withMethod('sealer-lacquer-wax')).steps.at(-1)!
    expect(check.wait!.since).toMatch(/melamine-lacquer/)
    expect(check.wait!.length.value).toBe(4 * 86_400)
  })

  it('an oil is wiped off within its time, and dries from when it was put on', () => {
    const steps = trace(withMethod('oil', 'apple', wish(60))).steps
    const [wipe, second] = [steps.find(one => one.step.kind === 'wipe off')!, steps.find(one => one.step.id === 'finishing-oil.2')!]
    expect([wipe.wait!.length.value, wipe.wait!.latest!.value]).toEqual([600, 1500])
    expect(second.wait).toMatchObject({ since: 'finishing-oil.1', length: { value: 12 * 3600 } })
  })

  it('air that would spoil a finish is told before its bottle is opened', () => {
    const air = (celsius: number, humidity: number) => ({ climate: { celsius, humidity } })
    expect(says(withMethod('sealer-lacquer-wax', 'apple', air(20, 80)))).toMatch(/blush/)
    expect(says(withMethod('sealer-lacquer-wax', 'apple', air(20, 86)))).toMatch(/dew point/)
    expect(says(withMethod('hard-wax', 'apple', air(20, 86)))).not.toMatch(/dew point|bloom/)
  })
})

describe('bottles', () => {
  const withBottle = (bottle: object) => ({
    shelf: { ...usualShelf, products: usualShelf.products.map(product => (product.id === 'thin-ca' ? { ...product, bottle } : product)) },
  })

  it('says when there is not enough, and that the next is still sealed', () => {
    const short = planFor('apple', 'click-8', withBottle({ left: 0.05 }))
    expect(shortages(trace(short).needs)).toMatchObject([
      { product: { id: 'thin-ca' }, short: expect.closeTo(trace(short).needs[0]!.volume.value - 0.05, 9) },
    ])
    expect(says(short)).toMatch(/Not enough Thin CA: 0\.14 ml is missing/)
    expect(says(planFor('apple', 'click-8', withBottle({ left: 0.05, sealed: 1 })))).toMatch(/next bottle is still sealed/)
    expect(says(planFor('apple', 'click-8', withBottle({ left: 5 })))).not.toMatch(/Thin CA/)
  })

  it('says when a bottle was opened too long ago; a sealed one keeps', () => {
    const plan = planFor('apple', 'click-8', withBottle({ opened: '2026-03-01' }))
    expect(says(plan, '2026-11-23T10:00:00.000Z')).toMatch(/opened on 1 Mar 2026 and keeps until about 29 Jun 2026/)
    expect(says(plan, '2026-06-29')).not.toMatch(/opened on/)
    expect(keepsUntil({ ...usualShelf.products[0]!, bottle: { opened: null } })).toBeUndefined()
    expect(keepsUntil({ ...usualShelf.products[0]!, bottle: { opened: '2026-03-01', keeps: 10 } })).toBe('2026-03-11')
  })

  it('the cost is what is used of what the bottle cost', () => {
    const need = trace(planFor('apple', 'click-8', withBottle({ size: 20, price: 800 }))).needs[0]!
    expect(need.cost!.value).toBeCloseTo(need.volume.value * 40, 9)
    expect(trace(planFor()).needs[0]!.cost).toBeUndefined()
  })
})

const anyMaterial = fc.constantFrom(...materials.map(one => one.id))
describe('levelling', () => {
  it('the risk at each levelling is that of what it and the grits after it take', () => {
    const risky = trace(withMethod('ca-medium-first', 'apple', wish(20))).steps.find(one => one.step.kind === 'level')!
    const sure = trace(withMethod('ca-medium-first', 'apple', wish(60))).steps.find(one => one.step.kind === 'level')!
    expect(risky.risk!.edges).toBeGreaterThan(sure.risk!.edges)
    expect(risky.risk!.open).toBeLessThan(risky.risk!.edges)
    const staged = trace(withMethod('ca-thin-staged')).steps.filter(one => one.risk)
    // After three coats it would be a risk of about one in eight: that stage is put off by a coat, and the last group is of two coats.
    expect(staged.map(one => one.step.id)).toEqual(['level.after.4', 'level.after.7', expect.stringMatching(/^level\.P/)])
    expect(remarks(withMethod('ca-thin-staged'), trace(withMethod('ca-thin-staged'))).map(one => one.says).join()).toMatch(
      /not levelled after coat 3 yet: 1 in 8 to go through to the wood/,
    )
  })

  it('no stage is planned with more than one chance in twenty of going through, nor one coat left over after the last (property)', () => {
    fc.assert(
      fc.property(anyMaterial, fc.double({ min: 10, max: 80, noNaN: true }), fc.constantFrom(1, 2, 3, 5), (material, depth, every) => {
        const method = { ...methodOf('ca-medium-first'), levelling: every }
        const { steps } = trace(planFor(material, 'click-8', { method, ...wish(depth) }))
        const isStage = ({ step }: (typeof steps)[number]) => step.kind === 'level' && step.phase === 'coat'
        for (const { risk } of steps.filter(isStage)) expect(risk!.edges).toBeLessThanOrEqual(0.05)
        const last = steps.findLastIndex(isStage)
        expect(last < 0 || steps.slice(last).filter(({ step }) => step.kind === 'coat').length >= 2).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
  it('a finish without a film is never levelled, whatever its method says', () => {
    for (const id of ['friction-polish', 'hard-wax', 'oil']) {
      const { steps } = planFor('apple', 'click-8', { method: { ...methodOf(id), levelling: 'at the end' } })
      expect(steps.filter(step => step.kind === 'level' || step.kind === 'smooth')).toEqual([])
    }
  })

  it('what stands of each coat adds up to the film, after every step (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...methods),
        fc.constantFrom(...materials.map(one => one.id)),
        fc.double({ min: 10, max: 80, noNaN: true }),
        (method, material, depth) => {
          for (const { after } of trace(withMethod(method.id, material, wish(depth))).steps)
            expect(after.stack.reduce((sum, coat) => sum + coat.um, 0)).toBeCloseTo(Math.max(0, after.film.mean), 6)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('without wet paper there is none, and the plan says so', () => {
    const dryOnly = { ...usualShelf, abrasives: abrasives.map(one => ({ ...one, wet: false })) }
    const plan = withMethod('ca-thin-staged', 'apple', { shelf: dryOnly })
    expect(plan.steps.some(step => step.kind === 'level')).toBe(false)
    expect(says(plan)).toMatch(/to level the film with/)
  })
})

it('a product that is not on the shelf is named, and its coats are left out', () => {
  const plan = withMethod('sealer-lacquer-wax', 'apple', { shelf: without('melamine-lacquer') })
  expect(roles(plan)).not.toMatch(/lacquer/)
  expect(says(plan)).toMatch(/No melamine lacquer on the shelf: its coats are left out/)
})

it.each([
  ['a bare polish with coats', { family: 'bare polish' }, 'layers'],
  ['a film of nothing but wax', { layers: [{ ...methodOf('hard-wax').layers[0]! }] }, 'layers'],
  ['lacquer in stages', { layers: methodOf('spray-lacquer').layers, levelling: 3 }, 'levelling'],
  ['two products without a count', { layers: [methodOf('ca-medium-only').layers[0]!, methodOf('ca-medium-only').layers[0]!] }, 'layers'],
  [
    'a range the wrong way round',
    { layers: [{ ...methodOf('ca-medium-only').layers[0]!, count: { least: 5, most: 3 } }] },
    'layers[0].count.most',
  ],
  ['accelerator on lacquer', { layers: [{ ...methodOf('spray-lacquer').layers[0]!, accelerate: true }] }, 'layers[0].accelerate'],
  ['lacquer on foam', { layers: [{ ...methodOf('spray-lacquer').layers[0]!, applicator: 'foam' as const }] }, 'layers[0].applicator'],
  ['sprayed CA', { layers: [{ ...methodOf('ca-medium-only').layers[0]!, applicator: 'spray' as const }] }, 'layers[0].applicator'],
  ['nothing at all', { layers: [] }, 'layers'],
] as const)('refuses %s, at its field', (_name, change, field) => {
  expect(methodFaults({ ...methodOf('ca-thin-first'), ...change }).map(fault => fault.field)).toContain(field)
})

describe('comparing', () => {
  it('tells what a method comes to: staged asks for more coats and time, and never lets the film be thinner than wished', () => {
    const { staged, atTheEnd } = levellingWays(inputs('apple', 'click-8', { method: methodOf('ca-thin-staged') }))!
    expect(staged.coats).toBeGreaterThan(atTheEnd.coats)
    expect(staged.levellings).toBeGreaterThan(1)
    expect(atTheEnd.levellings).toBe(1)
    expect(staged.finishing.value).toBeGreaterThan(atTheEnd.finishing.value)
    for (const way of [staged, atTheEnd]) expect(way.traced.filmThinnest.value).toBeGreaterThanOrEqual(40)
    expect(levellingWays(inputs('apple', 'click-8', { method: methodOf('oil') }))).toBeUndefined()
  })
  it('a cost is told only when every bottle’s price and size are known', () => {
    const priced = { ...usualShelf, products: usualShelf.products.map(product => ({ ...product, bottle: { price: 1000, size: 50 } })) }
    const lacquer = (shelf = usualShelf) => methodFigures(inputs('apple', 'click-8', { method: methodOf('sealer-lacquer-wax'), shelf }))
    expect(lacquer().cost).toBeUndefined()
    expect(lacquer(priced).cost!.value).toBeCloseTo(lacquer(priced).traced.needs.reduce((sum, need) => sum + need.volume.value, 0) * 20, 9)
  })
})

describe('what is easily lost', () => {
  it('coats of one product one after the other: each but the first waits for the one before', () => {
    const [product] = coatsOf(planFor()).map(coat => coat.product)
    const coats = moreCoats(inputs(), product!, 3, { barrels: ['only'], phase: 'coat' })
    expect(coats.map(coat => coat.gate?.since)).toEqual([undefined, 'coat', 'coat'])
    expect(coats.map(coat => coat.number)).toEqual([1, 2, 3])
  })
  it('on resin nothing soaks in, so what would be a soaking coat goes on as any other, with accelerator', () => {
    expect(layersFor(inputs('green-resin')).layers[0]).toMatchObject({ soak: false, accelerate: true })
    expect(layersFor(inputs('apple')).layers[0]).toMatchObject({ soak: true })
  })
  it('a polish right after coats waits until they may be levelled; after a levelling, and the second one, it does not', () => {
    const gates = (plan: Plan) => plan.steps.filter(step => step.kind === 'polish').map(step => step.gate)
    const shelf = { ...usualShelf, abrasives: usualShelf.abrasives.map(one => ({ ...one, wet: false })) }
    const two = { ...methodOf('ca-thin-first'), polishes: 2 as const }
    expect(gates(planFor('apple', 'click-8', { shelf, method: two }))).toEqual([{ purpose: 'level', since: 'coat' }, undefined])
    expect(gates(planFor('apple', 'click-8', { method: two }))).toEqual([undefined, undefined])
  })
})

it('the ladder on the film is the turner’s own where one is said: order, levelling grit, polishes; and revised in the middle', () => {
  const method = methodOf('ca-thin-staged')
  const wishes = { tool: 'skew', film: 'gloss', levelWith: 'P-400', filmLadder: ['P-800', 'pad-4000', 'pad-12000'], polishes: 2 } as const
  const own = planFor('apple', 'click-8', { method, wishes })
  const on = (kind: string) => own.steps.flatMap(step => (step.kind === kind && 'abrasive' in step ? [step.abrasive.id] : []))
  expect([new Set(on('level')), on('smooth')]).toEqual([new Set(['P-400']), ['P-800', 'pad-4000', 'pad-12000']])
  expect(own.steps.filter(step => step.kind === 'polish')).toHaveLength(2)
  // None at all, and what is not on the shelf is left out.
  const bare = planFor('apple', 'click-8', { method, wishes: { ...wishes, filmLadder: [], polishes: 0 } })
  expect(bare.steps.filter(step => step.kind === 'smooth' || step.kind === 'polish')).toEqual([])
  const stray = planFor('apple', 'click-8', { method, wishes: { ...wishes, filmLadder: ['pad-4000', 'no-such-pad'] } })
  expect(stray.steps.filter(step => step.kind === 'smooth')).toHaveLength(1)
  // With the first of it done, what is done stays and the rest follows the new ladder.
  const upTo = own.steps.findIndex(step => step.kind === 'smooth')
  const done = new Set(own.steps.slice(0, upTo + 1).map(step => step.id))
  const changed = withWishes(own, { ...wishes, filmLadder: ['P-800', 'pad-6000'] }, done)
  expect(changed.steps.slice(0, upTo + 1)).toEqual(own.steps.slice(0, upTo + 1))
  expect(changed.steps.flatMap(step => (step.kind === 'smooth' ? [step.abrasive.id] : []))).toEqual(['P-800', 'pad-6000'])
})
