import { materials, methods } from '../../reference'
import { methodOf, planFor } from '../../tests/support/inputs'
import { unitWords } from '../units'
import type { Material, MaterialClass } from '../shelf'
import { finishFamilies } from './method'
import { stepSpeed, trace, stepWords } from '../plan'
import { familyOf, rankedMethods, suitability } from './suits'

const blankOf = (...classes: MaterialClass[]): Material => ({ ...materials.find(one => one.id === 'unknown')!, name: 'Some wood', classes })
const verdict = (family: Parameters<typeof suitability>[0], ...classes: MaterialClass[]) => suitability(family, blankOf(...classes)).verdict

it('a family’s words stand under its own name', () => {
  expect(finishFamilies.map(family => familyOf(family).family)).toEqual(finishFamilies)
})

// What each class of blank leans to and is watched for: common practice without source.
it.each<[Parameters<typeof suitability>[0], MaterialClass[], ReturnType<typeof verdict>]>([
  ['CA film', ['open-pored'], 'suits'],
  ['sealer and polish', ['open-pored'], 'suits'],
  ['friction polish', ['open-pored'], 'with care'],
  ['CA film', ['oily'], 'suits'],
  ['conditioner and wax', ['oily'], 'suits'],
  ['hard wax', ['oily'], 'suits'],
  ['sealer and lacquer', ['oily'], 'with care'],
  ['oil', ['oily'], 'does not suit'],
  ['CA film', ['bleeding'], 'suits'],
  ['friction polish', ['bleeding'], 'with care'],
  ['friction polish', ['bleeding', 'laminated'], 'does not suit'],
  ['oil', ['bleeding', 'laminated'], 'does not suit'],
  ['CA film', ['soft'], 'suits'],
  ['friction polish', ['soft'], 'with care'],
  ['CA film', ['hybrid'], 'suits'],
  ['friction polish', ['hybrid'], 'does not suit'],
  ['spray lacquer', ['hybrid'], 'with care'],
  ['bare polish', ['hybrid'], 'with care'],
  ['bare polish', ['resin'], 'suits'],
  ['CA film', ['resin'], 'with care'],
  ['oil', ['resin'], 'does not suit'],
  ['wipe-on', ['resin'], 'does not suit'],
  ['bare polish', ['close-grained'], 'does not suit'],
  ['friction polish', ['close-grained'], 'suits'],
  ['CA film', ['laminated'], 'suits'],
])('%s on %j: %3$s [trade]', (family, classes, expected) => expect(verdict(family, ...classes)).toBe(expected))

// What is said for a verdict, and that it is said because of what the blank is: common practice without source.
it.each<[Parameters<typeof suitability>[0], MaterialClass[], 'for' | 'care' | 'against', RegExp]>([
  ['oil', ['resin'], 'against', /nothing in resin for oil to soak into/],
  ['oil', ['hybrid'], 'against', /darkens and the resin stays/],
  ['oil', ['oily'], 'against', /own oils keep it from drying/],
  ['oil', ['bleeding', 'laminated'], 'against', /drags the colour across the joint/],
  ['friction polish', ['resin'], 'against', /nothing for shellac to hold to/],
  ['friction polish', ['hybrid'], 'against', /craze the resin/],
  ['friction polish', ['bleeding', 'laminated'], 'against', /drags the dark colour across the joint/],
  ['bare polish', ['close-grained'], 'against', /white stays in the pores/],
  ['sealer and polish', ['resin'], 'against', /nothing to seal/],
  ['sealer and polish', ['hybrid'], 'against', /solvent can craze the resin/],
  ['spray lacquer', ['resin'], 'against', /polishes by itself/],
  ['sealer and lacquer', ['resin'], 'against', /polishes by itself/],
  ['wipe-on', ['resin'], 'against', /peels/],
  ['wipe-on', ['hybrid'], 'against', /peels off the resin/],
  ['conditioner and wax', ['resin'], 'against', /takes no conditioner/],
])('%s on %j: %s, since %s [trade]', (family, classes, weight, words) => {
  const said = (material: Material) =>
    suitability(family, material).reasons.filter(one => one.weight === weight && words.test(one.says)).length
  expect(said(blankOf(...classes))).toBe(1)
  const other = family === 'bare polish' ? blankOf('resin') : blankOf('close-grained')
  expect(said(other)).toBe(0)
})

/** Blanks by their classes, in the order of the table below. */
const BLANKS: MaterialClass[][] = [
  [], ['close-grained'], ['open-pored'], ['soft'], ['oily'], ['bleeding'], ['bleeding', 'laminated'], ['laminated'], ['hybrid'], ['resin'],
  ['hybrid', 'bleeding'], ['oily', 'open-pored'],
]
const SIGNS = { for: '+', care: '?', against: '-' }

