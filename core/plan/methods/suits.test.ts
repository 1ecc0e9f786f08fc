import { materials, methods } from '../../../reference'
import { methodOf, planFor } from '../../../tests/support/inputs'
import { unitWords } from '../../units'
import type { Material, MaterialClass } from '../inputs'
import { finishFamilies } from '../method'
import { stepSpeed } from '../speeds'
import { trace } from '../trace'
import { stepWords } from '../words'
import { families, familyOf, rankedMethods, suitability } from './suits'

const blankOf = (...classes: MaterialClass[]): Material => ({ ...materials.find(one => one.id === 'unknown')!, name: 'Some wood', classes })
const verdict = (family: Parameters<typeof suitability>[0], ...classes: MaterialClass[]) => suitability(family, blankOf(...classes)).verdict

it('every family is described once, with what it is good for and what it asks', () => {
  expect(families.map(one => one.family)).toEqual(finishFamilies)
  for (const one of families) for (const text of [one.looks, one.goodFor, one.asks]) expect(text.length).toBeGreaterThan(5)
})

// What each class of blank leans to and is watched for: common practice without source.
it.each<[Parameters<typeof suitability>[0], MaterialClass[], ReturnType<typeof verdict>]>([
  ['CA film', ['open-pored'], 'suits'], ['sealer and polish', ['open-pored'], 'suits'], ['friction polish', ['open-pored'], 'with care'],
  ['CA film', ['oily'], 'suits'], ['conditioner and wax', ['oily'], 'suits'], ['hard wax', ['oily'], 'suits'], ['sealer and lacquer', ['oily'], 'with care'], ['oil', ['oily'], 'does not suit'],
  ['CA film', ['bleeding'], 'suits'], ['friction polish', ['bleeding'], 'with care'], ['friction polish', ['bleeding', 'laminated'], 'does not suit'], ['oil', ['bleeding', 'laminated'], 'does not suit'],
  ['CA film', ['soft'], 'suits'], ['friction polish', ['soft'], 'with care'],
  ['CA film', ['hybrid'], 'suits'], ['friction polish', ['hybrid'], 'does not suit'], ['spray lacquer', ['hybrid'], 'with care'], ['bare polish', ['hybrid'], 'with care'],
  ['bare polish', ['resin'], 'suits'], ['CA film', ['resin'], 'with care'], ['oil', ['resin'], 'does not suit'], ['wipe-on', ['resin'], 'does not suit'],
  ['bare polish', ['close-grained'], 'does not suit'], ['friction polish', ['close-grained'], 'suits'], ['CA film', ['laminated'], 'suits'],
])('%s on %j: %3$s [trade]', (family, classes, expected) => expect(verdict(family, ...classes)).toBe(expected))

it('what speaks against a finish is said in words, and only then it does not suit', () => {
  for (const material of materials) {
    for (const { family } of families) {
      const { verdict: said, reasons } = suitability(family, material)
      expect(said === 'does not suit').toBe(reasons.some(reason => reason.weight === 'against'))
      expect(said === 'suits').toBe(reasons.every(reason => reason.weight === 'for'))
      for (const reason of reasons) expect(reason.says.length).toBeGreaterThan(15)
    }
  }
})

it('what suits stands before what asks for care, and that before what does not suit', () => {
  const rank = { 'suits': 0, 'with care': 1, 'does not suit': 2 }
  for (const material of materials) {
    const order = rankedMethods(methods, material).map(one => rank[one.verdict])
    expect([...order].sort((a, b) => a - b)).toEqual(order)
    expect(order).toHaveLength(methods.length)
  }
})

it('an unknown blank is treated as close-grained, and says no more than that', () => {
  for (const { family } of families) expect(suitability(family, blankOf()).verdict).toBe(suitability(family, blankOf('close-grained')).verdict)
})

describe('the words of a finish', () => {
  const told = (id: string, kind: string, material = 'apple') => {
    const plan = planFor(material, 'click-8', { method: methodOf(id) })
    const traced = trace(plan)
    return traced.steps.filter(one => one.step.kind === kind).map(one => stepWords(plan, one, unitWords('metric'), traced))
  }
  it('say how each product goes on, as turners put it on [trade]', () => {
    expect(told('friction-polish', 'coat')[0]).toMatchObject({ title: 'Shellac friction polish, coat 1', how: expect.stringMatching(/3000 rev\/min, paper towel: .*stopped work.*warm to the finger/) as string })
    expect(told('sealer-lacquer-wax', 'coat')[1]!.how).toMatch(/^Lathe off, paper towel: thin and even/)
    expect(told('ca-thin-first', 'coat')[0]).toMatchObject({ how: expect.stringMatching(/500 rev\/min or slower, closed-cell foam, from the middle out/) as string, why: 'No accelerator: it is to soak in and fill' })
    expect(told('oil', 'wipe off')[0]!.why).toMatch(/sticky/)
    expect(told('wipe-on', 'cut back')[0]!.how).toMatch(/along the barrel/)
  })
  it('a levelling tells what it takes of what is there, its risk, and when to stop', () => {
    expect(told('ca-medium-only', 'level')[0]!.why).toMatch(/^Takes \d+ of \d+ µm; .*going through.*colour on the paper means stop$/)
  })
  it('coats are counted through, whatever they are of', () => {
    expect(told('sealer-polish-wax', 'coat').map(words => words.done)).toEqual(told('sealer-polish-wax', 'coat').map((_, index) => `Coat ${index + 1} is on`))
  })
})

it('every finish runs at a speed that turners run it at, or with the lathe off', () => {
  for (const method of methods) {
    const plan = planFor(method.family === 'bare polish' ? 'green-resin' : 'apple', 'twist-7', { method })
    const traced = trace(plan)
    for (const { step } of traced.steps.filter(one => ['coat', 'buff', 'polish'].includes(one.step.kind))) expect([step.id, stepSpeed(plan, step, traced)?.within ?? true]).toEqual([step.id, true])
  }
})

it('every family’s description is found by its name', () => expect(finishFamilies.map(family => familyOf(family).family)).toEqual(finishFamilies))
