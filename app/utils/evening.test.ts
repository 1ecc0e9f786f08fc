import { execFileSync } from 'node:child_process'
import fc from 'fast-check'
import type { DayHours } from '../../contract'
import { anybodysOf, asHours, atClock, edgeMoved, leftOf, promisedBy, spansOn, stretchesFrom } from './evening-hours'
import { alongEvenings, columnsOf } from './evening-view'
import { chanceWords, inTen, lateWords, promiseWords, provenWords, readyTimes, shortWords, type Promised } from './evening-words'

const at = (text: string) => new Date(text)
const said = (day: string, ...spans: [string, string][]): DayHours =>
  ({ who: 'turner', day, spans: spans.map(([from, to]) => ({ from, to })) })

describe('hours', () => {
  const friday = at('2019-11-29T18:00:00')
  it('are weekday evenings where nobody said anything, a usual week where it was said, one day where that is other', () => {
    expect(spansOn([], 'turner', friday)).toEqual([{ from: '19:00', to: '21:30' }])
    expect(spansOn([], 'turner', at('2019-11-30T12:00:00'))).toEqual([])
    expect(spansOn([], 'helper', friday)).toEqual([])
    const hours = [said('5', ['20:00', '22:00']), said('2019-12-06')]
    expect(spansOn(hours, 'turner', friday)).toEqual([{ from: '20:00', to: '22:00' }])
    expect(spansOn(hours, 'turner', at('2019-12-06T12:00:00'))).toEqual([])
  })
  it('begin now where they have begun, and those that are over are none', () => {
    const hours = [said('5', ['09:00', '10:00'], ['17:00', '19:00'], ['20:00', '24:00'])]
    const [first, second, third] = stretchesFrom(hours, 'turner', friday, 3)
    expect([first!.from, first!.to]).toEqual([friday, at('2019-11-29T19:00:00')])
    expect([second!.from, second!.to]).toEqual([at('2019-11-29T20:00:00'), at('2019-11-30T00:00:00')])
    expect(third).toBeUndefined()
    expect(asHours([first!, second!], friday)).toEqual([{ from: 0, to: 3600 }, { from: 7200, to: 21_600 }])
  })
  it('an evening that begins or ends otherwise keeps the other stretches of its day, and ends at midnight at the latest', () => {
    const hours = [said('5', ['17:00', '19:00'], ['20:00', '22:00'])]
    const evening = { day: '2019-11-29', from: at('2019-11-29T20:00:00'), to: at('2019-11-29T22:00:00') }
    const ending = (until: string) => edgeMoved(hours, 'turner', evening, 'to', at(until))
    expect(ending('2019-11-29T22:30:00')).toEqual(said('2019-11-29', ['17:00', '19:00'], ['20:00', '22:30']))
    expect(ending('2019-11-30T01:00:00')!.spans[1]).toEqual({ from: '20:00', to: '24:00' })
    expect(ending('2019-11-29T20:00:00')).toBeUndefined()
    const late = { ...evening, to: at('2019-11-30T00:00:00') }
    expect(edgeMoved([said('5', ['20:00', '24:00'])], 'turner', late, 'to', at('2019-11-29T23:00:00'))!.spans)
      .toEqual([{ from: '20:00', to: '23:00' }])
    const beginning = (from: string) => edgeMoved(hours, 'turner', evening, 'from', at(from))
    expect(beginning('2019-11-29T19:35:00')).toEqual(said('2019-11-29', ['17:00', '19:00'], ['19:35', '22:00']))
    expect(beginning('2019-11-29T22:00:00')).toBeUndefined()
    expect(beginning('2019-11-28T23:00:00')).toBeUndefined()
    // Whoever helps has hours of their own.
    expect(edgeMoved([...hours, { ...hours[0]!, who: 'helper' }], 'helper', evening, 'to', at('2019-11-29T21:00:00')))
      .toEqual({ who: 'helper', day: '2019-11-29', spans: [{ from: '17:00', to: '19:00' }, { from: '20:00', to: '21:00' }] })
  })
  it('of several are when anybody is there: whoever is there is in one of them, at no moment in two (property)', () => {
    const day = at('2019-11-29T00:00:00').getTime()
    const clock = (hours: number) => new Date(day + hours * 3_600_000)
    const hour = (from: number, to: number) => ({ day: '2019-11-29', from: clock(from), to: clock(to) })
    expect(anybodysOf([hour(17, 19), hour(19, 21)], [hour(9, 11), hour(20, 22)])).toEqual([hour(9, 11), hour(17, 19), hour(19, 22)])
    expect(leftOf(hour(9, 22), [hour(8, 10), hour(12, 13), hour(20, 23)])).toMatchObject([
      { from: clock(10), to: clock(12) }, { from: clock(13), to: clock(20) },
    ])
    const ends = fc.uniqueArray(fc.integer({ min: 0, max: 24 }), { minLength: 2, maxLength: 10 })
    const hours = ends.map((all) => {
      const sorted = [...all].sort((a, b) => a - b)
      return sorted.flatMap((from, index) => (index % 2 || sorted[index + 1] === undefined ? [] : [hour(from, sorted[index + 1]!)]))
    })
    fc.assert(fc.property(hours, hours, (mine, theirs) => {
      const inside = (all: readonly { from: Date, to: Date }[], moment: number) =>
        all.filter(({ from, to }) => moment > from.getTime() && moment < to.getTime()).length
      const both = anybodysOf(mine, theirs)
      const away = both.flatMap(one => leftOf(one, mine))
      for (let half = 0; half < 24; half++) {
        const moment = day + (half + 0.5) * 3_600_000
        const [own, other] = [inside(mine, moment), inside(theirs, moment)]
        expect(inside(both, moment)).toBe(Math.max(own, other))
        expect(inside(away, moment)).toBe(Number(other > own))
      }
    }))
  })
  it('a promise holds in the afternoon of its day', () => {
    expect(promisedBy('2019-12-07')).toEqual(at('2019-12-07T18:00:00'))
    expect(atClock(friday, '24:00')).toEqual(at('2019-11-30T00:00:00'))
  })
  it('are by the clock on the wall over a change to summer time (London, 31 March 2019: an hour less)', () => {
    const script = `import { stretchesFrom, asHours } from './app/utils/evening-hours'
      const hours = ['6', '7'].map(day => ({ who: 'turner', day, spans: [{ from: '19:00', to: '21:00' }] }))
      const now = new Date('2019-03-30T19:00:00.000Z')
      console.log(JSON.stringify(asHours(stretchesFrom(hours, 'turner', now, 2), now)))`
    const env = { ...process.env, TZ: 'Europe/London' }
    const told = execFileSync('node', ['--import', 'tsx', '--input-type=module', '-e', script], { env })
    expect(JSON.parse(String(told))).toEqual([{ from: 0, to: 7200 }, { from: 23 * 3600, to: 25 * 3600 }])
  })
})

