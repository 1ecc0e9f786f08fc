import { planFor } from '../../tests/support/inputs'
import { unitWords } from '../../core/units'
import { boardOf, summarise } from '../../core/bench'
import { planEvenings } from '../../core/evening'
import { keptPlanSchema } from '../../schemas'
import type { DayHours } from '../../contract'
import { byItself, shownBlocks } from './evening-view'
import { pose } from './evening-problem'
import { groupsIn, keptPlanOf } from './kept-plan'

const UNITS = unitWords('metric')
const now = new Date('2019-11-25T18:00:00')
type Boards = Parameters<typeof shownBlocks>[2]
const boards = ['A1', 'A2', 'A3'].map((id) => {
  const worked = boardOf(planFor('apple', 'click-8'), [])
  const pen = { id: `00000000-0000-4000-8000-0000000000${id.replace('A', '0')}`, mark: id, name: `Apple ${id}`, due: '2019-12-05' }
  return { ...worked, pen, summary: summarise(worked, UNITS) }
}) as unknown as Boards
const each = (who: DayHours['who'], from: string, to: string): DayHours[] =>
  ['1', '2', '3', '4', '5', '6', '7'].map(day => ({ who, day, spans: [{ from, to }] }))

function keptWith(hours: DayHours[]) {
  const posed = pose({ boards, hours, pins: [] }, now)
  const plan = planEvenings(posed.problem, { changes: 20, most: 0 })
  const blocks = shownBlocks(plan, byItself(posed.problem), boards, now, UNITS)
  const kept = keptPlanOf(posed, blocks, [{ pen: boards[0]!.pen.id, mark: 'A1', due: '2019-12-05', ready: now, kept: true }], boards)
  return { posed, blocks, kept }
}

it('what is kept of a plan is taken by the server as it is, and tells whose hands do what and when', async () => {
  const { posed, blocks, kept } = keptWith([...each('turner', '19:00', '21:00'), ...each('helper', '19:00', '20:30')])
  expect(await keptPlanSchema.validate(JSON.parse(JSON.stringify(kept)))).toEqual(JSON.parse(JSON.stringify(kept)))
  expect(kept.promised).toEqual([{ mark: 'A1', name: 'Apple A1', day: '2019-12-05' }])
  const secondsOf = (laid: typeof kept.evenings) => laid.flatMap(one => one.groups).reduce((sum, { seconds }) => sum + seconds, 0)
  expect(secondsOf(kept.evenings)).toBeGreaterThan(600)
  expect(secondsOf(kept.helps ?? [])).toBeGreaterThan(600)
  for (const { from, to, groups } of [...kept.evenings, ...(kept.helps ?? [])])
    for (const { at, seconds } of groups) {
      expect(Date.parse(at)).toBeGreaterThanOrEqual(Date.parse(from))
      expect(Date.parse(at) + 1000 * seconds).toBeLessThanOrEqual(Date.parse(to) + 1000)
    }
  // What waits for twenty minutes or longer is told when it is over, shorter waits are not.
  const waits = blocks.flatMap(({ inHours, to, waits }) => (inHours && waits ? [waits.getTime() - to.getTime()] : []))
  expect(waits.some(one => one < 20 * 60_000)).toBe(true)
  expect(kept.waits).toHaveLength(waits.filter(one => one >= 20 * 60_000).length)
  // Every piece stands with one of the two, and none with both.
  const mine = posed.evenings.flatMap(one => groupsIn(blocks, one, 'turner')).flatMap(one => one.blocks)
  const theirs = posed.helps.flatMap(one => groupsIn(blocks, one, 'helper')).flatMap(one => one.blocks)
  const inHours = blocks.filter(one => one.inHours)
  expect(mine.length + theirs.length).toBe(inHours.length)
  expect(new Set([...mine, ...theirs])).toEqual(new Set(inHours))
  expect(theirs.every(one => one.crew > 0)).toBe(true)
})
it('where nobody helps nothing is said of it', () => {
  expect(keptWith(each('turner', '19:00', '21:00')).kept).not.toHaveProperty('helps')
})
