import { equilibriumMoisture } from './air'
import { moistureFrom, type MoistureReading } from './moisture'

const air = { celsius: 20, humidity: 55 }
const shop = equilibriumMoisture(20, 55)
const START = Date.parse('2026-10-01T08:00:00.000Z')
const day = (days: number) => new Date(START + days * 86_400_000).toISOString()
const grams = (days: number, grams: number): MoistureReading => ({ at: day(days), grams })
/** A blank of 40 g dry mass that dries from `first` points over the shop with a time constant of `tau` days. */
const mass = (days: number, first: number, tau: number) => 40 * (1 + (shop + first * Math.exp(-days / tau)) / 100)
const blank = { thickness: 20 }

it.each<[string, MoistureReading[], RegExp]>([
  ['nothing', [], /Weigh it now, and again/],
  ['one weighing', [grams(0, 48)], /One weighing says nothing/],
  ['two weighings an hour apart', [grams(0, 48), grams(0.04, 48)], /half a day apart/],
])('does not pretend with %s', (_, readings, says) => {
  expect(moistureFrom(readings, blank, air, day(1))).toEqual({ known: false, says: expect.stringMatching(says) })
})

it('resin needs no weighing', () =>
  expect(moistureFrom([], { thickness: 20, resin: true }, air, day(1))).toMatchObject({
    known: false,
    says: expect.stringMatching(/Resin/),
  }))

it('finds a blank that no longer loses mass dry, and one that loses much wet', () => {
  const still = moistureFrom([grams(0, 44.1), grams(10, 44.1), grams(20, 44.1), grams(30, 44.1)], blank, air, day(30))
  const wet = moistureFrom([grams(0, mass(0, 30, 15)), grams(4, mass(4, 30, 15))], blank, air, day(4))
  expect(still).toMatchObject({ known: true, ready: 'yes' })
  expect(wet).toMatchObject({ known: true, ready: 'no' })
})

it('a meter reading alone says where it stands, within the meter’s error', () => {
  const found = moistureFrom([{ at: day(0), percent: 16 }], blank, air, day(0))
  expect(found.known && Math.abs(found.now.likely - 16)).toBeLessThan(1)
  expect(found.known && found.now.high - found.now.low).toBeGreaterThan(2.5)
})

it('more weighings make it surer', () => {
  const at = (days: number[]) =>
    moistureFrom(
      days.map(one => grams(one, Math.round(mass(one, 12, 14) * 10) / 10)),
      blank,
      air,
      day(30),
    )
  const [two, five] = [at([0, 10]), at([0, 7, 14, 21, 30])]
  if (!two.known || !five.known) throw new Error('Should be known.')
  expect(five.now.high - five.now.low).toBeLessThan(two.now.high - two.now.low)
})

it('the range holds the truth about as often as it says, for blanks drawn at random from all that is usual (seeded simulation, '
  + 'written apart)', () => {
  let seed = 99
  const random = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647
  const normal = () => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random())
  let [inside, insideDays, all] = [0, 0, 0]
  for (let run = 0; run < 150; run++) {
    const tau = 12 * Math.exp(0.8 * normal())
    const first = -20 * Math.log(random())
    const dry = 25 + 30 * random()
    const meanAir = shop + 0.6 * normal()
    const truth = (days: number) => meanAir + first * Math.exp(-days / tau)
    const times = [0, 3 + 8 * random(), 14 + 10 * random()]
    const found = moistureFrom(
      times.map(one => grams(one, dry * (1 + truth(one) / 100) + 0.1 * normal())),
      blank,
      air,
      day(30),
    )
    if (!found.known) throw new Error('Should be known.')
    all++
    if (truth(30) >= found.now.low && truth(30) <= found.now.high) inside++
    const excess = truth(30) - shop
    const wait = excess <= 2 ? 0 : tau * Math.log(excess / 2)
    if (found.days && wait >= found.days.low - 1e-9 && wait <= found.days.high + 1e-9) insideDays++
  }
  expect(inside / all).toBeGreaterThan(0.82)
  expect(inside / all).toBeLessThan(0.985)
  expect(insideDays / all).toBeGreaterThan(0.8)
})
