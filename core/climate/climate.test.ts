import fc from 'fast-check'
import psychrolib from 'psychrolib'
import { given } from '../figures'
import { dewPoint, equilibriumMoisture } from './air'
import { airFaults, noFinishBears } from './faults'
import { latestIn, setsBys, waitIn, type SetsBy } from './wait'

// [mem] of the Wood Handbook (USDA Forest Products Laboratory), chapter 4, table at 21.1 °C.
it.each([
  [10, 2.5],
  [30, 6.2],
  [50, 9.2],
  [65, 12.0],
  [80, 16.0],
  [90, 20.5],
])('wood at 21.1 °C and %d %% settles at %d %%', (humidity, moisture) => {
  expect(Math.abs(equilibriumMoisture(21.1, humidity) - moisture)).toBeLessThanOrEqual(0.2)
})

// [mem] of WMO No. 8 and common tables.
it.each([
  [20, 50, 9.3],
  [25, 60, 16.7],
])('dew point at %d °C and %d %% is %d °C', (celsius, humidity, dew) => {
  expect(dewPoint(celsius, humidity)).toBeCloseTo(dew, 1)
})

it('agrees with a psychrometrics package from 0 to 40 °C and 10 to 100 % within a tenth of a degree (psychrolib)', () => {
  psychrolib.SetUnitSystem(psychrolib.SI)
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 40, noNaN: true }), fc.double({ min: 10, max: 100, noNaN: true }), (celsius, humidity) => {
      // Below the freezing point the package answers the frost point.
      const dew = dewPoint(celsius, humidity)
      fc.pre(dew > 0.5)
      expect(Math.abs(dew - psychrolib.GetTDewPointFromRelHum(celsius, humidity / 100))).toBeLessThan(0.1)
    }),
  )
})

it('saturated air is at its dew point; what is no humidity is refused', () => {
  fc.assert(fc.property(fc.double({ min: -10, max: 45, noNaN: true }), celsius => Math.abs(dewPoint(celsius, 100) - celsius) < 1e-9))
  expect(() => dewPoint(20, 0)).toThrow(RangeError)
  expect(() => equilibriumMoisture(20, 101)).toThrow(RangeError)
})

describe('waitIn', () => {
  const base = given('base', 60, 's')
  const wait = (celsius: number, humidity: number, setsBy: SetsBy = 'moisture', accelerated = false) =>
    waitIn({ celsius, humidity }, base, 'wait', { setsBy, accelerated }).value

  it('is the base at 21 °C and 50 to 65 %', () => expect([wait(21, 50), wait(21, 65)]).toEqual([60, 60]))
  it('moves by the handbook’s factor for 10 °C: 1.4 for CA, 1.8 for solvents and oils', () => {
    expect([wait(11, 55), wait(31, 55)]).toEqual([84, expect.closeTo(60 / 1.4, 9)])
    for (const setsBy of ['solvent', 'oil'] as const)
      expect([wait(11, 55, setsBy), wait(31, 55, setsBy)]).toEqual([108, expect.closeTo(60 / 1.8, 9)])
  })
  it('grows as 50 / RH in dry air, for CA only; with accelerator as its root', () => {
    expect([wait(21, 25), wait(21, 25, 'solvent'), wait(21, 25, 'warmth')]).toEqual([120, 60, 60])
    expect(wait(21, 25, 'moisture', true)).toBeCloseTo(60 * Math.SQRT2, 9)
  })
  it('never grows with warmth or moisture (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: 6, max: 99, noNaN: true }),
        fc.constantFrom(...setsBys),
        (celsius, humidity, setsBy) =>
          wait(celsius + 1, humidity, setsBy) <= wait(celsius, humidity, setsBy)
          && wait(celsius, humidity + 1, setsBy) <= wait(celsius, humidity, setsBy),
      ),
    )
  })
  it('says what went into it', () => {
    const figure = waitIn({ celsius: 18.5, humidity: 40 }, base, 'wait', { setsBy: 'moisture' })
    expect(figure.from?.map(one => one.label)).toEqual(['base', 'for the temperature', 'for the humidity'])
  })
  it('lengthens what a label says where it is cold, and never shortens it', () => {
    const label = (celsius: number) => waitIn({ celsius, humidity: 55 }, base, 'wait', { setsBy: 'solvent', label: true }).value
    expect([label(11), label(21), label(31)]).toEqual([108, 60, 60])
  })
  it('a latest time moves with the wait and is never before it, label or not (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 50, noNaN: true }), fc.double({ min: 3, max: 100, noNaN: true }), fc.constantFrom(...setsBys),
        fc.boolean(), fc.boolean(),
        (celsius, humidity, setsBy, label, accelerated) => {
          const ways = { setsBy, label, accelerated }
          const latest = latestIn({ celsius, humidity }, given('latest', 90, 's'), 'latest', ways).value
          expect(latest / waitIn({ celsius, humidity }, base, 'wait', ways).value).toBeCloseTo(1.5, 9)
        },
      ),
    )
  })
  it('warmth never shortens what is held before it is handed over below a day; what is less from the start stays so', () => {
    const held = (seconds: number, celsius: number) =>
      waitIn({ celsius, humidity: 55 }, given('held', seconds, 's'), 'hand over', { setsBy: 'moisture', held: true }).value
    expect([held(86_400, 35), held(3600, 35)]).toEqual([86_400, 3600])
    expect(held(4 * 86_400, 31)).toBeCloseTo((4 * 86_400) / 1.4, 6)
    expect(held(90_000, 40)).toBe(86_400)
    expect(held(86_400, 11)).toBeCloseTo(1.4 * 86_400, 6)
  })
})

