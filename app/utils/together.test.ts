import type { ListedPen } from '#contract'
import { freeLanes, waitLanes } from './clock-line'
import { savedWords, togetherKey, togetherOffers } from './together'

const now = new Date('2026-11-23T20:00:00.000Z')
const pen = (mark: string, together: string | null, more: object = {}): ListedPen => ({
  pen: { id: mark, mark }, summary: { next: { title: together ?? 'Alone', together }, wait: null, openDefects: 0, ...more },
}) as unknown as ListedPen
const until = (time: string) => ({ wait: { words: '', from: '', until: time } })

it('offers what can be done on two pens and more now, the most first; none that waits, is harmed, finished, or has its own', () => {
  const offers = togetherOffers([
    pen('A1', 'coat x'), pen('A2', 'sand y'), pen('A3', 'coat x'), pen('A4', 'sand y'), pen('B1', 'sand y'), pen('B2', 'drill z'),
    pen('B3', 'coat x', until('2026-11-23T20:00:01.000Z')), pen('B4', 'coat x', { openDefects: 1 }), pen('C1', null), pen('C2', null),
    pen('C3', 'coat x', { next: null }),
  ], now)
  expect(offers.map(one => [one.title, one.pens.map(each => each.pen.mark)])).toEqual([
    ['sand y', ['A2', 'A4', 'B1']], ['coat x', ['A1', 'A3']],
  ])
  const over = pen('B3', 'coat x', until('2026-11-23T20:00:00.000Z'))
  expect(togetherOffers([pen('A1', 'coat x'), over], now)).toHaveLength(1)
})
it('says what is saved, and on how many', () => {
  expect(savedWords('bit', 2)).toBe('One bit for all of them: 1 change of bit saved.')
  expect(savedWords('set-up', 10)).toBe('Set up once for all of them.')
  expect(savedWords('paper', 10)).toBe('One paper in the hand: 9 changes of paper saved.')
  expect([[10, 10], [2, 2], [8, 10], [1, 1]].map(([count = 0, all = 0]) => togetherKey(count, all, 'Drilled'))).toEqual([
    'All ten: Drilled', 'Both: Drilled', 'Eight of ten: Drilled', 'Drilled',
  ])
})
it('many pens with the same next share a lane; a pair does not', () => {
  const free = [...'abcdefghij'].map(mark => ({ mark, words: 'Glue' }))
  expect(freeLanes([{ mark: 'x', words: 'P320' }, ...free, { mark: 'y', words: 'P320' }])).toEqual([
    { mark: 'x', words: 'P320' }, { mark: '10 pens', words: 'Glue, on a, b, c, d, e, f, g, h ...' }, { mark: 'y', words: 'P320' },
  ])
})
it('many waits: those alike that are over in the same minute share a lane, a pair does not; few have one each', () => {
  const band = (mark: string, from: string, until: string, words = 'glue sets') =>
    ({ pen: `pen ${mark}`, mark, words, from: new Date(`2026-11-23T${from}Z`), until: new Date(`2026-11-23T${until}Z`) })
  const bands = [
    band('C1', '20:03:00', '21:00:59'), band('C2', '20:01:00', '21:00:01'), band('C3', '20:02:00', '21:00:30'),
    band('A1', '20:00:00', '22:30:00'), band('A2', '20:00:00', '22:30:00'),
    band('B1', '20:00:00', '20:10:00', 'next coat'), band('B2', '20:00:00', '21:00:20', 'next coat'),
  ]
  const lanes = waitLanes(bands, 6)
  expect(lanes.map(one => [one.mark, one.marks, one.from.getUTCMinutes(), one.until.getUTCHours()])).toEqual([
    ['B1', '', 0, 20], ['3 pens', 'C2, C3, C1', 1, 21], ['B2', '', 0, 21], ['A1', '', 0, 22], ['A2', '', 0, 22],
  ])
  expect(waitLanes([...'abcdef'].map(mark => band(mark, '20:00:00', '21:00:00')), 5)[0]!.marks).toBe('a, b, c, d ...')
  expect(new Set(lanes.map(one => one.id)).size).toBe(lanes.length)
  expect(waitLanes(bands, 7).map(one => one.mark)).toEqual(['B1', 'C2', 'B2', 'C3', 'C1', 'A1', 'A2'])
})