// Every reason of every family by its weight: + for it, ? asks for care, - against it, . nothing. Common practice without source.
it.each<[Parameters<typeof suitability>[0], string]>([
  ['CA film', '+ + + + + + ++ + + ? ++ ++'],
  ['friction polish', '+ + ? ? . ? - . - - -- ?'],
  ['sealer and polish', '+ + + . . ? - . - - -- +'],
  ['sealer and lacquer', '+ + + . ? ? ? . ? - ?? ?+'],
  ['conditioner and wax', '+ + + ? + ? ? . ? - ?? ++'],
  ['wipe-on', '+ + + . ? ? ? . - - -? ?+'],
  ['oil', '+ + + ? - ? ?- . - - -?- -+'],
  ['hard wax', '+ + . . + + + . ? ? ?+ +'],
  ['bare polish', '- - - - - - - - ? + ? -'],
  ['spray lacquer', '+ + ? . ? + + . ? - ?+ ??'],
])('%s on each kind of blank: %s [trade]', (family, signs) => {
  const on = (classes: MaterialClass[]) => suitability(family, blankOf(...classes)).reasons.map(one => SIGNS[one.weight]).join('') || '.'
  expect(BLANKS.map(on).join(' ')).toBe(signs)
})

it('one reason against it is enough, one that asks for care too; what only speaks for it suits', () => {
  for (const material of materials) {
    for (const family of finishFamilies) {
      const { verdict: said, reasons } = suitability(family, material)
      const weights = new Set(reasons.map(reason => reason.weight))
      expect(said).toBe(weights.has('against') ? 'does not suit' : weights.has('care') ? 'with care' : 'suits')
    }
  }
})

it('what suits stands before what asks for care, and that before what does not suit', () => {
  const rank = { 'suits': 0, 'with care': 1, 'does not suit': 2 }
  for (const material of materials) {
    const order = rankedMethods(methods, material).map(one => rank[one.verdict])
    expect([...order].sort((a, b) => a - b)).toEqual(order)
    expect(order).toHaveLength(methods.length)
    // Of two that go equally well the one with more that speaks for it stands first.
    const ranked = rankedMethods(methods, material)
    const points = ranked.map(one => one.reasons.filter(reason => reason.weight === 'for').length)
    ranked.forEach((one, index) => {
      if (index && ranked[index - 1]!.verdict === one.verdict) expect(points[index - 1]).toBeGreaterThanOrEqual(points[index]!)
    })
  }
})

it('an unknown blank is treated as close-grained, and says no more than that', () => {
  for (const family of finishFamilies)
    expect(suitability(family, blankOf()).verdict).toBe(suitability(family, blankOf('close-grained')).verdict)
})

describe('the words of a finish', () => {
  const told = (id: string, kind: string, material = 'apple') => {
    const plan = planFor(material, 'click-8', { method: methodOf(id) })
    const traced = trace(plan)
    return traced.steps.filter(one => one.step.kind === kind).map(one => stepWords(plan, one, unitWords('metric'), traced))
  }
  it('say how each product goes on, as turners put it on [trade]', () => {
    expect(told('friction-polish', 'coat')[0]).toMatchObject({
      title: 'Shellac friction polish, coat 1',
      how: expect.stringMatching(/3000 rev\/min, paper towel: .*stopped work.*warm to the finger/) as string,
    })
    expect(told('sealer-lacquer-wax', 'coat')[1]!.how).toMatch(/^Lathe off, paper towel: thin and even/)
    expect(told('ca-thin-first', 'coat')[0]).toMatchObject({
      how: expect.stringMatching(/500 rev\/min or slower, closed-cell foam, from the middle out/) as string,
      why: 'No accelerator: it is to soak in and fill',
    })
    expect(told('oil', 'wipe off')[0]!.why).toMatch(/sticky/)
    expect(told('wipe-on', 'cut back')[0]!.how).toMatch(/along the barrel/)
  })
  it('a levelling tells what it takes of what is there, its risk, and when to stop', () => {
    expect(told('ca-medium-only', 'level')[0]!.why).toMatch(/^Takes \d+ of \d+ µm; .*going through.*colour on the paper means stop$/)
  })
  it('coats are counted through, whatever they are of', () => {
    expect(told('sealer-polish-wax', 'coat').map(words => words.done)).toEqual(
      told('sealer-polish-wax', 'coat').map((_, index) => `Coat ${index + 1} is on`),
    )
  })
})

it('every finish runs at a speed that turners run it at, or with the lathe off', () => {
  for (const method of methods) {
    const plan = planFor(method.family === 'bare polish' ? 'green-resin' : 'apple', 'twist-7', { method })
    const traced = trace(plan)
    for (const { step } of traced.steps.filter(one => ['coat', 'buff', 'polish'].includes(one.step.kind)))
      expect([step.id, stepSpeed(plan, step, traced)?.within ?? true]).toEqual([step.id, true])
  }
})
