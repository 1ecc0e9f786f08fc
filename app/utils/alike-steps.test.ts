import { runsOf } from './alike-steps'

const rows = (...keys: (string | null)[]) => keys.map((alike, index) => ({ alike, index }))
const runs = (...keys: (string | null)[]) => runsOf(rows(...keys)).map(run => run.rows.map(row => row.index))

describe('rows that are alike', () => {
  test('stand together while they follow one another, in their order and each once', () =>
    expect(runs(null, 'thin', 'thin', 'medium', 'thin', null, null)).toEqual([[0], [1, 2], [3], [4], [5], [6]]))

  test('stand together in pairs, whole pairs only, with what is done after each', () => {
    expect(runs('sealer', 'buff', 'lacquer', 'rub', 'lacquer', 'rub', 'lacquer', 'wax')).toEqual([[0], [1], [2, 3, 4, 5], [6], [7]])
    expect(runsOf(rows('lacquer', 'rub', 'lacquer', 'rub'))).toMatchObject([{ period: 2 }])
  })

  test('no rows make no run, and what stands for itself makes no pair', () => {
    expect(runs()).toEqual([])
    expect(runs('lacquer', null, 'lacquer', null)).toEqual([[0], [1], [2], [3]])
  })
})
