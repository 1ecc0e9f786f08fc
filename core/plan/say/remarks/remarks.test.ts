import { inputs, methodOf, planFor, without } from '../../../../tests/support/inputs'
import type { Shelf } from '../../../shelf'
import { leastFilm, type PlanInputs } from '../../model'
import { makePlan } from '../../make'
import { remarks } from './remarks'
import { trace } from '../../trace'

const of = (change: Partial<PlanInputs> = {}, material = 'apple', fitting = 'click-8') => {
  const plan = makePlan(inputs(material, fitting, change))
  return remarks(plan, trace(plan))
}
const says = (found: ReturnType<typeof of>) => found.map(remark => remark.says).join('\n')
const dropPads = (shelf: Shelf): Shelf => ({ ...shelf, abrasives: shelf.abrasives.filter(row => row.scale !== 'pad') })

it('has nothing to say of a close-grained wood on a usual shelf in fair air', () => expect(of()).toEqual([]))

it.each<[string, Partial<PlanInputs>, string, RegExp]>([
  ['no thin CA', { shelf: without('thin-ca') }, 'apple', /No thin CA on the shelf: its coats are left out/],
  [
    'nothing to coat with',
    { shelf: without('thin-ca', 'medium-ca') },
    'apple',
    /No thin CA on the shelf, so there are no coats in this plan/,
  ],
  ['no accelerator', { shelf: without('accelerator') }, 'apple', /every coat waits to set by itself/],
  ['no plastic polish', { shelf: without('plastic-polish') }, 'apple', /stays as the last grit leaves it/],
  [
    'no P600 or finer paper',
    {
      shelf: without(
        'P-600',
        'P-800',
        'pad-1500',
        'pad-1800',
        'pad-2400',
        'pad-3200',
        'pad-3600',
        'pad-4000',
        'pad-6000',
        'pad-8000',
        'pad-12000',
      ),
    },
    'apple',
    /stay in the blank; a film hides 8 µm/,
  ],
  ['no pads', { shelf: dropPads(without()) }, 'apple', /The film keeps scratches of 3\.3 µm; a high gloss hides 1\.5 µm/],
  ['no wet paper', { shelf: without('P-320', 'P-400', 'P-500', 'P-600', 'P-800') }, 'apple', /to level the film with/],
  ['damp air', { climate: { celsius: 20, humidity: 78 } }, 'apple', /At 78 % humidity CA may bloom white/],
  ['a bleeding wood', {}, 'damson', /bleeds/],
  ['an oily wood', {}, 'oily-exotic', /coats can lift/],
])('says so: %s', (_name, change, material, message) => {
  const found = of(change, material)
  expect(says(found)).toMatch(message)
  // It is said because of this, and not always.
  expect(says(of())).not.toMatch(message)
})

it('puts what falls short before what is good to know', () => {
  const weights = of({ shelf: without('thin-ca', 'accelerator', 'plastic-polish') }, 'damson').map(remark => remark.weight)
  expect(weights).toEqual([...weights].sort())
  expect(weights).toContain('gap')
})

it('says when the wall over the tube gets thin', () => {
  const thin = {
    ...inputs('apple', 'click-8').fitting,
    barrels: [{ id: 'only' as const, tubeLength: 60, tubeOuter: 9.6, tipEnd: 10.1, clipEnd: 11.4 }],
  }
  expect(says(of({ fitting: thin }))).toMatch(/Only 0\.2\d mm of wall is left over the tube of the barrel, its tip end; 0\.40 mm is wanted/)
})

it('says when a jump had to be lifted, and between which', () => {
  const gappy = {
    ...planFor().inputs.shelf,
    abrasives: planFor().inputs.shelf.abrasives.filter(row => ['P-220', 'P-600'].includes(row.id) || row.scale === 'pad'),
  }
  expect(says(of({ shelf: gappy }))).toMatch(/keeps to jumps of 2: the smallest it can keep is 2\.64, to P600/)
})

it.each(['ca-thin-first', 'spray-lacquer', 'hard-wax'])('says that a film is too thin exactly where it is, and what helps: %s', (id) => {
  const method = methodOf(id)
  const found = [10, 60, 110, 160, 300].map((depth) => {
    const plan = makePlan(inputs('apple', 'click-8', { method, wishes: { tool: 'skew', film: 'gloss', depth } }))
    const traced = trace(plan)
    const [sure, wanted] = [traced.filmThinnest.value, leastFilm(plan.inputs).value]
    const remark = remarks(plan, traced).find(one => /of film is sure/.test(one.says))
    if (id !== 'hard-wax' && sure < wanted) {
      expect(remark!.says).toBe(`Only ${sure.toFixed(0)} µm of film is sure at the thinnest place; ${wanted.toFixed(0)} µm is wanted.`)
      expect(remark!.remedy).toMatch(id === 'spray-lacquer' ? /^Allow more coats in the method/ : /^Add coats, or level with a finer grit/)
      expect(remark!.weight).toBe('gap')
    } else expect(remark).toBeUndefined()
    return Boolean(remark)
  })
  // Of a method without a film nothing is said; of the others of the greatest wish at least, and of the smallest nothing.
  expect([found.at(0), found.at(-1)]).toEqual([false, id !== 'hard-wax'])
})