it('no finish bears frost, a heat in which it skins over, or air that drips [trade: most labels]', () => {
  const bears = (celsius: number, humidity: number) => noFinishBears({ celsius, humidity }) === undefined
  expect([bears(5, 50), bears(38, 50), bears(20, 90)]).toEqual([true, true, true])
  expect([bears(4.9, 50), bears(38.5, 50), bears(20, 91)]).toEqual([false, false, false])
})

describe('what the air would do', () => {
  const kinds = (celsius: number, humidity: number, setsBy: SetsBy) =>
    airFaults({ celsius, humidity }, setsBy).map(fault => fault.kind)
  it('CA blooms above 65 %, a solvent finish blushes above 75 % or near its dew point, and cold holds all of them up [trade]', () => {
    expect(kinds(20, 64, 'moisture')).toEqual([])
    expect(kinds(20, 66, 'moisture')).toEqual(['bloom'])
    expect(kinds(20, 66, 'solvent')).toEqual([])
    expect(kinds(20, 78, 'solvent')).toEqual(['blush'])
    // 20 °C at 85 % has its dew point at 17.4 °C [mem] of common tables.
    expect(kinds(20, 85, 'solvent')).toEqual(['dew'])
    expect(kinds(8, 50, 'warmth')).toEqual(['cold'])
    // Oils do not blush; CA in dry air is slow.
    expect([kinds(20, 85, 'oil'), kinds(20, 20, 'solvent')]).toEqual([[], []])
    expect([kinds(20, 41, 'moisture'), kinds(20, 39, 'moisture')]).toEqual([[], ['dry']])
  })
})

it('a label’s figure grows by cold and dryness together, and never shrinks', () => {
  const base = given('next coat', 100, 's')
  const wait = (celsius: number, humidity: number, label: boolean) =>
    waitIn({ celsius, humidity }, base, 'wait', { setsBy: 'moisture', label }).value
  for (const [celsius, humidity] of [[11, 30], [21, 30], [11, 55], [25, 30], [30, 55], [30, 80]] as const) {
    const ours = wait(celsius, humidity, false)
    expect(wait(celsius, humidity, true)).toBeCloseTo(Math.max(100, ours), 9)
    // Each of the two counts by itself: what air does to a wait is the product of both.
    expect(ours).toBeCloseTo((wait(celsius, 55, false) * wait(21, humidity, false)) / 100, 9)
  }
  expect(wait(11, 30, true)).toBeGreaterThan(wait(21, 30, true))
  expect(wait(21, 30, true)).toBeGreaterThan(100)
})
