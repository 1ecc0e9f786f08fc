import { repairRows } from '../../../reference'
import { methodOf, planFor } from '../../../tests/support/inputs'
import { inRuns, inWord } from '../../../tests/support/steps'
import type { DefectKind, RepairWay } from '../../defects'
import type { Plan, Step } from '../model'
import { mendOptions } from './options'

const staged = planFor('apple', 'twist-7', { method: methodOf('ca-thin-staged'), wishes: { tool: 'round carbide', film: 'gloss' } })
const lacquer = planFor('apple', 'click-8', { method: methodOf('sealer-lacquer-wax') })
const wax = planFor('apple', 'click-8', { method: methodOf('hard-wax') })
const lastOf = (kind: Step['kind']) => staged.steps.findLast(step => step.kind === kind)!.id

/** The steps that a way puts in; runs of alike ones counted. */
function added(plan: Plan, kind: DefectKind, way: RepairWay, at: string, size: number, turned = true): string {
  const step = plan.steps.find(one => one.id.startsWith(at))!
  const barrel = plan.inputs.fitting.barrels[0]!.id
  const situation = { defect: { id: 'd', kind, barrel, fromTip: 20, size }, key: 'd', underWay: step.id, turned, tried: [] }
  const found = mendOptions(plan, repairRows, situation).find(one => one.way === way)
  return found ? inRuns(found.mended.steps.filter(one => one.mend).map(inWord)) : 'not offered'
}
const POLISH = 'level:P-800<level, smooth:pad-1800, polish'
const STAGE = 'coat, 2 coat<next coat, level:P-800<level'
const BARREL = 'cut*, drill*, tube*, square*<square, turn*'

