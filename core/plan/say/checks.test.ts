import { methodOf, planFor, without } from '../../../tests/support/inputs'
import { unitWords } from '../../units'
import type { Plan, PlanInputs } from '../model'
import { trace } from '../trace'
import { checksFor } from './checks'
import type { Check } from './check'

const metric = unitWords('metric')
const plan = (material: string, fitting = 'click-8', method = 'ca-thin-first', change: Partial<PlanInputs> = {}) =>
  planFor(material, fitting, { method: methodOf(method), ...change })
function checks(made: Plan, id: string): Check[] {
  const step = made.steps.find(one => one.id.startsWith(id))!
  return checksFor(made, step, trace(made), metric)
}
const check = (made: Plan, id: string, which: string) => checks(made, id).find(one => one.id === which)!
const [apple, two] = [plan('apple'), plan('apple', 'twist-7')]

it('each part of the set is asked for, and what its lack means', () => {
  const parts = two.inputs.fitting.parts!
  expect(parts.length).toBeGreaterThan(2)
  expect(checks(two, 'parts').map(one => one.ask)).toEqual(parts.map(part => `${part}?`))
  const lacks = `Without its ${parts[0]!.toLowerCase()} the pen cannot be finished: order it before you cut.`
  expect(checks(two, 'parts')[0]!.otherwise).toBe(lacks)
})
it('two barrels are asked whether their grain still runs on, one is not', () => {
  expect(check(two, 'cut', 'witness').ask).toBe('Witness mark drawn across the middle cut?')
  expect(check(apple, 'cut', 'witness').ask).toBe('Witness mark drawn at the tip end?')
  for (const step of ['tube', 'turn']) {
    expect(checks(two, step).some(one => one.id === 'pair')).toBe(true)
    expect(checks(apple, step).some(one => one.id === 'pair')).toBe(false)
  }
})
it('an exit hole off the middle is judged by what the blank has to spare', () => {
  const blank = (side: number) => ({ id: 'b', name: 'Bough', width: side, height: side + 3, length: 125, damp: false, readings: [] })
  const asked = (side?: number) =>
    check(plan('apple', 'click-8', 'ca-thin-first', side === undefined ? {} : { blank: blank(side) }), 'drill', 'centred').otherwise
  const { section } = trace(apple).size.barrels[0]!
  const slim = section.side.value - 2 * section.wander.value
  expect(asked()).toBe(`Measure how far off it is: half of what the blank is thicker than ${metric.length(slim)} may be lost.`)
  expect(asked(slim + 2)).toMatch(/^Measure how far off it is\. Up to 1\.00 mm the barrel still fits into this blank; beyond it/)
  expect(asked(slim - 0.1)).toBe('This blank has nothing to spare: cut a new piece from a thicker one.')
})
it('a wood that bleeds is looked at for it from the first grit on, and a joint at the end too', () => {
  const told = (made: Plan, id: string, which: string) => check(made, id, which).defects ?? []
  expect(told(plan('damson'), 'sand', 'light')).toContain('bleed')
  expect(told(apple, 'sand', 'light')).not.toContain('bleed')
  expect(told(plan('damson'), 'ends', 'surface')).toContain('bleed')
  expect(told(plan('plum-holly'), 'ends', 'surface')).toContain('bleed')
  expect(told(apple, 'ends', 'surface')).not.toContain('bleed')
})
it('a solvent finish is looked at for a veil of damp, and an edge for what can lift there', () => {
  expect(check(plan('apple', 'click-8', 'spray-lacquer'), 'ends', 'surface').defects).toContain('blush')
  expect(check(apple, 'ends', 'surface').defects).not.toContain('blush')
  expect(check(apple, 'ends', 'edge').defects).toEqual(['chipped end', 'lifting'])
  expect(check(plan('apple', 'click-8', 'hard-wax'), 'ends', 'edge').defects).toEqual(['chip', 'crack'])
})
it('a film too uneven for its grit is sent to the coarser one; coats to come are told from none', () => {
  const staged = plan('apple', 'click-8', 'ca-thin-staged')
  const levels = staged.steps.filter(step => step.kind === 'level')
  expect(check(staged, levels[0]!.id, 'dots').otherwise).toMatch(/the next coat seals them in/)
  expect(checksFor(staged, levels.at(-1)!, trace(staged), metric).find(one => one.id === 'dots')!.otherwise).toMatch(/rinse, and look again/)
  expect(check(staged, levels[0]!.id, 'shiny').otherwise).toMatch(/a fresh piece if the dust has stopped\.$/)
  expect(check(staged, levels[0]!.id, 'shiny').defects).toBeUndefined()
  expect(check(staged, levels[0]!.id, 'shiny').acts).toEqual([{ says: 'Levelled with P600', work: 'level', with: 'P-600' }])
  expect(check(staged, levels[0]!.id, 'hard').acts).toEqual([{ says: 'Leave it an hour', wait: 3600 }])

  // Thick coats and only P800 to level them with: one piece does not take out what they are uneven.
  const fine = without('P-320', 'P-400', 'P-500', 'P-600')
  const ridged = {
    ...fine,
    products: fine.products.map(one => (one.id === 'medium-ca' ? { ...one, film: { ...one.film!, unevenness: 60 } } : one)),
  }
  const rough = plan('apple', 'click-8', 'ca-medium-only', { shelf: ridged })
  const shiny = check(rough, 'level', 'shiny')
  expect(shiny.defects).toEqual(['ridges'])
  expect(shiny.otherwise).toMatch(/This film is about \d+ µm uneven, more than a piece of P800 takes: go to P220, lightly\.$/)
})
it('what needs no look has none', () => expect(checks(apple, 'polish')).toEqual([]))
// Slurry on the first three pads: common practice without source.
it('slurry is looked for on the first three pads run on the film, and not on paper', () => {
  const whole = plan('apple', 'click-8', 'ca-thin-first')
  const smooth = whole.steps.filter(step => step.kind === 'smooth')
  const pads = ['pad-1500', 'pad-1800', 'pad-2400', 'pad-3200', 'pad-4000']
  const ladder = planFor('apple', 'click-8', {
    method: methodOf('ca-thin-first'), wishes: { tool: 'skew', film: 'gloss', levelWith: 'P-400', filmLadder: ['P-600', ...pads] },
  })
  const asked = ladder.steps.filter(step => step.kind === 'smooth').map(step => [
    step.kind === 'smooth' && step.abrasive.id,
    checksFor(ladder, step, trace(ladder), metric).some(one => one.id === 'slurry'),
  ])
  expect(smooth.length).toBeGreaterThan(0)
  expect(asked).toEqual([['P-600', false], ...pads.map((id, index) => [id, index < 3])])
})
