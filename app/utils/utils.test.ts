import fc from 'fast-check'
import { fittings, materials } from '#reference'
import { trace } from '#core/plan'
import { penErrors, emptyPen, tidyPen } from './pen-form'
import { along, clockScale, type Band } from './clock-line'
import { refused } from './refusal'
import { layStrip, outline, placeAt, pointOf } from '../../core/barrel'
import { logDepth, surfaceColumns } from './surface'
import { clockTime, countWord, dayWords } from './times'
import { planFor } from '../../tests/support/inputs'

const now = new Date(2026, 10, 23, 19, 42, 30)
const inMinutes = (minutes: number) => new Date(now.getTime() + minutes * 60_000)

describe('the clock line', () => {
  const band = (from: number, until: number): Band => ({ pen: 'p', mark: 'A1', words: '', from: inMinutes(from), until: inMinutes(until) })

  it('takes the shortest steps that hold every wait', () => {
    const step = (until: number) => {
      const [first, second] = clockScale([band(-5, until)], now).ticks
      return (second!.getTime() - first!.getTime()) / 60_000
    }
    expect([step(1), step(25), step(50), step(170), step(24 * 60)]).toEqual([5, 5, 10, 60, 480])
  })
  it('places every moment on the line, in order, the past before now (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -600, max: 0 }), fc.integer({ min: 1, max: 4000 })), { minLength: 1, maxLength: 8 }),
        (spans) => {
          const scale = clockScale(
            spans.map(([from, until]) => band(from, until)),
            now,
          )
          const places = [-10_000, -60, 0, 3, 60, 10_000].map(minutes => along(scale, inMinutes(minutes)))
          expect([...places].sort((a, b) => a - b)).toEqual(places)
          expect(places.every(place => place >= 0 && place <= 1)).toBe(true)
          expect(along(scale, now)).toBeGreaterThan(0.1)
        },
      ),
    )
  })
  it('stands without waits', () => expect(clockScale([], now).ticks).toHaveLength(7))
})