// What is done for each: common practice without source, as far as it is told; how many coats follows from the film model.
it.each<[string, Plan, DefectKind, RepairWay, string, number, string]>([
  ['a chip before turning is filled', staged, 'chip', 'shavings and CA', 'square', 1.5, 'fill, flush<sand'],
  ['while sanding, and the grits used on it come again', staged, 'chip', 'shavings and CA', 'sand.P-320', 1.5,
    'fill, flush<sand, sand:P-180'],
  ['a hair’s hole takes thin CA', staged, 'void', 'thin CA', 'sand.P-320', 0.3, 'fill, flush<sand, sand:P-180'],
  ['rings: back to before the greatest jump', staged, 'ring scratches', 'back in the ladder', 'clean', 1, 'sand:P-320, sand:P-600'],
  ['and of the grits used so far while sanding', staged, 'ring scratches', 'back in the ladder', 'sand.P-600', 1, 'sand:P-180, sand:P-320'],
  ['heat checks: two grits back', staged, 'heat checks', 'back in the ladder', 'clean', 2, 'sand:P-180, sand:P-320, sand:P-600'],
  ['or as many as there were', staged, 'heat checks', 'back in the ladder', 'sand.P-320', 2, 'sand:P-180'],
  ['with nothing coarser used yet, what the shelf has', staged, 'heat checks', 'back in the ladder', 'sand.P-180', 2, 'sand:P-150'],
  ['oval: turned true again, and sanded', staged, 'oval', 'true it', 'sand.P-320', 1, 'turn*, sand:P-180*'],
  ['ridges between coats', staged, 'ridges', 'level out', 'coat.6', 5, 'level:P-800<level, coat'],
  ['with a coarser grit', staged, 'ridges', 'level coarser', 'coat.6', 5, 'level:P-600<level, coat'],
  ['dots found when polished', staged, 'white dots', 'level out', lastOf('smooth'), 2,
    'level:P-800<level, coat, level:P-800<level'],
  ['foam is put on again', staged, 'foam', 'level out', 'coat.6', 2, 'level:P-800<level, coat'],
  ['colour at the last levelling', staged, 'sand-through', 'more coats', lastOf('level'), 2, 'coat, 7 coat<next coat'],
  ['all sanded off, in the order it was', staged, 'sand-through', 'strip', lastOf('level'), 2,
    `sand back:P-320<level, sand:P-600, clean:blow, coat, 3 coat<next coat, level:P-800<level, ${STAGE}, coat, coat<next coat`],
  ['a chip under the film is buried in five', staged, 'chip', 'bury', lastOf('smooth'), 2,
    'fill, 5 coat<next coat, level:P-800<level'],
  ['a soft film rests, or goes without waiting', staged, 'soft film', 'set aside', lastOf('smooth'), 2, 'set aside, look again<rest'],
  ['lifting at an end', staged, 'lifting', 'sand back and cover', 'ends', 3,
    `sand back:P-320<level, clean:alcohol, coat, 7 coat<next coat, ${POLISH}`],
  ['a chipped end is eased first', staged, 'chipped end', 'end coats', 'ends', 2, `fix:ease the end, coat, 7 coat<next coat, ${POLISH}`],
  ['a shy end: a coat for each 8 µm of it', staged, 'step', 'end coats', 'ends', 0.05, `coat*, 6 coat*<next coat, ${POLISH}`],
  ['never fewer than one', staged, 'step', 'end coats', 'ends', 0.005, `coat*, ${POLISH}`],
  ['a proud end comes down', staged, 'step', 'flush the end', 'ends', 0.05, `fix:flush the end, ${POLISH}`],
  ['a bleed goes without a wet wipe', staged, 'bleed', 'sand back and cover', 'coat.6', 2,
    'sand back:P-320<level, clean:blow, coat, 3 coat<next coat'],
  ['a crumb', staged, 'crumb', 'ream', 'ends', 1, 'fix:ream'],
  ['pressed too little', staged, 'mechanism', 'press on', 'check', 1, 'fix:press on'],
  ['pressed too far', staged, 'mechanism', 'take apart', 'check', 1, 'fix:take apart, assemble<assemble'],
  ['one barrel anew catches up', staged, 'chip', 'new blank', 'sand.P-320', 1.5, `${BARREL}, sand:P-180*`],
  ['the pair anew', staged, 'chip', 'new pair', 'square', 1.5, 'cut*2, drill*2, tube*2'],
  ['blush: one more over it', lacquer, 'blush', 'recoat', 'melamine-lacquer.2', 5, 'coat<next coat, buff<next coat'],
  ['or cut back and put on again', lacquer, 'blush', 'level out', 'melamine-lacquer.2', 5,
    'cut back:P-800<next coat, coat, buff<next coat'],
  ['or left alone', lacquer, 'blush', 'set aside', 'melamine-lacquer.2', 5, 'set aside, look again<rest'],
  ['off the lathe it is touched up', wax, 'chip', 'touch up', 'check', 1, 'fix:touch up, look again<hand over'],
  ['or all of it is taken apart', wax, 'chip', 'new blank', 'check', 1,
    `fix:take apart, ${BARREL}, sand:P-320*, sand:P-500*, sand:P-800*, sand:pad-1800*, clean:blow*, `
    + 'coat*, buff*<next coat, coat*, buff*<next coat, ends*, assemble*<assemble'],
])('%s', (_name, plan, kind, way, at, size, steps) => expect(added(plan, kind, way, at, size)).toBe(steps))

it('a film that will not set is sanded off without waiting for it', () => {
  expect(added(staged, 'soft film', 'strip', lastOf('smooth'), 2)).toMatch(/^sand back:P-320, sand:P-600, clean:blow, /)
})
it('a soft film rests half a day, a veil of damp half an hour [model]', () => {
  const rests = (plan: Plan, kind: DefectKind, at: string) => {
    const barrel = plan.inputs.fitting.barrels[0]!.id
    const situation = { defect: { id: 'd', kind, barrel, fromTip: 20, size: 2 }, key: 'd', underWay: at }
    const found = mendOptions(plan, repairRows, { ...situation, turned: true, tried: [] }).find(one => one.way === 'set aside')!
    return found.mended.steps.flatMap(step => (step.kind === 'set aside' ? [step.seconds] : []))
  }
  expect(rests(staged, 'soft film', lastOf('smooth'))).toEqual([43_200])
  expect(rests(lacquer, 'blush', 'melamine-lacquer.2')).toEqual([1800])
})
