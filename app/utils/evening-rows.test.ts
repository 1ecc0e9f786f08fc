import { planFor } from '../../tests/support/inputs'
import { methods } from '../../reference'
import { unitWords } from '../../core/units'
import type { Method } from '../../core/method'
import { boardOf, CHANGES, summarise } from '../../core/bench'
import { planEvenings } from '../../core/evening'
import { byItself, columnsOf, shownBlocks } from './evening-view'
import { rowsOf } from './evening-rows'
import { pose } from './evening-problem'

const UNITS = unitWords('metric')
const now = new Date('2019-11-25T18:00:00')
const board = (id: string, method: Method) => {
  const worked = boardOf(planFor('apple', 'click-8', { method }), [])
  const pen = { id, mark: id, name: id, due: null }
  return { ...worked, pen, summary: summarise(worked, UNITS) } as unknown as Parameters<typeof rowsOf>[0][number]
}
const hours = ['1', '2', '3', '4', '5', '6', '7'].map(day => ({ who: 'turner' as const, day, spans: [{ from: '19:00', to: '22:00' }] }))

it('work with a latest time has its edge so long after the piece before it, held or not', () => {
  const boards = methods.filter(one => ['conditioner-wax', 'wipe-on'].includes(one.id)).map((method, at) => board(`A${at + 1}`, method))
  const posed = pose({ boards, hours, pins: [] }, now)
  const bound = posed.problem.pens.flatMap(pen => pen.work.filter(one => one.latest !== undefined).map(one => `${pen.id} ${one.step}`))
  expect(bound.length).toBeGreaterThan(0)
  const plan = planEvenings(posed.problem, { changes: 50, most: 0 })
  const blocks = shownBlocks(plan, byItself(posed.problem), boards, now, UNITS)
  expect(blocks.filter(one => one.latest).map(one => `${one.pen} ${one.is.id}`).sort()).toEqual([...bound].sort())
  for (const one of blocks) if (one.latest) expect(one.missed).toBe(one.from > one.latest)
  const rows = rowsOf(boards, blocks, [], columnsOf(posed.evenings, posed.evenings.length), now)
  expect(rows.flatMap(row => row.edges).length).toBe(bound.length)
})

it('what changes take in these hands counts in place of the starting values', () => {
  const hands = { paces: {}, changes: { bit: { seconds: 400, changes: 30 } } }
  const changes = (own?: typeof hands) => pose({ boards: [], hours, pins: [], ...(own ? { hands: own } : {}) }, now).problem.changes
  expect(changes()).toEqual(CHANGES)
  expect(changes(hands)).toEqual({ ...CHANGES, bit: 400 })
})
