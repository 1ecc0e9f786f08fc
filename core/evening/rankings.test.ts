import { uniforms } from '../chance'
import { planEvenings, type EveningPen, type Work } from './index'
import { firstRankings, otherRanking } from './rankings'
import { byRanks, stretchesOf } from './ranks'
import { taskOf } from './task'

const work = (hands: number, change: Partial<Work> = {}): Work => ({ step: 's', hands, wait: 0, setUp: null, ...change })
const bit = (which: string) => ({ setUp: { kind: 'bit', which } })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen =>
  ({ id, work: pieces.map((one, at) => ({ ...one, step: String(at) })), ...change })
const HOUR = 3600

it('rankings to begin with: the least work first, the nearest promise first, what stands between', () => {
  const pens = [
    pen('a', [work(300, bit('7'))], { due: 5000 }), pen('b', [work(100, bit('8'))]), pen('c', [work(200, bit('7'))], { due: 900 }),
  ]
  const task = taskOf({ pens, hours: [{ from: 0, to: HOUR }], changes: { bit: 150 } })
  const stretches = stretchesOf(task)
  const orders = firstRankings(task, stretches).slice(0, 9).filter((_, at) => at % 3 === 0)
    .map(ranking => [0, 1, 2].sort((one, other) => ranking.ranks[one]! - ranking.ranks[other]!).map(one => pens[one]!.id).join(''))
  expect(orders).toEqual(['bca', 'cab', 'cba'])
})

/** Six pens, each of which needs three bits one after another. */
const alike = (change: (at: number) => Partial<EveningPen> = () => ({})): EveningPen[] =>
  Array.from({ length: 6 }, (_, at) => pen(String(at), ['7', '8', '9'].map(which => work(100, bit(which))), change(at)))
const inOneEvening = (pens: readonly EveningPen[]) => ({ pens, hours: [{ from: 0, to: 10 * HOUR }], changes: { bit: 600 } })

it('pens that need the same are worked in one go from the first answer on, so that each bit is changed once for all of them', () => {
  // Two kinds of pens that alternate in the work they have, looked over at the end.
  const pens = Array.from({ length: 12 }, (_, at) =>
    pen(String(at), [...(at % 2 ? ['7', '8', '9'] : ['10', '11', '12']).map(which => work(100 + at, bit(which))), work(10)]))
  expect(planEvenings(inOneEvening(pens), { changes: 0, most: 0 }).costs.hands).toBe(6 * 600)
})

it('one of them that is promised sooner goes before its batch, in one of the rankings to begin with', () => {
  // Alone it takes 2,100 s; with the others it would be ready after 3,100.
  const task = taskOf(inOneEvening(alike(at => (at === 5 ? { due: 2200 } : {}))))
  const stretches = stretchesOf(task)
  const late = firstRankings(task, stretches).slice(9).map(ranking => byRanks(task, stretches, ranking).costs.late)
  expect([late[0], Math.min(...late)]).toEqual([1, 0])
})

it('a changed ranking is another, of ranks that are numbers; what it was made of stays as it was (3,000 draws)', () => {
  const pens = [...alike(), pen('parted', [work(10), work(10, { wait: 4000, ...bit('8') }), work(5, { wait: 4000 })], { due: 900 })]
  const task = taskOf(inOneEvening(pens))
  const stretches = stretchesOf(task)
  const chance = uniforms(3)
  let [ranking, same, joined] = [firstRankings(task, stretches)[0]!, 0, 0]
  for (let draw = 0; draw < 3000; draw++) {
    const before = JSON.stringify([...ranking.ranks])
    const other = otherRanking(ranking, stretches, true, chance)
    expect(JSON.stringify([...ranking.ranks])).toBe(before)
    expect(other.ranks.every(Number.isFinite)).toBe(true)
    same += Number(JSON.stringify({ ...other, ranks: [...other.ranks] }) === JSON.stringify({ ...ranking, ranks: [...ranking.ranks] }))
    joined += Number(new Set(other.ranks).size < other.ranks.length)
    ranking = other
  }
  // Batches come about, and a third of the draws at most changes nothing: a pen joins one it is with already.
  expect(joined).toBeGreaterThan(1500)
  expect(same).toBeLessThan(1000)
})
