import fc from 'fast-check'
import { products } from '../../reference'
import { planFor } from '../../tests/support/inputs'
import { anyInputs } from '../../tests/support/wishes'
import type { Figure } from '../figures'
import { makePlan } from './make'
import { withRepairs } from './mend'
import type { Plan, PlanInputs } from './model'
import { trace } from './trace'

type Named = (...begins: string[]) => number

/** How each kind of worked figure is worked out of the figures it names, by what it says of itself; written apart from the code. */
const RULES: Record<string, (of: Named, all: readonly number[]) => number> = {
  'sanding + change × pieces': of => (of('sanding with', 'a few strokes')) + of('change', 'that of paper') * of('pieces'),
  'τ · ln(what the piece can take / (that − taken off))': (of) => {
    const can = of('what')
    return of('time constant') * Math.log(can / (can - of('taken off')))
  },
  'all of these multiplied': (_of, all) => all.reduce((product, one) => product * one, 1),
  'τ × part for the grain × (40 m/min / speed) / your own rate': (of) => {
    const speed = of('surface speed', 'strokes by hand')
    return (of('τ at') * of('part of it') * (40 / speed)) / (of('your own rate') || 1)
  },
  '√(grain / 68 µm), within 0.25 and 1': of => Math.min(1, Math.max(0.25, Math.sqrt(of('grain') / 68))),
  'grain × scratch depth per grain size': (_of, all) => all.reduce((product, one) => product * one, 1),
  'that of paper × part with a pad': (_of, all) => all.reduce((product, one) => product * one, 1),
  'that of paper × part for a fine pad': (_of, all) => all.reduce((product, one) => product * one, 1),
  'all that stood before it': (_of, [one]) => one!,
  'as much of it as this grit can': of => of('this grit can'),
  'mean + half the unevenness': (_of, [mean, half]) => mean! + half!,
  'π × diameter × spindle speed': (_of, [mm, revs]) => (Math.PI * mm! * revs!) / 1000,
  '(× for 10 °C) to the power of (21 − °C) / 10': of => of('for 10 °C less') ** ((21 - of('workshop temperature')) / 10),
  '50 / humidity below 50 %: CA cures by moisture': of => Math.max(1, 50 / of('workshop humidity')),
  '√(50 / humidity) below 50 %: accelerator does most of it': of => Math.sqrt(Math.max(1, 50 / of('workshop humidity'))),
  'base wait × temperature × humidity': (_of, all) => all.reduce((product, one) => product * one, 1),
  'base wait × temperature × humidity, but no shorter than it or a day': (_of, [base, ...factors]) =>
    Math.max(Math.min(base!, 86_400), factors.reduce((product, one) => product * one, base!)),
  'base × temperature × humidity, as the wait before it': (_of, all) => all.reduce((product, one) => product * one, 1),
  'time for each barrel × barrels': (_of, all) => all.reduce((product, one) => product * one, 1),
  'all steps together': (_of, all) => all.reduce((sum, one) => sum + one, 0),
  'each grit removes the deepest scratch before it': (_of, all) => all.reduce((sum, one) => sum + one, 0),
  'each coat, less what each levelling and polishing takes': (_of, all) => all.reduce((sum, one) => sum + one, 0),
  'surface × build / solids × what leaves the bottle for it': (_of, [mm2, um, solids, waste]) =>
    (mm2! * um! * waste!) / solids! / 1e6,
  'mean − half the unevenness − 1.645 × spread from coat to coat': (_of, [mean, uneven, sd]) =>
    Math.max(0, mean! - uneven! / 2 - 1.645 * sd!),
  'depth × part of it': (_of, all) => all.reduce((product, one) => product * one, 1),
  'worked straight through: hands on, and what is left of each wait': (_of, all) => all.reduce((sum, one) => sum + one, 0),
  'wait − what is done meanwhile': (_of, [wait, meanwhile]) => wait! - meanwhile!,
  'tube + 2 × spare': of => of('tube') + 2 * of('spare'),
  'pieces + kerf between them': (_of, all) => all.slice(0, -1).reduce((sum, one) => sum + one, 0) + (all.length - 2) * all.at(-1)!,
  '(finished diameter − 2 × film − tube) / 2': of => (of('finished') - (2 * of('film')) / 1000 - of('tube')) / 2,
  '(turn-to − tube) / 2 − sanding': of => (of('turn to') - of('tube')) / 2 - of('taken off') / 1000,
  'metal + 2 × sanding − 2 × film': of => of('metal') + (2 * (of('taken off') - of('film'))) / 1000,
  'fattest finished diameter + 2 × wander, inside faces and corners': of => of('fattest') + 2 * of('drill wander'),
  'the same surface speed as a 7 mm bit, to the nearest 10': of => 10 * Math.round((of('usual') * 7) / of('bit') / 10),
  'bit − tube': of => of('bit') - of('tube'),
  'π/4 · (bit² − tube²) · length': of => (Math.PI / 4) * (of('bit') ** 2 - of('tube outside') ** 2) * of('tube length'),
  'π · tube · length': of => Math.PI * of('tube outside') * of('tube length'),
  'volume between brass and film × density': (_of, [mm3, density]) => (mm3! * density!) / 1e6,
  'blanks of the least section − what stays, × density': (_of, [mm3, density]) => (mm3! * density!) / 1e6,
  '0.75 × √(5000 / hardness), within 0.4 to 1.2': (_of, [hardness]) => Math.min(1.2, Math.max(0.4, 0.75 * Math.sqrt(5000 / hardness!))),
  'least square section + 2 × to spare, up to the next whole mm': (_of, [least, spare]) => Math.ceil(least! + 2 * spare! - 1e-9),
}
const SEVERAL = 'τ · ln(what it can take / what is left in it) of every piece'

