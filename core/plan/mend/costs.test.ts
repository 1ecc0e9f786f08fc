import fc from 'fast-check'
import { repairRows } from '../../../reference'
import { methodOf, planFor } from '../../../tests/support/inputs'
import type { DefectKind } from '../../defects'
import { diameterAt } from '../../barrel'
import { trace } from '../trace'
import { mendOptions, type MendSituation } from './options'

const staged = planFor('apple', 'twist-7', { method: methodOf('ca-thin-staged') })
const situation = (kind: DefectKind, underWay: string, change: Partial<MendSituation> = {}): MendSituation => ({
  defect: { id: 'd', kind, barrel: 'lower', fromTip: 20, size: 3 },
  key: 'd',
  underWay,
  turned: true,
  tried: [],
  ...change,
})
const optionsFor = (kind: DefectKind, underWay: string, change: Partial<MendSituation> = {}, plan = staged) =>
  mendOptions(plan, repairRows, situation(kind, underWay, change))
const firstOf = (kind: string) => staged.steps.find(step => step.kind === kind)!.id
const lastOf = (kind: string) => staged.steps.findLast(step => step.kind === kind)!.id

it.each<[DefectKind, string]>([
  ['chip', firstOf('sand')],
  ['sand-through', lastOf('level')],
  ['white dots', lastOf('level')],
  ['fish-eyes', lastOf('coat')],
])('what is to be expected of a mend is its own work, and a new barrel as often as it fails: %s at %s', (kind, step) => {
  const found = optionsFor(kind, step)
  expect(found.length).toBeGreaterThan(1)
  const anew = found.find(one => one.way === 'new blank')
  for (const one of found) {
    expect(one.expected).toBeCloseTo(one.handsOn + (1 - one.chance) * (anew?.handsOn ?? 0), 6)
    if (anew && one.chance < 1) expect(one.expected).toBeGreaterThan(one.handsOn)
  }
  expect(found.map(one => one.expected)).toEqual(found.map(one => one.expected).sort((a, b) => a - b))
  expect(found.map(one => one.recommended)).toEqual(found.map((_, index) => index === 0))
})

it('a mend costs what the mended plan takes more than the plan', () => {
  const before = trace(staged)
  for (const one of [...optionsFor('sand-through', lastOf('level')), ...optionsFor('ring scratches', lastOf('sand'))]) {
    const after = trace(one.mended)
    expect(one.handsOn).toBeCloseTo(after.handsOn.value - before.handsOn.value, 9)
    expect(one.handsOn).toBeGreaterThan(0)
    expect(one.span).toBeCloseTo(Math.max(0, after.untilHandOver.value - before.untilHandOver.value), 9)
    expect(one.wood).toBeCloseTo(after.sandingTakes.value - before.sandingTakes.value, 9)
    expect(one.film).toBeCloseTo(before.filmThinnest.value - after.filmThinnest.value, 9)
  }
  expect(optionsFor('ring scratches', lastOf('sand')).find(one => one.way === 'back in the ladder')!.wood).toBeGreaterThan(0)
})

it('a way that failed here is half as likely to work, and is told so in what is to be expected', () => {
  const at = lastOf('level')
  const more = (tried: MendSituation['tried']) => optionsFor('sand-through', at, { tried }).find(one => one.way === 'more coats')!
  expect(more(['more coats']).chance).toBeCloseTo(more([]).chance / 2, 9)
  expect(more(['more coats']).expected).toBeGreaterThan(more([]).expected)
})
it('a step that was skipped costs nothing', () => {
  const skipped = new Set([lastOf('polish')])
  const one = optionsFor('sand-through', lastOf('level'), { leftOut: skipped })[0]!
  expect(one.after.handsOn.value).toBeCloseTo(trace(one.mended, skipped).handsOn.value, 9)
  expect(one.handsOn).toBeCloseTo(trace(one.mended, skipped).handsOn.value - trace(staged, skipped).handsOn.value, 9)
})

it('a chip before turning goes with the shavings where it is shallower than what comes off; never once it is turned (property)', () => {
  const lower = trace(staged).size.barrels.find(one => one.barrel.id === 'lower')!
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 12, noNaN: true }), fc.double({ min: 2, max: 45, noNaN: true }), (wide, fromTip) => {
      const defect = { id: 'd', kind: 'chip' as const, barrel: 'lower' as const, fromTip, size: wide }
      const offered = (turned: boolean) => optionsFor('chip', firstOf('turn'), { defect, turned }).some(one => one.way === 'turn it out')
      // A hole is half as deep as it is wide [model].
      const toComeOff = (lower.section.side.value - diameterAt(lower.finished, fromTip)) / 2
      expect([offered(true), offered(false)]).toEqual([false, wide / 2 < toComeOff])
    }),
    { numRuns: 60 },
  )
})
