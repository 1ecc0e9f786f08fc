import fc from 'fast-check'
import { airAt, waitEnds, type AirReading } from './running'

const START = Date.parse('2026-11-23T18:00:00.000Z')
const at = (minutes: number, celsius: number, humidity = 55): AirReading => ({
  at: new Date(START + minutes * 60_000).toISOString(),
  celsius,
  humidity,
})
const planned = { celsius: 21, humidity: 55 }
/** Ten minutes at 21 °C; twice as long for ten degrees less. */
const length = ({ celsius }: { celsius: number }) => 600 * 2 ** ((21 - celsius) / 10)
const minutes = (readings: AirReading[]) => (waitEnds(START, planned, readings, length) - START) / 60_000

it('in air that stays as planned it is the whole wait', () => expect(minutes([])).toBe(10))

it('half of it gone, the rest takes twice as long in air ten degrees colder (worked by hand)', () => {
  expect(minutes([at(5, 11)])).toBeCloseTo(5 + 10, 9)
  expect(minutes([at(5, 31)])).toBeCloseTo(5 + 2.5, 9)
  expect(minutes([at(2, 11), at(6, 31)])).toBeCloseTo(6 + 0.6 * 5, 9)
})

it('air read before it began counts from its beginning, air read after its end not at all', () => {
  expect(minutes([at(-60, 31), at(-30, 11)])).toBeCloseTo(20, 9)
  expect(minutes([at(40, 1)])).toBeCloseTo(10, 9)
})

it('readings of the same air change nothing, and a colder one never shortens it (property)', () => {
  const times = fc.uniqueArray(fc.integer({ min: -30, max: 30 }), { maxLength: 5 }).map(list => list.sort((a, b) => a - b))
  fc.assert(fc.property(times, moments => Math.abs(minutes(moments.map(moment => at(moment, 21))) - 10) < 1e-9))
  fc.assert(
    fc.property(times, fc.array(fc.integer({ min: 5, max: 35 }), { minLength: 5, maxLength: 5 }), (moments, warm) => {
      const readings = moments.map((moment, index) => at(moment, warm[index]!))
      const colder = readings.map(reading => ({ ...reading, celsius: reading.celsius - 3 }))
      return minutes(colder) >= minutes(readings) - 1e-9
    }),
  )
})

it('tells the air at a moment', () => {
  expect(airAt(at(3, 0).at, planned, [at(1, 18), at(4, 25)])).toMatchObject({ celsius: 18 })
  expect(airAt(at(0, 0).at, planned, [at(1, 18)])).toBe(planned)
})