describe('evenings side by side', () => {
  const evenings = [
    { day: '2019-11-28', from: at('2019-11-28T19:00:00'), to: at('2019-11-28T21:00:00') },
    { day: '2019-11-29', from: at('2019-11-29T19:00:00'), to: at('2019-11-29T21:00:00') },
  ]
  const columns = columnsOf(evenings, 2)
  it('fill the width with the night between them, the first one wider', () => {
    expect(columns.map(one => one.kind)).toEqual(['evening', 'night', 'evening'])
    expect(columns.reduce((sum, one) => sum + one.width, 0)).toBeCloseTo(1, 9)
    expect(columns[0]!.width).toBeGreaterThan(columns[2]!.width)
    expect(columnsOf([], 3)).toEqual([])
  })
  it('moments lie where they are, in the night too, and never go back', () => {
    expect(alongEvenings(columns, at('2019-11-28T20:00:00'))).toBeCloseTo(columns[0]!.width / 2, 9)
    expect(alongEvenings(columns, at('2019-11-28T10:00:00'))).toBe(0)
    expect(alongEvenings(columns, at('2019-12-05T10:00:00'))).toBeCloseTo(1, 9)
    const begins = evenings[0]!.from.getTime()
    const moments = Array.from({ length: 60 }, (_, half) => alongEvenings(columns, new Date(begins + half * 1_800_000)))
    expect([...moments].sort((a, b) => a - b)).toEqual(moments)
  })
})

