import { repairRows } from '../../../../reference'
import { methodOf, planFor, without } from '../../../../tests/support/inputs'
import type { DefectKind, RepairWay } from '../../../defects'
import { unitWords } from '../../../units'
import { mendOptions } from '../../mend'
import type { Plan, PlanInputs } from '../../model'
import { trace } from '../../trace'
import { coatPlace } from './coat'
import { stepWords } from './words'
import type { StepWords } from './writer'

const metric = unitWords('metric')
/** The words of the first step whose id begins so. */
function wordsOf(plan: Plan, id: string, units = metric): StepWords {
  const whole = trace(plan)
  return stepWords(plan, whole.steps.find(one => one.step.id.startsWith(id))!, units, whole)
}
const plan = (material: string, fitting: string, method: string, change: Partial<PlanInputs> = {}) =>
  planFor(material, fitting, { method: methodOf(method), ...change })

const one = plan('apple', 'click-8', 'ca-thin-staged')
const two = plan('apple', 'twist-7', 'ca-thin-first')

const CLOTH = '1000 rev/min, soft cloth, little pressure'
const bare = plan('green-resin', 'click-8', 'bare-polish')
const CUT = 'Draw the witness mark across the cut first, so that the grain runs on'

/** What a person reads at the bench: title, how, why, and the key. The figures are those of the plan, worked out in its own tests. */
it.each<[string, Plan, string, [title: string, how: string, why: string, done: string]]>([
  ['a single barrel', one, 'cut', ['Cut', '63.4 mm from a stick of 63.4 mm', CUT, 'Cut']],
  ['two barrels', two, 'cut', ['Cut', '55.6 mm and 56.8 mm from a stick of 113.6 mm', CUT, 'Cut']],
  ['a single barrel', one, 'drill', [
    'Drill 8.0 mm', '350 to 440 rev/min, 6 bites of 12 mm, clear the bit after each',
    'A packed bit heats, wanders and splits the blank', 'Drilled',
  ]],
  ['two barrels', two, 'drill', [
    'Drill 7.0 mm', '400 to 500 rev/min, 5 bites of 12 mm, clear the bit after each',
    'From the middle cut outwards: there the bit has wandered least', 'Drilled',
  ]],
  ['a film', one, 'turn', ['Turn to size', '10.06 mm · 11.36 mm', 'skew; ends 0.04 mm under the metal', 'At size']],
  ['no film', plan('apple', 'click-8', 'hard-wax'), 'turn', [
    'Turn to size', '10.19 mm · 11.49 mm', 'skew; ends 0.09 mm proud of the metal', 'At size',
  ]],
  ['the last grit on wood', one, 'sand.P-600', [
    'P600', '1000 rev/min, dry, keep moving; stop, with-grain pass, wipe, look',
    '26 µm grain · jump 1.8 · leaves 7.7 µm: the film hides it', 'Scratches gone',
  ]],
  ['not the last, on resin', bare, 'sand.P-800', [
    'P800', '1000 rev/min, wet, light hand; stop, along the barrel, wipe off the white residue, look',
    '22 µm grain · jump 1.6 · leaves 3.3 µm', 'Scratches gone',
  ]],
  ['wood', one, 'clean', [
    'Blow off, no wipe', 'Blow or vacuum the dust off, pores too', 'Dust under a coat shows as white dots', 'Clean',
  ]],
  ['oily', plan('oily-exotic', 'click-8', 'ca-thin-first'), 'clean', [
    'Wipe with alcohol', 'Blow off, wipe with alcohol, let it flash off, coat at once',
    'Just before the first coat: oil creeps back within minutes, and a coat on oil lifts', 'Clean',
  ]],
  ['oily, no alcohol', plan('oily-exotic', 'click-8', 'ca-thin-first', { shelf: without('alcohol') }), 'clean', [
    'Blow off, no wipe', 'Blow or vacuum the dust off, pores too', 'Oil under a coat lets it lift: coat at once', 'Clean',
  ]],
  ['bleeding', plan('plum-holly', 'click-8', 'ca-thin-first'), 'clean', [
    'Blow off, no wipe', 'Blow or vacuum the dust off, pores too', 'A wet wipe would carry the colour', 'Clean',
  ]],
  ['resin', bare, 'clean', [
    'Rinse and dry', 'Rinse the white residue off, dry, look for pits', 'What stays in a scratch shows as a white line', 'Clean',
  ]],
  ['soaking in', one, 'coat.1', [
    'Thin CA, coat 1', '500 rev/min or slower, closed-cell foam, from the middle out, quick',
    'No accelerator: it is to soak in and fill', 'Coat 1 is on',
  ]],
  ['accelerated', one, 'coat.5', [
    'Thin CA, coat 5', '500 rev/min or slower, closed-cell foam, from the middle out, quick',
    'Then a light mist of accelerator from 30\u00A0cm', 'Coat 5 is on',
  ]],
  ['without accelerator', plan('apple', 'click-8', 'ca-thin-staged', { shelf: without('accelerator') }), 'coat.5', [
    'Thin CA, coat 5', '500 rev/min or slower, closed-cell foam, from the middle out, quick', 'Let it set by itself', 'Coat 5 is on',
  ]],
  ['sprayed', plan('apple', 'click-8', 'spray-lacquer'), 'spray', [
    'Spray lacquer, coat 1', 'Lathe off, spray: on a holder away from the lathe, light passes from 30\u00A0cm, turning',
    'Light coats do not run', 'Coat 1 is on',
  ]],
  ['in a stage', one, 'level', [
    'Level with P800', 'Wet, 22 µm grain, lathe stopped, end to end, until no shiny spot is left',
    'Takes 5.7 of 27 µm; a risk of going through, 1 in 32 at the edges; colour on the paper means stop', 'No shiny spot left',
  ]],
  ['a pad', one, 'smooth', [
    'pad 1800', 'Wet, light hand, keep moving; wipe off the white residue',
    '15 µm grain · jump 1.5 · leaves 1.1 µm: nothing left to see · rinsed once', 'Scratches gone',
  ]],
  ['a film', one, 'polish', ['Plastic polish', CLOTH, 'Takes the last haze off the film', 'Polished']],
  ['no film', bare, 'polish', ['Plastic polish', CLOTH, 'Takes the last haze off', 'Polished']],
  ['what cures', one, 'check', [
    'Check and hand over', 'Flush at every joint, refill out and back, no scratch, clip tight',
    'Apple: the finish has cured to the full', 'Handed over',
  ]],
  ['what does not', bare, 'check', [
    'Check and hand over', 'Flush at every joint, refill out and back, no scratch, clip tight',
    'Green cast resin: bare, nothing has to cure', 'Handed over',
  ]],
])('%s: %#', (_name, made, id, said) => {
  const { title, how, why, done } = wordsOf(made, id)
  expect([title, how, why, done]).toEqual(said)
})

