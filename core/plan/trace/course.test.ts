import fc from 'fast-check'
import { methods } from '../../../reference'
import { methodOf, planFor, usualShelf } from '../../../tests/support/inputs'
import { anyInputs } from '../../../tests/support/wishes'
import { grainOf, soakOnTop } from '../../shelf'
import { makePlan } from '../make'
import { gateSince, stepNature, type Plan } from '../model'
import { stepWaits } from './waits'
import { trace } from '.'

/** The film after each step, by the handbook’s rules in one plain loop: build, unevenness in quadrature, peaks off by levelling. */
function plainFilm(plan: Plan): { mean: number, sd: number, uneven: number, scratch: number, coats: number }[] {
  let now = { mean: 0, sd: 0, uneven: 0, scratch: 0, coats: 0 }
  const grits = new Map(trace(plan).steps.flatMap(one => (one.grit ? [[one.step.id, one.grit] as const] : [])))
  let under: string | undefined
  return plan.steps.map((step) => {
    const grit = grits.get(step.id)
    const left = grit?.leaves.value ?? 0
    if (step.kind === 'coat') {
      const { film, id } = step.product
      const onTop = (step.soak ? soakOnTop(plan.inputs.material).value : 1) * (under === id ? (film?.later ?? 1) : 1)
      if (film) under = id
      const build = film ? (plan.inputs.builds?.[id] ?? film.build) * onTop : 0
      now = film
        ? {
            mean: now.mean + build,
            sd: Math.sqrt(now.sd ** 2 + (0.2 * build) ** 2),
            uneven: Math.sqrt(now.uneven ** 2 + (film.unevenness * (step.applicator === 'foam' ? 0.6 : 1)) ** 2),
            scratch: 0,
            coats: now.coats + 1,
          }
        : { ...now, coats: now.coats + 1 }
    }
    if (step.kind === 'level' || step.kind === 'cut back') {
      // What the grit takes of the unevenness; of the mean, what lies above the height it gets down to.
      const off = grit?.removes.value ?? 0
      const mean = now.mean - (now.uneven > 0 ? off ** 2 / (2 * now.uneven) : 0) - left
      const levelled = { ...now, mean, uneven: now.uneven - off, scratch: left }
      now = mean > 0 || step.kind === 'level' ? levelled : { ...now, mean: 0, sd: 0, uneven: 0, scratch: 0 }
    }
    if (step.kind === 'smooth') now = { ...now, mean: now.mean - now.scratch, scratch: left }
    return now
  })
}

it('the film follows each coat and each sanding as the handbook has it (property)', () => {
  fc.assert(
    fc.property(anyInputs, (inputs) => {
      const plan = makePlan(inputs)
      const { steps } = trace(plan)
      plainFilm(plan).forEach((film, index) => {
        const { after, step } = steps[index]!
        const close = (value: number) => expect.closeTo(value, 6) as number
        expect({ step: step.id, ...after.film, coats: after.coats }).toEqual({
          step: step.id, mean: close(film.mean), sd: close(film.sd), unevenness: close(film.uneven), coats: film.coats,
        })
        if (film.mean > 0) {
          expect(after.filmScratch).toBeCloseTo(film.scratch, 6)
          expect(after.stack.reduce((sum, one) => sum + one.um, 0)).toBeCloseTo(film.mean, 6)
        }
      })
    }),
    { numRuns: 40 },
  )
})

it('each grit is told by its grain, its jump from the one before on the same surface, what it takes and whether that is all', () => {
  for (const method of methods) {
    const plan = planFor(method.family === 'bare polish' ? 'green-resin' : 'apple', 'click-8', { method })
    const { steps } = trace(plan)
    let before: { phase: string, grain: number } | undefined
    for (const { step, grit, before: stage } of steps) {
      if (!grit || !('abrasive' in step)) continue
      expect(grit.grain.value).toBe(grainOf(step.abrasive))
      const anew = step.kind === 'cut back' || (step.kind === 'level' && step.phase === 'coat')
      expect(grit.jump).toEqual(!anew && before?.phase === step.phase ? expect.closeTo(before.grain / grit.grain.value, 9) : undefined)
      const asked = step.kind === 'sand'
        ? Math.max(...stage.wood.scratches.map(one => one.depth))
        : step.kind === 'smooth' ? stage.filmScratch : stage.film.unevenness
      // Cutting back is a few strokes, whatever they take.
      if (step.kind === 'cut back') expect(grit.removes.value).toBeLessThanOrEqual(asked)
      else if (grit.reaches) expect(grit.removes.value).toBeCloseTo(asked, 6)
      else expect(grit.removes.value).toBeLessThan(asked)
      before = { phase: step.phase, grain: grit.grain.value }
    }
  }
})

