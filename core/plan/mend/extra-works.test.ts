import fc from 'fast-check'
import { methods } from '../../../reference'
import { asPlan } from '../../../schemas/plan'
import { unitWords } from '../../units'
import { eventAt, methodOf, planFor } from '../../../tests/support/inputs'
import { replay } from '../../bench'
import { grainOf } from '../../shelf'
import { deepest } from '../../sanding'
import { isGrit, isKind, phases, type ExtraWork, type Plan } from '../model'
import { stepWords } from '../say'
import { trace } from '../trace'
import { isExtraDone, withExtra } from './extra'
import { extraOffers } from './extra-offers'

const metric = unitWords('metric')
const plan = planFor('apple', 'click-8', { method: methodOf('ca-thin-staged') })
const put = (work: ExtraWork, what: string | null, step: string, to = plan) => withExtra(to, { key: 'e', work, with: what, step })
const doneIn = (now: Plan) => now.steps.filter(step => isExtraDone(step, 'e'))
const againIn = (now: Plan) => now.steps.filter(step => step.mend === 'e' && !isExtraDone(step, 'e'))
const after = (now: Plan, id: string) => trace(now).steps.find(one => one.step.id === id)!.after
const grits = plan.steps.filter(isKind('sand'))
const clean = plan.steps.find(step => step.kind === 'clean')!
const polish = plan.steps.find(step => step.kind === 'polish')!
const lastLevel = plan.steps.findLast(isKind('level'))!
const p400 = plan.inputs.shelf.abrasives.find(one => one.scale === 'P' && one.mark === 400)!

