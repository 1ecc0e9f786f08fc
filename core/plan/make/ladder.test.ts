import fc from 'fast-check'
import { abrasives, materials } from '../../../reference'
import { inputs, methodOf, usualShelf } from '../../../tests/support/inputs'
import { coarsestGrain, grainOf, isPad, isResin } from '../../shelf'
import { isKind, toolIds, type Plan, type PlanInputs, type Wishes } from '../model'
import { remarks } from '../say'
import { trace } from '../trace'
import { makePlan } from './make'

const planWith = (change: Partial<PlanInputs> = {}, wishes: Partial<Wishes> = {}, material = 'apple'): Plan =>
  makePlan(inputs(material, 'click-8', { ...change, wishes: { tool: 'skew', film: 'gloss', ...wishes } }))
const gritsOf = (plan: Plan) => plan.steps.filter(isKind('sand')).map(step => step.abrasive)
const said = (plan: Plan) => remarks(plan, trace(plan)).map(one => one.says).join(' ')
const shelfOf = (...ids: string[]) => ({ ...usualShelf, abrasives: abrasives.filter(one => ids.includes(one.id)) })
const anyMaterial = fc.constantFrom(...materials.map(one => one.id))
const anyTool = fc.constantFrom(...toolIds)
const wornBy = (worn: number, count?: number) =>
  ({ ...usualShelf, abrasives: usualShelf.abrasives.map(one => ({ ...one, worn, ...(count === undefined ? {} : { count }) })) })

// Common practice among turners, without source [trade], as far as the blank bears the coarse end.
it('begins with P100 to P180 after a gouge or square carbide, and with P220 to P400 after a skew, on every wood', () => {
  for (const { id, classes } of materials.filter(one => !isResin(one))) {
    const first = (tool: Wishes['tool']) => grainOf(gritsOf(planWith({}, { tool }, id))[0]!)
    const soft = classes.includes('soft') || classes.includes('hybrid')
    for (const tool of ['gouge', 'square carbide'] as const) expect(first(tool)).toBeGreaterThanOrEqual(soft ? 60 : 82)
    expect(first('skew')).toBeLessThanOrEqual(68)
    expect(first('skew')).toBeGreaterThanOrEqual(35)
  }
})

describe('pads', () => {
  it('on bare wood come after the finest paper that is there, not in its place (property)', () => {
    fc.assert(
      fc.property(anyMaterial, fc.subarray([...abrasives], { minLength: 3 }), anyTool, (material, some, tool) => {
        const leave = some.length % 2 ? 3 : 1.5
        const plan = planWith({ shelf: { ...usualShelf, abrasives: some } }, { tool, leave }, material)
        const grits = gritsOf(plan)
        const first = grits.findIndex(isPad)
        if (first < 0 || isResin(plan.inputs.material)) return
        // Of what the blank bears.
        const papers = some.filter(one => !isPad(one) && one.dry && grainOf(one) <= coarsestGrain(plan.inputs.material).value)
        if (!papers.length) return
        const finest = Math.min(...papers.map(grainOf))
        expect(grainOf(grits[first - 1]!)).toBe(finest)
      }),
      { numRuns: 60 },
    )
  })
  it('are not used up on one pen: how worn they are changes nothing', () => {
    const pads = (worn: number) => ({ ...usualShelf, abrasives: usualShelf.abrasives.map(one => (isPad(one) ? { ...one, worn } : one)) })
    expect(trace(planWith({ shelf: pads(0.9) }, { leave: 1 })).handsOn.value).toBe(trace(planWith({}, { leave: 1 })).handsOn.value)
  })
  it('resin wanted like glass runs to the last one', () => {
    const plan = planWith({ method: methodOf('bare-polish') }, {}, 'green-resin')
    expect(gritsOf(plan).at(-1)!.id).toBe('pad-12000')
    expect(gritsOf(planWith({ method: methodOf('bare-polish') }, { leave: 2 }, 'green-resin')).at(-1)!.id).not.toBe('pad-12000')
  })
  it('between wipe-on coats are a few strokes, not a sanding', () => {
    const { steps } = trace(planWith({ method: methodOf('wipe-on') }))
    for (const { step, handsOn } of steps) if (step.kind === 'cut back') expect(handsOn.value).toBeLessThanOrEqual(20)
  })
})