describe('what is said', () => {
  const promise = (mark: string, kept: boolean, due = '2019-11-30'): Promised =>
    ({ pen: mark, mark, due, kept, ready: at(kept ? '2019-11-29T20:00:00' : '2019-12-02T20:00:00') })
  it('how many of the first promised day are kept', () => {
    expect(promiseWords([])).toBe('No pen is promised for a day.')
    expect(promiseWords([promise('A1', true)])).toBe('A1 is ready for Sat 30 Nov.')
    expect(promiseWords([promise('A1', true), promise('A2', true), promise('B1', false, '2019-12-05')]))
      .toBe('Both are ready for Sat 30 Nov.')
    expect(promiseWords([promise('A1', true), promise('A2', true), promise('A3', true)])).toBe('All three are ready for Sat 30 Nov.')
    expect(promiseWords([promise('A1', true), promise('A2', false)])).toBe('One of two is ready for Sat 30 Nov.')
  })
  it('how much is missing', () => {
    const evening = (day: string) => ({ day, from: at(`${day}T19:00:00`), to: at(`${day}T21:00:00`) })
    expect(lateWords(promise('A3', false), [evening('2019-11-29'), evening('2019-12-02')])).toBe('A3 is one evening short')
    expect(lateWords({ ...promise('A3', false), ready: at('2019-11-30T20:00:00') }, [])).toBe('A3 is ready only at 20:00 that day')
    expect(lateWords({ ...promise('A3', false), ready: new Date(NaN) }, [])).toBe('A3 is not finished in the hours there are')
  })
  it('how many more run short than are named', () => {
    expect([1, 2, 14].map(shortWords)).toEqual(['One more runs short.', 'Two more run short.', '14 more run short.'])
  })
  it('how good an order is known to be', () => {
    const costs = { missed: 0, pinned: 0, late: 1, finished: 36_000, hands: 0, lateness: 0 }
    const plan = (change: object) => ({ blocks: [], costs, least: costs, proven: false, within: 0, kept: false, ...change })
    expect(provenWords(plan({ proven: true }), 3, true)).toBe('No order does better.')
    expect(provenWords(plan({ proven: true, within: 300 }), 3, true)).toMatch(/^No order does better by more than 5.min\.$/)
    expect(provenWords(plan({ least: { ...costs, finished: 29_000 } }), 3, false)).toBe('Looking for a better order ...')
    expect(provenWords(plan({ least: { ...costs, finished: 34_200 } }), 3, true))
      .toBe('No order has them ready more than 10 min sooner on average.')
    expect(provenWords(plan({}), 3, true)).toBe('No order does better by a minute.')
    expect(provenWords(plan({ costs: { ...costs, hands: 1900 }, least: { ...costs, hands: 100 } }), 3, true))
      .toMatch(/^No order has them ready sooner, or saves more than 30.min of changes and standing about\.$/)
    expect(provenWords(plan({ least: { ...costs, late: 0 } }), 3, true)).toBe('Another order might keep one more.')
  })
  it('a chance has words of a fixed meaning', () => {
    expect([0.99, 0.85, 0.7, 0.5, 0.2, 0.01].map(chanceWords)).toEqual(
      ['as good as sure', 'likely', 'more likely than not', 'as likely as not', 'not likely', 'hardly likely'])
    expect([1, 0.97, 0.84, 0.06, 0.01].map(inTen)).toEqual(['nearly always', '9 in 10', '8 in 10', '1 in 10', 'less than 1 in 10'])
  })
  it('a pen is ready when its last piece and what runs after it are over, and never where the hours do not hold it', () => {
    const block = { step: 's', crew: 0, begins: 0, change: 0, missed: false }
    const plan = { blocks: [{ ...block, pen: 'a', ends: 50, inHours: true }, { ...block, pen: 'b', ends: 900, inHours: false }] }
    const pens = [{ id: 'a', work: [], after: 30 }, { id: 'b', work: [] }]
    expect([...readyTimes({ pens, hours: [], changes: {} }, plan as never)]).toEqual([['a', 80], ['b', Infinity]])
  })
})
