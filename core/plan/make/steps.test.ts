import { methodOf, planFor, without } from '../../../tests/support/inputs'
import { stepsInWords } from '../../../tests/support/steps'
import type { PlanInputs, Wishes } from '../model'
import { trace } from '../trace'
import { revisePlan } from './revise'

const plan = (method: string, material = 'apple', change: Partial<PlanInputs> = {}) =>
  planFor(material, 'click-8', { method: methodOf(method), ...change })
const finish = (...of: Parameters<typeof plan>) => stepsInWords(plan(...of), 'clean', 'coat', 'level')

it('every pen is begun and ended in the same order, and waits where glue and finish want it [trade]', () => {
  const two = planFor('apple', 'twist-7')
  expect(stepsInWords(two, 'blank', 'turn')).toBe('parts2, cut2, drill2, tube2, square2<square, turn2')
  expect(stepsInWords(two, 'assemble')).toBe('ends2, assemble2<assemble, check2<hand over')
  expect(stepsInWords(plan('bare-polish', 'green-resin'), 'assemble')).toBe('ends, assemble, check')
  expect(stepsInWords(planFor('spalted-apple', 'click-8'), 'sand')).toMatch(/^harden, sand:P-\d+<sand, sand:P-/)
  expect(stepsInWords(planFor('spalted-apple', 'click-8', { shelf: without('thin-ca') }), 'sand')).toMatch(/^sand:P-\d+, sand:P-/)
})

const CA = '500 foam'
const NEXT = '<next coat'
const SMOOTH = 'smooth:pad-1800, polish'

// How each finish goes on: common practice without source. How many coats, and with which grit they are levelled, follow from the film
// model and the usual shelf.
it.each<[string, string]>([
  ['ca-thin-first', `clean:blow, thin-ca~ ${CA}, thin-ca~ ${CA}${NEXT}, 5 thin-ca! ${CA}${NEXT}, medium-ca! ${CA}${NEXT}, `
  + `level:P-320<level, smooth:P-600, ${SMOOTH}`],
  ['ca-medium-first', `clean:blow, medium-ca! ${CA}, medium-ca! ${CA}${NEXT}, 4 thin-ca! ${CA}${NEXT}, level:P-320<level, smooth:P-600, `
  + SMOOTH],
  ['ca-medium-only', `clean:blow, medium-ca! ${CA}, 3 medium-ca! ${CA}${NEXT}, level:P-320<level, smooth:P-600, ${SMOOTH}`],
  ['ca-thin-staged', `clean:blow, thin-ca~ ${CA}, thin-ca~ ${CA}${NEXT}, 2 thin-ca! ${CA}${NEXT}, level:P-800<level, `
  + `thin-ca! ${CA}, 2 thin-ca! ${CA}${NEXT}, level:P-800<level, thin-ca! ${CA}, thin-ca! ${CA}${NEXT}, level:P-800<level, ${SMOOTH}`],
  ['friction-polish', 'clean:blow, friction-polish 3000 towel, 2 friction-polish 3000 towel<next coat, buff<next coat'],
  ['sealer-polish-wax', `clean:blow, ${'sanding-sealer~ 0 towel, cut back:pad-1800<next coat, '.repeat(3)}friction-polish 3000 towel, `
  + 'carnauba-wax 1000 towel<next coat, buff<next coat'],
  ['sealer-lacquer-wax', `clean:blow, sanding-sealer~ 1000 towel, buff<next coat, ${'melamine-lacquer 0 towel, buff<next coat, '.repeat(3)}`
  + 'carnauba-wax 1000 towel, buff<next coat, carnauba-wax 1000 towel, buff<next coat'],
  ['conditioner-wax', 'clean:blow, wood-conditioner 0 towel, shellac-wax 3000 towel<next coat, buff<next coat, shellac-wax 3000 towel, '
  + 'buff<next coat'],
  ['wipe-on', `clean:blow, ${'wipe-on 0 towel, cut back:pad-3200<next coat, '.repeat(4)}`
  + 'wipe-on 0 towel, level:P-800<level, smooth:pad-1800'],
  ['oil', 'clean:blow, finishing-oil 0 towel, wipe off<wipe off, finishing-oil 0 towel<next coat, wipe off<wipe off'],
  ['hard-wax', 'clean:blow, hard-wax 1000 stick, buff<next coat, hard-wax 1000 stick, buff<next coat'],
  ['spray-lacquer', 'clean:blow, spray-lacquer 0 spray, 2 spray-lacquer 0 spray<next coat'],
])('%s goes on so', (method, steps) => expect(finish(method)).toBe(steps))
it('a bare polish is two polishes', () => expect(finish('bare-polish', 'green-resin')).toBe('clean:rinse, 2 polish'))

