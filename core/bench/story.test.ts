import fc from 'fast-check'
import { boardOf } from './board'
import { eventAt, momentAt, planFor } from '../../tests/support/inputs'
import type { Entry } from './event'
import { record } from './record'
import { story } from './story'

const plan = planFor()
const HOUR = 3600

/** The story of a log: entries with the second at which each was made. */
function told(...entries: [number, Entry][]) {
  const board = boardOf(plan, entries.map(([seconds, entry], index) => eventAt(seconds, index + 1, entry)))
  return { told: record(board.state, board.traced), state: board.state }
}
const tell = (...entries: [number, Entry][]) => {
  const { told: of, state } = told(...entries)
  return story(of, state)
}
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })
const chip: Entry = { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 12, size: 0.6, step: 'turn' } }

describe('the story of a pen', () => {
  it('is empty while nothing happened', () => expect(tell()).toEqual([]))

  it('goes on in another evening once hands were off for more than three hours', () => {
    const evenings = tell([0, done('cut')], [100, done('drill')], [100 + 2.9 * HOUR, done('tube')], [100 + 6 * HOUR, done('square')])
    expect(evenings.map(one => [one.from, one.to])).toEqual([
      [momentAt(0), momentAt(100 + 2.9 * HOUR)],
      [momentAt(100 + 6 * HOUR), momentAt(100 + 6 * HOUR)],
    ])
  })

  it('tells in its place what went wrong, what was left out, and by how much a wait was cut short', () => {
    const evenings = tell(
      [0, done('cut')], [60, done('drill')], [90, chip], [120, done('coat.1')], [130, done('coat.2')],
      [140, { kind: 'skip', payload: { step: 'coat.3' } }], [150, { kind: 'remark', payload: { text: 'Cold in here', step: null } }],
    )
    expect(evenings).toHaveLength(1)
    expect(evenings[0]!.happenings.map(one => one.kind)).toEqual(['steps', 'defect', 'steps', 'cut short', 'steps', 'left out', 'remark'])
    expect(evenings[0]!.happenings[3]).toMatchObject({ step: 'coat.2', wait: { seconds: 75, shortBy: 65 } })
  })

  it('knows the air it was worked in, and no air that nobody read that day', () => {
    const { told: of, state } = told([0, done('cut')], [1000, done('drill')])
    const reading = (seconds: number, celsius: number) => ({ at: momentAt(seconds), celsius, humidity: 50 })
    const air = [reading(-40 * HOUR, 5), reading(-2 * HOUR, 17), reading(500, 19), reading(2 * HOUR, 25)]
    expect(story(of, state, air)[0]!.air.map(one => one.celsius)).toEqual([17, 19])
    expect(story(of, state, [reading(-40 * HOUR, 5)])[0]!.air).toEqual([])
  })

  it('tells every step once, in the order of time, with all the hands-on time of the record', () => {
    const anyDone = fc.record({ at: fc.nat(20 * HOUR), step: fc.constantFrom(...plan.steps.map(step => step.id)) })
    fc.assert(
      fc.property(fc.array(anyDone, { minLength: 1, maxLength: 25 }), (steps) => {
        const { told: of, state } = told(...steps.map(({ at, step }): [number, Entry] => [at, done(step)]))
        const evenings = story(of, state)
        const rows = evenings.flatMap(one => one.happenings.flatMap(each => (each.kind === 'steps' ? each.rows : [])))
        expect(new Set(rows.map(row => row.step.id))).toEqual(new Set(steps.map(one => one.step)))
        expect(rows).toHaveLength(new Set(steps.map(one => one.step)).size)
        expect(rows.map(row => row.at)).toEqual([...rows.map(row => row.at)].sort())
        expect(evenings.reduce((sum, one) => sum + one.handsOn, 0)).toBeCloseTo(of.handsOn, 6)
        const apart = evenings.slice(1).map((one, index) => (Date.parse(one.from) - Date.parse(evenings[index]!.to)) / 1000)
        for (const seconds of apart) expect(seconds).toBeGreaterThan(3 * HOUR)
      }),
      { numRuns: 60 },
    )
  })
})