describe('something done beside the plan', () => {
  it('sanded again with the first grit: it leaves its scratches, and every finer grit that was done comes again', () => {
    const now = put('sand', grits[0]!.abrasive.id, clean.id)
    expect(doneIn(now).map(one => isGrit(one) && one.abrasive.id)).toEqual([grits[0]!.abrasive.id])
    expect(againIn(now).map(one => isGrit(one) && one.abrasive.id)).toEqual(grits.slice(1).map(one => one.abrasive.id))
    // 0.30 of a grain on wood [handbook 4.4].
    expect(deepest(after(now, doneIn(now)[0]!.id).wood)).toBeCloseTo(0.3 * grainOf(grits[0]!.abrasive), 6)
    expect(deepest(after(now, clean.id).wood)).toBeCloseTo(deepest(after(plan, clean.id).wood), 6)
    expect(trace(now).sandingTakes.value).toBeGreaterThan(trace(plan).sandingTakes.value)
  })
  it('with what came onto the shelf since: it is offered, goes with its entry, and is worked out like any other', () => {
    const bought = { ...p400, id: 'P-360', mark: 360 }
    const lacquer = { ...plan.inputs.shelf.products[0]!, id: 'new-lacquer', role: 'spray lacquer' as const }
    const now = { abrasives: [bought], products: [lacquer] }
    const offered = extraOffers(plan, polish.id, new Set(), now)
    const grit = offered.find(one => one.work === 'level')!.abrasives.find(one => one.id === 'P-360')
    expect(grit).toEqual(bought)
    expect(extraOffers(plan, polish.id, new Set()).flatMap(one => one.abrasives).some(one => one.id === 'P-360')).toBe(false)
    const levelled = withExtra(plan, { key: 'e', work: 'level', with: 'P-360', step: polish.id, item: bought })
    expect(after(levelled, doneIn(levelled)[0]!.id).filmScratch).toBeCloseTo(0.15 * 40.5, 1)
    expect(put('level', 'P-360', polish.id)).toEqual(plan)
    // Nothing is taken for what it is not.
    expect(withExtra(plan, { key: 'e', work: 'coat', with: 'P-360', step: polish.id, item: bought })).toEqual(plan)
    const [coat] = doneIn(withExtra(plan, { key: 'e', work: 'coat', with: 'new-lacquer', step: polish.id, item: lacquer }))
    expect(coat).toMatchObject({ kind: 'coat', product: { id: 'new-lacquer' } })
  })
  it('sanded again with the finest: nothing has to be done again', () => {
    expect(againIn(put('sand', grits.at(-1)!.abrasive.id, clean.id))).toEqual([])
  })
  it('levelled again with P400 after the ladder: its scratches stand, the film is thinner by them, and the finer ones come again', () => {
    const now = put('level', p400.id, polish.id)
    const [level] = doneIn(now)
    const [was, is] = [trace(now).steps.find(one => one.step.id === level!.id)!.before, after(now, level!.id)]
    // A levelled film has no unevenness left: only its own scratches go, 0.15 of P400’s 35 µm [handbook 4.4, FEPA 43-1].
    expect(was.film.unevenness).toBeCloseTo(0, 6)
    expect(was.film.mean - is.film.mean).toBeCloseTo(0.15 * 35, 1)
    expect(is.filmScratch).toBeCloseTo(0.15 * 35, 1)
    const smooth = plan.steps.filter(isKind('smooth'))
    expect(againIn(now).map(one => isGrit(one) && one.abrasive.id)).toEqual(smooth.map(one => one.abrasive.id))
    expect(after(now, polish.id).filmScratch).toBeCloseTo(after(plan, polish.id).filmScratch, 6)
    expect(trace(now).filmThinnest.value).toBeLessThan(trace(plan).filmThinnest.value - 0.15 * 35)
  })
  it('pads run on a levelled film take it down by the scratches before each of them, and leave what the last one leaves', () => {
    const next = plan.steps[plan.steps.indexOf(lastLevel) + 1]!
    const now = put('pads', null, next.id)
    const pads = doneIn(now).filter(isGrit).map(one => grainOf(one.abrasive))
    expect(pads.length).toBeGreaterThan(3)
    expect([...pads].sort((a, b) => b - a)).toEqual(pads)
    const lost = after(plan, lastLevel.id).film.mean - after(now, doneIn(now).at(-1)!.id).film.mean
    // The levelling grit leaves 0.15 of its grain, a pad half of that; each takes what the one before it left [handbook 4.4].
    const left = [0.15 * grainOf(lastLevel.abrasive), ...pads.slice(0, -1).map(grain => 0.075 * grain)]
    expect(lost).toBeCloseTo(left.reduce((sum, um) => sum + um, 0), 6)
    expect(after(now, doneIn(now).at(-1)!.id).filmScratch).toBeCloseTo(0.075 * pads.at(-1)!, 6)
    // Run once more, it is the same pads that were run.
    const again = withExtra(now, { key: 'f', work: 'pads', with: null, step: next.id })
    expect(again.steps.filter(step => isExtraDone(step, 'f')).filter(isGrit).map(one => grainOf(one.abrasive))).toEqual(pads)
  })
  it('a coat wiped off while it is wet leaves all as it was before it, is not counted, and has to go on again', () => {
    const [first, second, third] = plan.steps.filter(isKind('coat'))
    const now = put('take off', null, third!.id)
    const [off] = doneIn(now)
    const { under: _, ...before } = trace(now).steps.find(one => one.step.id === second!.id)!.before
    expect({ ...after(now, off!.id), under: undefined }).toEqual({ ...before, under: undefined })
    expect(after(now, off!.id).film.mean).toBeCloseTo(after(plan, first!.id).film.mean, 9)
    expect(againIn(now)).toMatchObject([{ kind: 'coat', product: { id: second!.product.id } }])
    expect(trace(now).filmLeft.value).toBeCloseTo(trace(plan).filmLeft.value, 6)
    // Wiped off twice, it is on once in the end.
    const twice = withExtra(now, { key: 'f', work: 'take off', with: null, step: third!.id })
    expect(trace(twice).filmLeft.value).toBeCloseTo(trace(plan).filmLeft.value, 6)
    expect(trace(twice).needs[0]!.coats).toBe(trace(plan).needs[0]!.coats + 2)
  })
  it('after a levelling there is no wet coat to wipe off', () => {
    const next = plan.steps[plan.steps.indexOf(lastLevel) + 1]!
    expect(put('take off', null, next.id)).toBe(plan)
    expect(extraOffers(plan, next.id, new Set()).map(one => one.work)).not.toContain('take off')
  })
  it('what was left out does not come again', () => {
    const leftOut = new Set([grits[1]!.id])
    const now = withExtra(plan, { key: 'e', work: 'sand', with: grits[0]!.abrasive.id, step: clean.id }, { leftOut })
    expect(againIn(now).map(one => isGrit(one) && one.abrasive.id)).toEqual(grits.slice(2).map(one => one.abrasive.id))
  })
  it('a step that is not in the plan any more puts it after what is settled', () => {
    const settled = new Set(plan.steps.slice(0, 7).map(one => one.id))
    const now = withExtra(plan, { key: 'e', work: 'burnish', with: null, step: 'sand.gone' }, { settled })
    expect(now.steps[7]).toMatchObject({ kind: 'burnish', phase: plan.steps[7]!.phase })
  })
})