describe('worn paper', () => {
  it('more wear never makes a plan quicker, one piece or many (property)', () => {
    const wear = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(wear, wear, fc.constantFrom(1, 2, 3, undefined), anyTool, (a, b, count, tool) => {
        const ladder = ['P-150', 'P-220', 'P-320', 'P-600']
        const seconds = (worn: number) => {
          const { steps } = trace(planWith({ shelf: wornBy(worn, count) }, { tool, ladder }))
          const grits = steps.filter(one => one.step.kind === 'sand')
          return grits.every(one => one.grit!.reaches) ? grits.reduce((sum, one) => sum + one.handsOn.value, 0) : Infinity
        }
        expect(seconds(Math.max(a, b))).toBeGreaterThanOrEqual(seconds(Math.min(a, b)) - 1e-6)
      }),
      { numRuns: 60 },
    )
  })
  it('the next piece is fresh: with one piece of four a worn grit fails where two do it', () => {
    const grit = (count: number) => {
      const { steps } = trace(planWith({ shelf: wornBy(0.7, count) }, { ladder: ['P-320', 'P-600'] }))
      return steps.find(one => one.step.kind === 'sand')!.grit!
    }
    expect([grit(1).reaches, grit(2).reaches, grit(2).pieces]).toEqual([false, true, 2])
  })
  it('what is not done with the pieces there are, or takes over five minutes, is never planned silently (property)', () => {
    fc.assert(
      fc.property(fc.subarray([...abrasives], { minLength: 1, maxLength: 6 }), anyTool, fc.constantFrom(300, 1000), (some, ...wishes) => {
        const [tool, sandSpeed] = wishes
        const plan = planWith({ shelf: { ...usualShelf, abrasives: some } }, { tool, sandSpeed, ladder: some.map(one => one.id) })
        const traced = trace(plan)
        const grits = traced.steps.flatMap(one => (one.step.kind === 'sand' && one.grit ? [one.grit] : []))
        const odd = grits.some(grit => !grit.reaches || grit.seconds > 300 || grit.pieces > 3)
        if (odd) expect(said(plan)).toMatch(/does not take out what is before it|is sanded for/)
      }),
      { numRuns: 60 },
    )
  })
})

describe('a greatest jump that the shelf cannot keep', () => {
  it.each([1.2, 1.25, 1.3, 1.35, 1.4, 1.45])('%d: is raised to the smallest it can, and said', (jump) => {
    const plan = planWith({}, { jump })
    const grains = gritsOf(plan).map(grainOf)
    const greatest = (all: readonly number[]) => Math.max(1, ...all.slice(1).map((grain, index) => all[index]! / grain))
    expect(greatest(grains)).toBeLessThan(1.6)
    if (greatest(grains) > jump + 1e-9) expect(said(plan)).toMatch(/No ladder of this shelf keeps to jumps of 1\.\d+: the smallest it can keep is 1\.\d+/)
    else expect(said(plan)).not.toMatch(/keeps to jumps/)
  })
  it('is no reason to begin too fine: two papers far apart are both used', () =>
    expect(gritsOf(planWith({ shelf: shelfOf('P-220', 'P-600') })).map(one => one.id)).toEqual(['P-220', 'P-600']))
})

it('no ladder possible, nothing to sand and marks finer than the target are said', () => {
  expect(said(planWith({ shelf: shelfOf('P-2500', 'pad-12000') }, { tool: 'gouge' }))).toMatch(/Nothing on the shelf takes marks of 60 µm out of this blank/)
  expect(said(planWith({}, { marks: 6 }))).toMatch(/Nothing to sand: marks of 6(\.0)? µm are no deeper than the 8(\.0)? µm that may be left/)
  expect(said(planWith())).not.toMatch(/Nothing/)
})

