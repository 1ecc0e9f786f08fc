import fc from 'fast-check'
import type { ListedDefect } from '../../contract'
import { withDefects } from './defect-list'

const defect = (id: string, pen: string, hour: number): ListedDefect =>
  ({ id, pen: { id: pen }, at: `2026-02-01T${String(hour).padStart(2, '0')}:00:00.000Z` }) as unknown as ListedDefect
const ids = (all: readonly ListedDefect[]) => all.map(one => one.id)
/** As the server has it: the latest first, then by pen, of one pen the later place first. */
const served = (all: readonly ListedDefect[]) => {
  const place = new Map(all.map((one, at) => [one, at]))
  return [...all].sort((a, b) =>
    (a.at < b.at ? 1 : a.at > b.at ? -1 : 0) || (a.pen.id < b.pen.id ? 1 : a.pen.id > b.pen.id ? -1 : 0) || place.get(b)! - place.get(a)!)
}

it('a new defect is put in its place, one that fits no longer is gone, the others stay', () => {
  const read = [defect('c', 'A', 9), defect('b', 'B', 8), defect('a', 'A', 7)]
  expect(ids(withDefects(read, true, ['B'], [defect('n', 'B', 10), defect('b', 'B', 8)]))).toEqual(['n', 'c', 'b', 'a'])
  expect(ids(withDefects(read, true, ['A'], []))).toEqual(['b'])
})
it('what lies behind the last that was read is left for its page', () => {
  const read = [defect('c', 'A', 9), defect('b', 'B', 8)]
  expect(ids(withDefects(read, false, ['A'], [defect('c', 'A', 9), defect('old', 'A', 3)]))).toEqual(['c', 'b'])
  expect(ids(withDefects(read, true, ['A'], [defect('c', 'A', 9), defect('old', 'A', 3)]))).toEqual(['c', 'b', 'old'])
})
it('followed pen by pen a list is the same as read anew (property)', () => {
  const any = fc.record({ pen: fc.constantFrom('A', 'B', 'C', 'D'), hour: fc.integer({ min: 0, max: 6 }) })
  fc.assert(fc.property(fc.array(any, { maxLength: 12 }), fc.array(any, { maxLength: 6 }), fc.nat(12), (were, come, reach) => {
    const old = were.map(({ pen, hour }, at) => defect(`o${at}`, pen, hour))
    const added = come.map(({ pen, hour }, at) => defect(`n${at}`, pen, hour))
    const now = [...old, ...added]
    const read = served(old).slice(0, reach)
    const isWhole = read.length === old.length
    const pens = [...new Set(added.map(one => one.pen.id))]
    const followed = withDefects(read, isWhole, pens, served(now.filter(one => pens.includes(one.pen.id))))
    const last = read.at(-1)
    const anew = served(now)
    const upTo = isWhole ? anew.length : last ? anew.indexOf(last) + 1 : 0
    expect(ids(followed).slice(0, upTo)).toEqual(ids(anew.slice(0, upTo)))
  }))
})
