import fc from 'fast-check'
import type { ListedPen } from '../../contract'
import type { PenQuery } from '../../schemas'
import { withRows } from './pen-list'

type Given = { id: string, mark?: string, stage?: string, at?: string | null, due?: string | null, material?: string, defects?: number }
const row = ({ id, mark = 'A1', stage = 'in work', at = null, due = null, material = 'apple', defects = 0 }: Given): ListedPen =>
  ({
    pen: { id, mark, due, material, fitting: 'click-8', method: 'oil', createdAt: '2026-01-01T00:00:00.000Z' },
    summary: { stage, lastEntryAt: at, openDefects: defects },
  }) as unknown as ListedPen
const ids = (pens: readonly ListedPen[]) => pens.map(one => one.pen.id)
const day = (of: number) => `2026-02-0${of}T10:00:00.000Z`
const list = [row({ id: 'c', at: day(3) }), row({ id: 'b', at: day(2) }), row({ id: 'a', at: day(1) })]

it('a pen that was worked on goes to the top, and its row is the new one', () => {
  const now = withRows({ pens: list, more: false }, [row({ id: 'a', at: day(4), defects: 2 })], {})
  expect(ids(now)).toEqual(['a', 'c', 'b'])
  expect(now[0]!.summary.openDefects).toBe(2)
})
it('what belongs no longer is gone, what has come to belong is put in its place', () => {
  const asked: PenQuery = { stage: 'in work' }
  expect(ids(withRows({ pens: list, more: false }, [row({ id: 'b', stage: 'finished', at: day(5) })], asked))).toEqual(['c', 'a'])
  expect(ids(withRows({ pens: list, more: false }, [row({ id: 'n', at: day(2) })], asked))).toEqual(['c', 'n', 'b', 'a'])
  expect(ids(withRows({ pens: list, more: false }, [row({ id: 'n', stage: 'planned' })], asked))).toEqual(['c', 'b', 'a'])
})
it('beyond what was read nothing is put in while more is to come', () => {
  const older = row({ id: 'o', at: '2026-01-05T00:00:00.000Z' })
  expect(ids(withRows({ pens: list, more: true }, [older], {}))).toEqual(['c', 'b', 'a'])
  expect(ids(withRows({ pens: list, more: false }, [older], {}))).toEqual(['c', 'b', 'a', 'o'])
  expect(ids(withRows({ pens: [], more: true }, [older], {}))).toEqual([])
})
it('only the server knows what a text finds', () =>
  expect(ids(withRows({ pens: list, more: false }, [row({ id: 'n', at: day(9) })], { text: 'apple' }))).toEqual(['c', 'b', 'a']))
it.each<[PenQuery, boolean]>([
  [{ material: 'apple' }, true],
  [{ material: 'plum' }, false],
  [{ fitting: 'twist-7' }, false],
  [{ method: 'oil' }, true],
  [{ due: '2026-12-05' }, true],
  [{ due: '2026-12-06' }, false],
  [{ defects: 'open' }, true],
  [{ sort: 'due' }, true],
])('%j takes it in or not: %s', (asked, is) => {
  const one = row({ id: 'n', at: day(9), due: '2026-12-05', defects: 1 })
  expect(ids(withRows({ pens: [], more: false }, [one], asked))).toEqual(is ? ['n'] : [])
  const without = row({ id: 'n', at: day(9) })
  if (asked.defects || asked.sort === 'due') expect(withRows({ pens: [], more: false }, [without], asked)).toEqual([])
})
it('marks by their letter, then by their number, and days by the calendar', () => {
  const marks = ['B2', 'A10', 'A9', 'B1'].map((mark, index) => row({ id: `${index}`, mark, due: `2026-0${9 - index}-01` }))
  const sorted = (sort: 'marks' | 'due') => withRows({ pens: [], more: false }, marks, { sort }).map(one => one.pen.mark)
  expect(sorted('marks')).toEqual(['A9', 'A10', 'B1', 'B2'])
  expect(sorted('due')).toEqual(['B1', 'A9', 'A10', 'B2'])
})
it('rows told one by one or all at once, in any order, give the same list (property)', () => {
  const anyRow = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), at: fc.integer({ min: 1, max: 9 }).map(day) })
  fc.assert(
    fc.property(fc.uniqueArray(anyRow, { selector: one => one.id }), (told) => {
      const rows = told.map(row)
      const oneByOne = rows.reduce<ListedPen[]>((pens, one) => withRows({ pens, more: false }, [one], {}), list)
      expect(withRows({ pens: list, more: false }, rows, {})).toEqual(oneByOne)
      expect(withRows({ pens: list, more: false }, [...rows].reverse(), {})).toEqual(oneByOne)
    }),
  )
})
