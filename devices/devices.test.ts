import { calliperReading, eveningAir, simulatedInstruments, tachometerReading, type Signal, type Wire } from './simulated'
import { keyboardWedge } from './wedge'

describe('a calliper that types', () => {
  const heard: string[] = []
  const wedge = () => keyboardWedge({ reading: text => heard.push(`reading ${text}`), key: figure => heard.push(`key ${figure}`) })
  const type = (press: (key: string) => boolean, keys: string, gap: number) => {
    for (const key of keys) {
      press(key === '⏎' ? 'Enter' : key)
      jest.advanceTimersByTime(gap)
    }
  }
  beforeEach(() => {
    heard.length = 0
    jest.useFakeTimers()
  })
  afterEach(() => jest.useRealTimers())

  it('is heard as one reading, and no finger is', () => {
    type(wedge(), '11.92⏎', 5)
    expect(heard).toEqual(['reading 11.92'])
  })
  it('fingers on the number keys stay keys, one by one', () => {
    type(wedge(), '3', 300)
    type(wedge(), '1', 300)
    expect(heard).toEqual(['key 3', 'key 1'])
    type(wedge(), '⏎', 300)
    expect(heard).toHaveLength(2)
  })
  it('a finger followed at once by another key is still a key; figures without an end are nobody’s', () => {
    const press = wedge()
    press('2')
    expect(press(' ')).toBe(false)
    expect(heard).toEqual(['key 2'])
    type(press, '8.42', 5)
    jest.advanceTimersByTime(500)
    expect(heard).toEqual(['key 2'])
  })
})

it('an evening grows cooler and damper, never by a jump', () => {
  const start = { celsius: 21, humidity: 52 }
  const evening = Array.from({ length: 240 }, (_, minute) => eveningAir(minute, start))
  expect(evening.at(-1)!.celsius).toBeLessThan(evening[0]!.celsius - 2)
  expect(evening.at(-1)!.humidity).toBeGreaterThan(evening[0]!.humidity + 5)
  for (const [index, air] of evening.slice(1).entries()) {
    expect(Math.abs(air.celsius - evening[index]!.celsius)).toBeLessThan(0.5)
    expect(Math.abs(air.humidity - evening[index]!.humidity)).toBeLessThan(4)
  }
  expect(eveningAir(37, start)).toEqual(eveningAir(37, start))
})

it('readings err by no more than their instrument does', () => {
  for (const chance of [0, 0.3, 0.7, 0.999]) {
    expect(Math.abs(calliperReading(11.937, chance) - 11.937)).toBeLessThanOrEqual(0.016)
    expect(Math.abs(tachometerReading(2000, chance) - 2000)).toBeLessThanOrEqual(20)
  }
})

it('each instrument hears its own signals only, until it is stopped', () => {
  const ears = new Set<(event: { data: Signal }) => void>()
  const wire: Wire = {
    postMessage: signal => ears.forEach(hear => hear({ data: signal })),
    addEventListener: (_, hear) => ears.add(hear),
    removeEventListener: (_, hear) => ears.delete(hear),
  }
  const { calliper, tachometer, footPedal, thermoHygrometer } = simulatedInstruments(wire)
  const heard: unknown[] = []
  const stop = calliper.onReading(mm => heard.push(mm))
  tachometer.onReading(rpm => heard.push(rpm))
  footPedal.onPress(() => heard.push('pressed'))
  thermoHygrometer.onReading(air => heard.push(air.humidity))
  wire.postMessage({ from: 'calliper', mm: 8.42 })
  wire.postMessage({ from: 'tachometer', revPerMin: 990 })
  wire.postMessage({ from: 'foot pedal' })
  wire.postMessage({ from: 'thermo-hygrometer', celsius: 20, humidity: 61 })
  stop()
  wire.postMessage({ from: 'calliper', mm: 9 })
  expect(heard).toEqual([8.42, 990, 'pressed', 61])
})