it('the first grit takes the tool marks out; every grit says what it jumps and leaves; a worn-out piece is told', () => {
  const first = one.steps.find(step => step.kind === 'sand')!
  expect(wordsOf(one, first.id).why).toMatch(/^\d+ µm grain · takes the tool marks out · leaves [\d.]+ µm$/)
  // Two papers far apart: the finer one wears out before the marks of the coarser are gone.
  const { abrasives, products } = without()
  const shelf = { products, abrasives: abrasives.filter(row => ['P-150', 'P-600'].includes(row.id) || row.scale === 'pad') }
  const rough = plan('apple', 'click-8', 'ca-thin-first', { shelf, wishes: { tool: 'gouge', film: 'gloss' } })
  const grits = trace(rough).steps.filter(one => one.grit && ['sand', 'smooth'].includes(one.step.kind))
  expect(grits.some(one => one.grit!.pieces > 1)).toBe(true)
  for (const { step, grit } of grits) {
    const { why } = wordsOf(rough, step.id)
    expect(/ · \d fresh pieces|rinsed (once|twice|\d times)/.test(why)).toBe(grit!.pieces > 1)
    expect(/rinsed/.test(why)).toBe(grit!.pieces > 1 && step.id.includes('pad'))
  }
  const worn = { products, abrasives: shelf.abrasives.map(row => ({ ...row, worn: 0.5 })) }
  const dull = plan('apple', 'click-8', 'ca-thin-first', { shelf: worn, wishes: { tool: 'gouge', film: 'gloss' } })
  expect(wordsOf(dull, 'sand.P-150').why).toMatch(/the piece in hand, then \d fresh$/)
})

it('inches are written for whoever reads them', () => {
  expect(wordsOf(two, 'cut', unitWords('inch64')).how).toBe('2 3/16 + 0.001 in and 2 15/64 + 0.002 in from a stick of 4 15/32 + 0.004 in')
})

describe('mends', () => {
  const mended = (kind: DefectKind, way: RepairWay, at: string, made = two) => {
    const underWay = made.steps.find(step => step.id.startsWith(at))!.id
    const defect = { id: 'd', kind, barrel: made.inputs.fitting.barrels[0]!.id, fromTip: 20, size: 1.5 }
    const found = mendOptions(made, repairRows, { defect, key: 'd', underWay, turned: true, tried: [] }).find(one => one.way === way)!
    const whole = trace(found.mended)
    return whole.steps.filter(one => one.step.mend).map(one => stepWords(found.mended, one, metric, whole))
  }
  it.each<[DefectKind, RepairWay, string, number, RegExp]>([
    ['chip', 'shavings and CA', 'clean', 0, /^Fill: shavings and CA \| lower barrel, 20\.0 mm from its tip end, 1\.5 mm across/],
    ['chip', 'shavings and CA', 'clean', 1, /^Bring the fill flush \| A sharp blade/],
    ['sand-through', 'more coats', 'level', 0, /^Thin CA, coat \d+ \| .*\| It builds up what was bared$/],
    ['sand-through', 'strip', 'level', 0, /^Sand back with .*\| Lathe slow, light, the whole barrel/],
    ['chip', 'new blank', 'clean', 0, /^Cut again \| lower barrel: 55\.6 mm from a stick of 55\.6 mm/],
  ])('%s by %s', (kind, way, at, index, words) => {
    const { title, how, why } = mended(kind, way, at)[index]!
    expect(`${title} | ${how} | ${why}`).toMatch(words)
  })
})

it('a coat is one of those that stand together; what is no coat has no place among them', () => {
  const coats = two.steps.filter(step => step.kind === 'coat')
  expect(coats.map(step => coatPlace(two, step))).toEqual(coats.map((_, index) => `coat ${index + 1} of ${coats.length}`))
  expect(coatPlace(two, two.steps[0]!)).toBe('')
})