// The bounds: 5 s and 0.01 mm on the diameter; a whole grit, piece or coat more or less, which is counted, 40 s and 0.05 mm.
it('nothing leaps: a hundredth more of an input changes hands-on time and turn-to by less than named bounds', () => {
  const at = (change: { hardness?: number, worn?: number, marks?: number, speed?: number, rate?: number, capacity?: number }) => {
    const base = inputs('apple', 'click-8')
    const plan = makePlan({
      ...base,
      material: { ...base.material, hardness: { value: change.hardness ?? 6000, source: { mark: 'model' } } },
      shelf: wornBy(change.worn ?? 0.2),
      own: { rate: change.rate ?? 1, capacity: change.capacity ?? 1 },
      wishes: { tool: 'skew', film: 'gloss', marks: change.marks ?? 20, sandSpeed: change.speed ?? 1000 },
    })
    const traced = trace(plan)
    // A coat or a piece more is counted whole.
    const pieces = traced.steps.reduce((sum, one) => sum + (one.grit?.pieces ?? 0), 0)
    const coats = traced.steps.filter(one => one.step.kind === 'coat').length
    const counted = `${pieces} ${coats} ${traced.steps.length}`
    return { seconds: traced.handsOn.value, turn: traced.ends[0]!.diameter.value, counted }
  }
  const sweeps = {
    hardness: [1000, 20_000], worn: [0.01, 0.95], marks: [9, 90], speed: [400, 3000], rate: [0.4, 2.5], capacity: [0.5, 1.6],
  } as const
  for (const [name, [from, to]] of Object.entries(sweeps)) {
    let last = at({ [name]: from })
    for (let value = from * 1.01; value < to; value *= 1.01) {
      const next = at({ [name]: value })
      const [most, off] = next.counted === last.counted ? [5, 0.01] : [40, 0.05]
      const leaps = Math.abs(next.seconds - last.seconds) > most || Math.abs(next.turn - last.turn) > off
      expect({ name, value, leaps }).toEqual({ name, value, leaps: false })
      last = next
    }
  }
})

describe('swept one way, a plan goes one way', () => {
  const ladder = ['P-150', 'P-220', 'P-320', 'P-600']
  const sanding = (plan: Plan) => trace(plan).steps.filter(one => one.step.kind === 'sand')
  const seconds = (plan: Plan) => {
    const grits = sanding(plan)
    return grits.every(one => one.grit!.reaches) ? grits.reduce((sum, one) => sum + one.handsOn.value, 0) : Infinity
  }
  const rises = (values: readonly number[]) => expect([...values].sort((a, b) => a - b)).toEqual(values)

  it.each([0, 0.4, 0.8])('more pieces never take longer, worn by %d', (worn) => {
    const with_ = [1, 2, 3, 4, 5, 6].map(count => seconds(planWith({ shelf: wornBy(worn, count) }, { ladder, tool: 'gouge' })))
    rises(with_.toReversed())
  })
  it('harder wood never takes less', () => {
    const base = inputs('apple', 'click-8')
    const of = (value: number) => ({ ...base.material, hardness: { value, source: { mark: 'model' as const } } })
    const wishes = { tool: 'gouge' as const, film: 'gloss' as const, ladder }
    rises([1000, 2000, 4000, 5000, 7000, 10_000, 16_000, 20_000].map(value => seconds(makePlan({ ...base, material: of(value), wishes }))))
  })
  it('a stricter jump is never kept with fewer grits, nor with a longer jump', () => {
    const swept = [2.4, 2.2, 2, 1.8, 1.6, 1.5, 1.4, 1.3, 1.2].map(jump => gritsOf(planWith({}, { jump })).map(grainOf))
    rises(swept.map(grains => grains.length))
    rises(swept.map(grains => -Math.max(1, ...grains.slice(1).map((grain, index) => grains[index]! / grain))))
  })
  it.each(['ca-thin-first', 'ca-thin-staged', 'sealer-lacquer-wax'])('a deeper film never has fewer coats, nor less film: %s', (method) => {
    const swept = [10, 15, 20, 30, 40, 55, 70, 80].map((depth) => {
      const plan = planWith({ method: methodOf(method) }, { depth })
      return { coats: plan.steps.filter(isKind('coat')).length, film: trace(plan).filmThinnest.value }
    })
    rises(swept.map(one => one.coats))
    rises(swept.map(one => one.film))
  })
})

// [mem]: after a skew a whole ladder takes 0.05 to 0.15 mm off the diameter, as a calliper tells.
it('a whole ladder after a skew takes about a tenth of a millimetre off the diameter', () => {
  const ladder = ['P-220', 'P-320', 'P-400', 'P-600', 'P-800', 'P-1000', 'P-1500', 'P-2000']
  const full = planWith({ shelf: { ...usualShelf, abrasives } }, { ladder })
  const takes = (2 * trace(full).sandingTakes.value) / 1000
  expect(takes).toBeGreaterThan(0.05)
  expect(takes).toBeLessThan(0.2)
  expect((2 * trace(planWith()).sandingTakes.value) / 1000).toBeGreaterThan(0.05)
})