it('hands-on times are those of the kind of step, for each barrel or once for the pen; coats take what their product takes', () => {
  const plan = planFor('apple', 'twist-7')
  for (const { step, handsOn, grit } of trace(plan).steps) {
    const { handsOn: nature } = stepNature[step.kind]
    if (step.kind === 'coat') expect(handsOn.value).toBe(15)
    // Ten seconds for a pad at the fine end, 25 for paper [the handbook].
    else if (grit && 'abrasive' in step) {
      const change = step.abrasive.scale === 'pad' && grit.grain.value <= 15 ? 10 : 25
      expect(handsOn.value).toBeCloseTo(grit.seconds + grit.pieces * change, 6)
    } else if (typeof nature === 'object') expect(handsOn.value).toBe(nature.each * (nature.per === 'barrel' ? 2 : 1))
  }
  const coatTime = (method: string) => {
    const { steps } = trace(planFor('apple', 'click-8', { method: methodOf(method) }))
    return steps.find(one => one.step.kind === 'coat')!.handsOn.value
  }
  expect([coatTime('ca-medium-only'), coatTime('oil'), coatTime('friction-polish'), coatTime('spray-lacquer')]).toEqual([15, 60, 60, 30])
})

it('a step that was left out takes no time, changes nothing, and is waited for by nobody', () => {
  const plan = planFor('apple', 'click-8')
  const out = plan.steps.filter(step => step.kind === 'coat').at(-1)!.id
  const { steps, handsOn, needs } = trace(plan, new Set([out]))
  const skipped = steps.find(one => one.step.id === out)!
  expect([skipped.handsOn.value, skipped.after === skipped.before, skipped.ends - skipped.begins]).toEqual([0, true, 0])
  // Its own 15 s, and what levelling it would have taken.
  expect(handsOn.value).toBeLessThanOrEqual(trace(plan).handsOn.value - 15)
  expect(needs.map(need => need.product.id)).toEqual(['thin-ca'])
  const level = steps.find(one => one.step.kind === 'level')!
  expect(level.wait!.since).not.toBe(out)
})

describe('waits', () => {
  const air = { celsius: 21, humidity: 55 }
  it('what must be hard all through waits for the last coat of every product, the next coat only for the one before', () => {
    const plan = planFor('apple', 'click-8', { method: methodOf('ca-thin-first') })
    const step = (kind: string) => plan.steps.findLast(one => one.kind === kind)!
    const since = (kind: string) => gateSince(plan, step(kind)).map(one => one.id)
    const coats = plan.steps.filter(one => one.kind === 'coat')
    const [lastThin, medium] = [coats.at(-2)!.id, coats.at(-1)!.id]
    expect(since('level')).toEqual([lastThin, medium])
    expect(since('check')).toEqual([lastThin, medium])
    expect(since('coat')).toEqual([lastThin])
    expect(gateSince(plan, plan.steps.find(one => one.kind === 'clean')!)).toEqual([])
    expect(gateSince(plan, step('level'), new Set([medium])).map(one => one.id)).toEqual([lastThin])
  })
  it('of several the one that ends last counts, though it began first', () => {
    const slow = { level: { plain: 9 * 3600, source: { mark: 'trade' as const } } }
    const shelf = { ...usualShelf, products: usualShelf.products.map(one => (one.id === 'thin-ca' ? { ...one, label: slow } : one)) }
    const { steps } = trace(planFor('apple', 'click-8', { method: methodOf('ca-thin-first'), shelf }))
    const level = steps.find(one => one.step.kind === 'level')!
    const thin = steps.filter(one => one.step.kind === 'coat' && one.step.product.id === 'thin-ca').at(-1)!
    expect(level.wait!.since).toBe(thin.step.id)
    expect(level.begins).toBeCloseTo(thin.ends + 9 * 3600, 6)
  })
  it('the label stands above ours, accelerator makes it short, and what knows no wait has none', () => {
    const plan = planFor('apple', 'click-8', { method: methodOf('ca-medium-only') })
    const second = plan.steps.filter(one => one.kind === 'coat')[1]!
    const [wait] = stepWaits(plan, second, air)
    const ours = usualShelf.products.find(one => one.id === 'medium-ca')!.waits!['next coat']!
    expect(wait!.length.value).toBeCloseTo(ours.accelerated!, 6)
    const labelled = (label: object): Plan => ({
      ...plan,
      steps: plan.steps.map(one => (one.kind === 'coat' ? { ...one, product: { ...one.product, label } } : one)),
    })
    const source = { mark: 'trade' as const }
    const waitOf = (of: Plan) => stepWaits(of, of.steps.find(one => one.id === second.id)!, air)[0]!
    expect(waitOf(labelled({ 'next coat': { plain: 300, source } })).length.value).toBeCloseTo(300, 6)
    expect(waitOf(labelled({ 'next coat': { plain: 300, accelerated: 40, source } })).length.value).toBeCloseTo(40, 6)
    expect(waitOf(labelled({ 'next coat': { plain: 300, latest: 900, source } })).latest!.value).toBeCloseTo(900, 6)
    expect(waitOf(plan).latest).toBeUndefined()
    expect(stepWaits(plan, plan.steps[0]!, air)).toEqual([])
    const bare: Plan = {
      ...plan,
      steps: plan.steps.map(one => (one.kind === 'coat' ? { ...one, product: { ...one.product, waits: {} } } : one)),
    }
    expect(stepWaits(bare, bare.steps.find(one => one.id === second.id)!, air)).toEqual([])
  })
})