it('nothing is offered while it is a stick, bare things while it is bare, and film’s once something is on', () => {
  const offered = (step: string | null) => extraOffers(plan, step, new Set()).map(one => one.work)
  expect(offered('drill')).toEqual([])
  expect(offered(null)).toEqual([])
  expect(offered(grits[1]!.id)).toEqual(['sand', 'pads', 'burnish', 'harden', 'coat'])
  expect(offered(lastLevel.id)).toEqual(['coat', 'take off', 'level', 'pads', 'polish'])
  expect(offered(polish.id)).toEqual(['coat', 'level', 'smooth', 'pads', 'polish'])
})

const anyPlace = fc
  .tuple(fc.constantFrom(...methods), fc.constantFrom('apple', 'damson', 'green-resin', 'holly'), fc.constantFrom('click-8', 'twist-7'))
  .map(([method, material, fitting]) => planFor(material, fitting, { method }))

it('anything that is offered anywhere, one after another, leaves a valid plan in which all that was planned stands (property)', () => {
  fc.assert(
    fc.property(anyPlace, fc.array(fc.tuple(fc.nat(200), fc.nat(20), fc.nat(40)), { minLength: 1, maxLength: 5 }), (planned, picks) => {
      const now = picks.reduce((so, [where, which, what], index) => {
        const step = so.steps[where % so.steps.length]!
        const offers = extraOffers(so, step.id, new Set())
        const offer = offers[which % (offers.length || 1)]
        if (!offer) return so
        const things = [...offer.abrasives, ...offer.products]
        const id = things[what % (things.length || 1)]?.id ?? null
        const put = withExtra(so, { key: `e${index}`, work: offer.work, with: id, step: step.id })
        // What is offered can be done.
        expect(put.steps.some(one => isExtraDone(one, `e${index}`))).toBe(true)
        return put
      }, planned)
      expect(now.steps.filter(one => !one.mend)).toEqual(planned.steps)
      expect(new Set(now.steps.map(one => one.id)).size).toBe(now.steps.length)
      const rank = now.steps.map(one => phases.indexOf(one.phase))
      expect([...rank].sort((a, b) => a - b)).toEqual(rank)
      expect(asPlan(JSON.parse(JSON.stringify(now)))).toEqual(JSON.parse(JSON.stringify(now)))
      const traced = trace(now)
      for (const one of traced.steps)
        expect(Object.values(stepWords(now, one, metric, traced)).join(' ')).not.toMatch(/undefined|NaN|Infinity/)
      expect(Number.isFinite(traced.filmThinnest.value)).toBe(true)
      expect(Number.isFinite(traced.handsOn.value)).toBe(true)
    }),
    { numRuns: 120 },
  )
})

it('what is put in beforehand stands in the plan as it is worked, open until it is done, and once in whatever is entered', () => {
  const beforehand = [
    { key: 'own-1', work: 'burnish', with: null, step: clean.id },
    { key: 'own-2', work: 'coat', with: plan.steps.find(isKind('coat'))!.product.id, step: lastLevel.id },
  ] as const
  const wished = planFor('apple', 'click-8', { method: methodOf('ca-thin-staged'), wishes: { tool: 'skew', film: 'gloss', beforehand } })
  const now = replay(wished, [])
  const at = (id: string) => now.plan.steps.findIndex(step => step.id === id)
  expect(now.plan.steps[at(clean.id) - 1]).toMatchObject({ kind: 'burnish', mend: 'own-1' })
  expect(now.plan.steps[at(lastLevel.id) - 1]).toMatchObject({ kind: 'coat', mend: 'own-2', gate: { purpose: 'next coat' } })
  expect(now.steps.every(one => one.status === 'open')).toBe(true)
  expect(trace(now.plan).filmLeft.value).toBeGreaterThan(trace(plan).filmLeft.value)
  const burnish = now.plan.steps[at(clean.id) - 1]!
  const done = replay(wished, [eventAt(5, 1, { kind: 'done', payload: { step: burnish.id } })])
  expect(done.steps.filter(one => one.status === 'done').map(one => one.step.kind)).toEqual(['burnish'])
  expect(done.plan.steps).toEqual(now.plan.steps)
})