describe('the mandrel strip', () => {
  it('is to scale: barrels as long as their tubes, with a bushing at every end', () => {
    for (const fitting of fittings) {
      const strip = layStrip(fitting)
      expect(strip.bushings).toHaveLength(fitting.barrels.length + 1)
      const solid = [...strip.bushings.map(one => one.width), ...fitting.barrels.map(one => one.tubeLength)].reduce(
        (sum, mm) => sum + mm,
        0,
      )
      const ends = strip.bushings.at(-1)!.x + strip.bushings.at(-1)!.width
      expect(ends - strip.bushings[0]!.x).toBeCloseTo(solid, 9)
      expect(strip.width).toBeGreaterThan(solid)
    }
  })
  it('finds the barrel and the place under a tap, and nothing beside it', () => {
    const strip = layStrip(fittings[0]!)
    const [lower, upper] = strip.barrels
    const middle = strip.height / 2
    expect(placeAt(strip, lower!.x + 12.34, middle)).toEqual({ barrel: 'lower', fromTip: 12.3, around: 0 })
    expect(placeAt(strip, upper!.x, middle)).toEqual({ barrel: 'upper', fromTip: 0, around: 0 })
    expect([placeAt(strip, 0, middle), placeAt(strip, lower!.x - 0.1, middle), placeAt(strip, strip.width, middle)]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
  it('tells how far around a tap lies, and draws it where it was tapped; the far side is drawn as such', () => {
    const strip = layStrip(fittings[0]!)
    const x = strip.barrels[0]!.x + 20
    const bottom = placeAt(strip, x, strip.height)!
    expect([bottom.around, placeAt(strip, x, 0)!.around]).toEqual([90, 270])
    for (const down of [0.4, 0.5, 0.62].map(part => part * strip.height)) {
      const point = pointOf(strip, placeAt(strip, x, down)!)
      expect(point.x).toBeCloseTo(x, 1)
      expect(point.y).toBeCloseTo(down, 0)
      expect(point.far).toBe(false)
    }
    expect(pointOf(strip, { barrel: 'lower', fromTip: 3, around: 180 }).far).toBe(true)
  })
  it('draws an outline that starts and ends at the metal and stays within the drawing, whatever the shape (property)', () => {
    const bulge = fc.double({ min: -2, max: 6, noNaN: true })
    fc.assert(
      fc.property(fc.constantFrom('belly' as const, 'grip' as const, 'tapered' as const), bulge, (kind, much) => {
        const strip = layStrip(fittings[1]!, { only: { kind, bulge: much } })
        const laid = strip.barrels[0]!
        const y = strip.height / 2
        const points = outline(laid, y)
          .slice(1, -1)
          .split('L')
          .map(point => point.split(' ').map(Number) as [number, number])
        expect(points[0]).toEqual([expect.closeTo(laid.x, 2), expect.closeTo(y - laid.barrel.tipEnd / 2, 2)])
        expect(points.at(-1)).toEqual([expect.closeTo(laid.x, 2), expect.closeTo(y + laid.barrel.tipEnd / 2, 2)])
        expect(
          points.some(
            ([x, at]) => Math.abs(x - laid.x - laid.barrel.tubeLength) < 0.01 && Math.abs(at - y - laid.barrel.clipEnd / 2) < 0.01,
          ),
        ).toBe(true)
        expect(points.every(([, at]) => at >= -1e-9 && at <= strip.height + 1e-9)).toBe(true)
      }),
    )
  })
})

describe('what happens at the surface', () => {
  it('has a column for every step that touches it, scratches shallower from grit to grit, film thicker from coat to coat', () => {
    for (const { id } of materials) {
      const columns = surfaceColumns(trace(planFor(id, 'click-8', { wishes: { tool: 'gouge', film: 'gloss' } })))
      const sanded = columns.flatMap(column => (column.wood ? [column.wood] : [])).slice(1)
      for (const { before, after } of sanded) expect(after).toBeLessThan(before)
      const coats = columns.flatMap(column =>
        column.film && !column.film.cut && !column.film.scratch && column.label !== 'polish' ? [column.film.mean] : [],
      )
      expect([...coats].sort((a, b) => a - b)).toEqual(coats)
      for (const { film } of columns) if (film?.cut) expect(film.cut).toBeGreaterThan(film.mean)
    }
  })
  it('names steps as the bench does', () => {
    const labels = surfaceColumns(trace(planFor())).map(column => column.label)
    expect(labels.slice(0, 2)).toEqual(['turn', expect.stringMatching(/^P\d+$/)])
    expect(labels).toEqual(expect.arrayContaining(['thin, soak', 'thin', 'medium', 'polish', expect.stringMatching(/^level P/)]))
  })
  it('has a scale that grows from 0 to 1 (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1000, noNaN: true }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        (um, more) => logDepth(um + more) >= logDepth(um) && logDepth(um) >= 0 && logDepth(um) <= 1,
      ),
    )
    expect([logDepth(0.5), logDepth(200)]).toEqual([0, 1])
  })
})

describe('times in words', () => {
  it('names the day only when it is another', () => {
    expect(clockTime(inMinutes(1), now)).toBe('19:43')
    expect(clockTime(inMinutes(13 * 60 + 28), now)).toBe('Tue 09:10')
    expect(clockTime(inMinutes(12 * 24 * 60), now)).toBe('5 Dec 19:42')
  })
  it('says small counts as words', () => expect([0, 5, 12, 14].map(countWord)).toEqual(['None', 'Five', 'Twelve', '14']))
  it('says a day whatever the time zone', () => expect(dayWords('2026-12-05')).toBe('Sat 5 Dec'))
})

describe('the pen form', () => {
  it('tells what is missing when it is empty, nothing when it is full', () => {
    expect(Object.keys(penErrors(emptyPen())).sort()).toEqual(['fitting', 'mark', 'material', 'name'])
    expect(penErrors({ ...emptyPen(), mark: 'C2', name: 'Damson', fitting: 'twist-7', material: 'damson' })).toEqual({})
  })
  it('sends no stray spaces', () =>
    expect(tidyPen({ ...emptyPen(), name: ' Damson ', reason: '  ' })).toMatchObject({ name: 'Damson', reason: null }))
})

it('a refusal without an answer says that the server is away, one with an answer what it said', () => {
  expect(refused(new TypeError('fetch failed'))).toMatchObject({ status: 0, message: expect.stringMatching(/does not answer/) as string })
  expect(refused({ response: { status: 422 }, data: { message: 'No.', fields: { mark: 'taken' } } })).toEqual({
    status: 422,
    message: 'No.',
    fields: { mark: 'taken' },
  })
})