// What the blank adds: common practice without source.
it.each<[string, string, Partial<PlanInputs>, RegExp]>([
  ['open pores get two thin coats that soak in', 'oak', {}, /^clean:blow, thin-ca~ 500 foam, thin-ca~ 500 foam<next coat, 2 medium-ca! /],
  ['oil is wiped off and sealed once', 'oily-exotic', {}, /^clean:alcohol, thin-ca~ 500 foam, 2 medium-ca! /],
  ['a bleeding wood is sealed once, without a wipe', 'damson', {}, /^clean:blow, thin-ca~ 500 foam, 2 medium-ca! /],
  ['nothing soaks into resin', 'green-resin', {}, /^clean:rinse, medium-ca! 500 foam, medium-ca! 500 foam<next coat, 4 thin-ca! /],
  ['as the method stands, whatever the blank', 'oak', { wishes: { tool: 'skew', film: 'gloss', asItStands: true } },
    /^clean:blow, medium-ca! 500 foam, medium-ca! /],
  ['without accelerator each sets by itself', 'apple', { shelf: without('accelerator') }, /^clean:blow, medium-ca 500 foam, medium-ca 500 /],
  ['without thin CA pores are left as they are', 'oak', { shelf: without('thin-ca') }, /^clean:blow, medium-ca! 500 foam, medium-ca! 500 foam<next coat, level/],
])('%s', (_name, material, change, steps) => expect(finish('ca-medium-first', material, change)).toMatch(steps))

const wishes = (more: Partial<Wishes>): Partial<PlanInputs> => ({ wishes: { tool: 'skew', film: 'gloss', ...more } })
it.each<[string, Partial<Wishes>, string]>([
  ['from a skew', {}, 'sand:P-320, sand:P-600'],
  ['from a gouge one grit coarser', { tool: 'gouge' }, 'sand:P-150, sand:P-220, sand:P-320, sand:P-600'],
  ['finer, where less may be left', { leave: 3 }, 'sand:P-320, sand:P-500, sand:P-800, sand:pad-1800'],
  ['with the jump lifted', { jump: 0 }, 'sand:P-320, sand:P-600'],
  ['without a grit that is refused', { refuse: ['P-320'] }, 'sand:P-400, sand:P-600'],
  ['through one that is insisted on', { insist: ['P-400'] }, 'sand:P-320, sand:P-400, sand:P-600'],
  ['insisting on what is not there asks for nothing', { insist: ['P-9999'] }, 'sand:P-320, sand:P-600'],
  ['the turner’s own, each once, as far as it is there', { ladder: ['P-150', 'P-400', 'P-400', 'P-9999'] }, 'sand:P-150, sand:P-400'],
])('the bare ladder %s', (_name, more, steps) => expect(stepsInWords(planFor('apple', 'click-8', wishes(more)), 'sand')).toBe(steps))

describe('planned anew while it is worked', () => {
  const first = plan('ca-thin-first')
  const ids = first.steps.map(step => step.id)
  const upTo = (id: string) => new Set(ids.slice(0, ids.indexOf(id) + 1))
  it('with nothing done it is a new plan', () =>
    expect(revisePlan(first, { method: methodOf('oil') }).steps).toEqual(plan('oil').steps))
  it('what is done stays, only finer grits follow, and later phases are worked out afresh', () => {
    const now = revisePlan(first, { shelf: without('P-600', 'P-320') }, upTo('sand.P-320'))
    expect(stepsInWords(now, 'blank', 'turn')).toBe('parts, cut, drill, tube, square<square, turn')
    expect(stepsInWords(now, 'sand')).toBe('sand:P-320, sand:P-800')
    const fresh = plan('ca-thin-first', 'apple', { shelf: without('P-600', 'P-320') })
    expect(stepsInWords(now, 'level')).toBe(stepsInWords(fresh, 'level'))
  })
  it('coats that are on stay on, further ones follow', () => {
    const now = revisePlan(first, { method: methodOf('ca-thin-staged') }, upTo('coat.4'))
    expect(now.steps.slice(0, ids.indexOf('coat.4') + 1)).toEqual(first.steps.slice(0, ids.indexOf('coat.4') + 1))
    const coats = (of: typeof now) => of.steps.filter(step => step.kind === 'coat').length
    expect(coats(now)).toBe(coats(plan('ca-thin-staged')))
    expect(new Set(now.steps.map(step => step.id)).size).toBe(now.steps.length)
  })
})

describe('what a method asks of bare wood beside sanding', () => {
  const asked = { ...methodOf('sealer-polish-wax'), wood: { harden: true, burnish: true } }
  const kinds = (material: string) =>
    planFor(material, 'click-8', { method: asked }).steps.flatMap(step => (step.phase === 'sand' ? [step.kind] : []))
  it('is hardening before the first grit and a burnish after the last', () => {
    const [first, ...rest] = kinds('apple')
    expect([first, rest.at(-1)]).toEqual(['harden', 'burnish'])
    expect(new Set(rest.slice(0, -1))).toEqual(new Set(['sand']))
  })
  it('and neither on resin', () => expect(kinds('green-resin')).not.toEqual(expect.arrayContaining(['burnish'])))
  it('leaves the scratches as the ladder left them, and the wood waits until what hardens it has set', () => {
    const plan = planFor('apple', 'click-8', { method: asked })
    const traced = trace(plan)
    const of = (kind: string) => traced.steps.find(one => one.step.kind === kind)!
    expect(of('burnish').after.wood).toEqual(of('burnish').before.wood)
    expect(of('sand').wait!.length.value).toBeGreaterThan(0)
  })
})
