import { chance } from '../../tests/support/chance'
import { learnEvenness, type Levelled } from './even'
import { edgesChance, OVER, WOOD_EVEN } from './risk'

const clean: Levelled = { mean: 55, sd: 4, takes: 18, wood: WOOD_EVEN, through: false }
const chanceFor = (one: Levelled, learnt: ReturnType<typeof learnEvenness>) =>
  edgesChance({ mean: one.mean, sd: one.sd, unevenness: 0 }, one.takes, {
    wood: one.wood * learnt.wood.likely, over: OVER * learnt.over.likely,
  })

it('answers the model while nothing was levelled', () => {
  const none = learnEvenness([])
  expect(none).toMatchObject({ levellings: 0, through: 0 })
  expect([none.over.likely, none.wood.likely]).toEqual([expect.closeTo(1, 6), expect.closeTo(1, 6)])
})

it('a clean levelling says a little for the turner, a sand-through much against, and more of either more', () => {
  const usual = chanceFor(clean, learnEvenness([]))
  const times = (count: number, through: boolean) => Array.from({ length: count }, () => ({ ...clean, through }))
  const after = (whole: number, through: number) =>
    chanceFor(clean, learnEvenness([...times(whole, false), ...times(through, true)]))
  const falling = [usual, after(1, 0), after(10, 0), after(60, 0)]
  expect([...falling].sort((a, b) => b - a)).toEqual(falling)
  const rising = [usual, after(0, 1), after(0, 2), after(0, 5)]
  expect([...rising].sort((a, b) => a - b)).toEqual(rising)
  expect(after(0, 1) - usual).toBeGreaterThan(3 * (usual - after(1, 0)))
})

it('one that could not go through says nothing when it was clean', () => {
  const thick = { ...clean, mean: 200 }
  const learnt = learnEvenness(Array.from({ length: 50 }, () => thick))
  expect(learnt.over.likely).toBeCloseTo(1, 2)
})

// Turners whose barrels and hands are drawn apart from the code: a place that is thin by chance, and a factor on what is taken.
function levelled(over: number, wood: number, count: number, seed: number): Levelled[] {
  const { uniform, normal } = chance(seed)
  return Array.from({ length: count }, (): Levelled => {
    const [mean, takes] = [25 + 35 * uniform(), 12 + 22 * uniform()]
    const film = 0.85 * mean + Math.hypot(4, 0.12 * 0.85 * mean, WOOD_EVEN * wood) * normal()
    return { mean, sd: 4, takes, wood: WOOD_EVEN, through: 1.4 * takes * OVER * over * Math.exp(0.25 * normal()) > film }
  })
}

it('ranges of nine in ten hold simulated turners in at least 80 of 100, and the chance comes nearer to theirs', () => {
  const { normal } = chance(7)
  const turners = Array.from({ length: 30 }, (_, seed) => ({ over: Math.exp(0.2 * normal()), wood: Math.exp(0.4 * normal()), seed }))
  const all = turners.map(({ over, wood, seed }) => ({ over, wood, learnt: learnEvenness(levelled(over, wood, 40, 100 + seed)) }))
  const held = (key: 'over' | 'wood') =>
    all.filter(one => one[key] >= one.learnt[key].low && one[key] <= one.learnt[key].high).length / all.length
  expect(held('over')).toBeGreaterThanOrEqual(0.8)
  expect(held('wood')).toBeGreaterThanOrEqual(0.8)
  const off = (one: (typeof all)[number], learnt: { over: { likely: number }, wood: { likely: number } }) => {
    const at = (overs: number, woods: number) =>
      edgesChance({ mean: 40, sd: 4, unevenness: 0 }, 20, { wood: WOOD_EVEN * woods, over: OVER * overs })
    return Math.abs(Math.log(at(learnt.over.likely, learnt.wood.likely) / at(one.over, one.wood)))
  }
  const sum = (of: (one: (typeof all)[number]) => number) => all.reduce((total, one) => total + of(one), 0)
  expect(sum(one => off(one, one.learnt))).toBeLessThan(0.75 * sum(one => off(one, { over: { likely: 1 }, wood: { likely: 1 } })))
})