/** What a figure comes to by the rule of its kind; undefined for a kind that has none here. */
function again(figure: Figure): number | undefined {
  const from = figure.from ?? []
  const of: Named = (...begins) => from.find(one => begins.some(text => one.label.startsWith(text)))?.value ?? 0
  if (figure.note?.startsWith(SEVERAL)) return severalPieces(from, of)
  const rule = RULES[figure.note ?? '']
  return rule?.(of, from.map(one => one.value))
}

function severalPieces(from: readonly Figure[], of: Named): number {
  const [inHand, further] = from.filter(one => one.label.startsWith('what')).map(one => one.value) as [number, number]
  const pieces = of('pieces')
  const cans = [inHand, ...Array.from({ length: pieces - 1 }, () => further)]
  const left = (among: readonly number[]) => (among.reduce((sum, one) => sum + one, 0) - of('taken off')) / among.length
  const together = left(cans)
  const used = inHand < together ? cans.slice(1) : cans
  return used.reduce((sum, can) => sum + of('time constant') * Math.log(can / left(used)), 0)
}

/** All worked figures in anything, with those that they open to. */
function worked(of: unknown): Figure[] {
  if (typeof of !== 'object' || of === null) return []
  const own = Array.isArray(of) ? [] : [of as Figure].filter(one => typeof one.value === 'number' && one.from?.length)
  return [...own, ...Object.values(of).flatMap(worked)]
}

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const anyOwn: fc.Arbitrary<Partial<PlanInputs>> = fc.record({
  own: fc.record({ rate: between(0.5, 2), capacity: between(0.6, 1.5), overhead: between(8, 60) }),
  waits: between(0.5, 2).map(factor => Object.fromEntries(products.map(one => [one.id, factor]))),
  even: fc.record({ over: between(0.7, 1.4), wood: between(0.5, 2) }),
}, { requiredKeys: [] })

/** All worked figures of a plan, with what they come to again; of a kind that has no rule here that is nothing. */
const reproduced = (plan: Plan): { note: string, label: string, says: number, opens: number | undefined }[] =>
  worked(trace(plan)).map(figure => ({ note: figure.note ?? '', label: figure.label, says: figure.value, opens: again(figure) }))

function expectTrue(figures: ReturnType<typeof reproduced>): void {
  const isClose = (says: number, opens: number | undefined) => Math.abs((opens ?? NaN) - says) <= 1e-6 * Math.max(1, Math.abs(says))
  expect(figures.filter(({ says, opens }) => !isClose(says, opens))).toEqual([])
}

it('figures reproduce from what they open to: worn paper, own rates, cold and dry, mended (property)', () => {
  const seen = new Set<string>()
  const look = (plan: Plan) => {
    const figures = reproduced(plan)
    expectTrue(figures)
    for (const { note } of figures) seen.add(note)
  }
  fc.assert(
    fc.property(anyInputs, anyOwn, fc.constantFrom(0, 0.3, 0.8), (made, own, worn) => {
      const shelf = { ...made.shelf, abrasives: made.shelf.abrasives.map(one => ({ ...one, worn })) }
      look(makePlan({ ...made, ...own, shelf }))
    }),
    { numRuns: 60 },
  )
  const plan = planFor()
  const step = plan.steps.findLast(one => one.kind === 'level')!.id
  const strip = { defect: 'd1', key: 'd1', kind: 'sand-through', way: 'strip', barrel: 'only', fromTip: 20, size: 3, step } as const
  look(withRepairs(plan, [strip]))
  // Every rule was met, and so was more than one piece.
  expect(Object.keys(RULES).filter(rule => !seen.has(rule))).toEqual([])
  expect([...seen].some(note => note.startsWith(SEVERAL))).toBe(true)
})
