import fc from 'fast-check'
import { given } from '../figures'
import { boardYield } from './board'
import { cutSticks, stickGives, usualCut } from './cut'
import { drilling } from './drill'
import { fittingFaults } from './faults'
import type { Fitting } from './fitting'
import { seamBand, shareBeyond } from './seam'
import { leastSection, wiseSquare } from './section'
import { speedVerdict, spindleSpeed, surfaceSpeed } from './speed'
import { tubeGlue } from './tube'
import { meeting, turnedEnds } from './turn'

const source = { mark: 'model' as const }
/** Two barrels with different tubes, as some fittings have. */
const odd: Fitting = {
  id: 'odd',
  name: 'different tubes',
  bit: 7,
  source,
  barrels: [
    { id: 'lower', tubeLength: 40, tubeOuter: 6.9, tipEnd: 8.2, clipEnd: 8.6 },
    { id: 'upper', tubeLength: 60, tubeOuter: 9.9, bit: 10, tipEnd: 12, clipEnd: 11, bushings: { tip: 11.9 } },
  ],
}
const mm = (value: number) => given('mm', value, 'mm')

describe('cut list, worked by hand', () => {
  const stick = cutSticks(odd, usualCut(false))
  it('lays the pieces with a kerf between, and the witness mark over the middle cut', () => {
    // 40 + 3.2 = 43.2; 43.2 + 1.2 = 44.4; 60 + 3.2 = 63.2; in all 107.6.
    expect(stick.pieces.map(piece => [piece.from, piece.length.value])).toEqual([
      [0, 43.2],
      [expect.closeTo(44.4, 9), 63.2],
    ])
    expect(stick.total.value).toBeCloseTo(107.6, 9)
    expect(stick.witness).toBeCloseTo(43.8, 9)
    expect(stick.cuts).toEqual([
      { at: expect.closeTo(107.6, 9), what: 'off' },
      { at: 43.2, what: 'middle' },
    ])
  })
  it('takes the turner’s own spare and kerf', () => {
    expect(cutSticks(odd, usualCut(true, { perEnd: 3, kerf: 2 })).total.value).toBeCloseTo(46 + 2 + 66, 9)
  })
  it('a stick of 330 mm gives three pens, 330 − 3 × 108.8 = 3.6 over; one of 325.2 gives three with no kerf after the last', () => {
    expect(stickGives(stick, 330)).toEqual({ pens: 3, over: expect.closeTo(3.6, 9) })
    expect(stickGives(stick, 325.2)).toEqual({ pens: 3, over: 0 })
    expect(stickGives(stick, 325.1)).toMatchObject({ pens: 2 })
  })
  it('what it gives never takes more than the stick (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 3000, noNaN: true }), (length) => {
        const { pens, over } = stickGives(stick, length)
        expect(pens * stick.total.value + Math.max(0, pens - 1) * stick.kerf).toBeLessThanOrEqual(length + 1e-6)
        expect(over).toBeLessThan(stick.total.value + stick.kerf)
      }),
    )
  })
})

it('a board of 300 × 100 × 20 gives 2 × 4 pieces of 120 × 19 along the grain, and 15 side by side across it, none long enough (by '
  + 'hand)', () => {
  const [best, other] = boardYield({ length: 300, width: 100, thickness: 20 }, { length: 120, section: 19, kerf: 2 })
  // Along: (100 + 2) / 21 = 4 strips, (300 + 2) / 122 = 2 in each. Across: 100 mm are too short for 120.
  expect(best).toMatchObject({ way: 'along', layers: 1, strips: 4, perStrip: 2, pens: 8, over: { end: 56, side: 16, top: 0 } })
  expect(other).toMatchObject({ way: 'across', pens: 0, waste: 1 })
  expect(best.waste).toBeCloseTo(1 - (8 * 120 * 361) / 600_000, 9)
})

it('a hair less in the section makes one strip more, and no more than a hair is asked for (by hand)', () => {
  const piece = { length: 120, section: 19, kerf: 2 }
  const board = { length: 300, width: 102.5, thickness: 20 }
  // Five strips in 102.5 mm: (102.5 + 2) / 5 − 2 = 18.9 mm each, two pens in each strip.
  expect(boardYield(board, piece)[0]).toMatchObject({ strips: 4, hair: { less: expect.closeTo(0.1, 9) as number, pens: 2 } })
  expect(boardYield({ ...board, width: 103 }, piece)[0]).not.toHaveProperty('hair')
  // (101 + 2) / 5 − 2 = 18.6 mm is a hair less than 19, (99 + 2) / 5 − 2 = 18.2 mm is not.
  expect(boardYield({ ...board, width: 101 }, piece)[0].hair?.less).toBeCloseTo(0.4, 9)
  expect(boardYield({ ...board, width: 99 }, piece)[0]).not.toHaveProperty('hair')
})
it('what it says of a hair comes true when it is cut so (property)', () => {
  const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  fc.assert(
    fc.property(mm(100, 900), mm(40, 300), mm(15, 60), mm(12, 25), mm(0.5, 4), (length, width, thickness, section, kerf) => {
      const board = { length, width, thickness }
      for (const { way, pens, hair } of boardYield(board, { length: 80, section, kerf })) {
        if (!hair) continue
        const cut = boardYield(board, { length: 80, section: section - hair.less, kerf }).find(one => one.way === way)!
        expect(cut.pens).toBe(pens + hair.pens)
        expect(hair.less).toBeLessThanOrEqual(0.6)
      }
    }),
    { numRuns: 300 },
  )
})
it('where both ways give as many, the grain runs along; what just fits is counted', () => {
  const piece = { length: 50, section: 50, kerf: 0 }
  const ways = boardYield({ length: 100, width: 100, thickness: 50 }, piece)
  expect(ways.map(one => [one.way, one.pens])).toEqual([['along', 4], ['across', 4]])
  // Three of 0.1 in 0.3, which is a little less than 3 × 0.1 in the machine.
  expect(boardYield({ length: 0.3, width: 0.1, thickness: 0.1 }, { length: 0.1, section: 0.1, kerf: 0 })[0].perStrip).toBe(3)
})
it('the other way of laying wins where it gives more', () => {
  expect(boardYield({ length: 100, width: 130, thickness: 20 }, { length: 120, section: 19, kerf: 2 })[0]).toMatchObject({
    way: 'across',
    pens: 4,
  })
})

describe('least square section', () => {
  it('12 mm with a wander of 1 % of 60 mm is 13.2 mm (by hand); a lost corner asks for more', () => {
    expect(leastSection(mm(12), mm(60), given('part', 0.01, '×')).side.value).toBeCloseTo(13.2, 9)
    // √2 · 6.6 + 5 = 14.33
    expect(leastSection(mm(12), mm(60), given('part', 0.01, '×'), 5).side.value).toBeCloseTo(Math.SQRT2 * 6.6 + 5, 9)
  })
  it('holds every point of the barrel wherever the bore came out, bevel and all (property, by walking round the circle)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 0.03, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (fat, part, lost, way) => {
          const { side, wander } = leastSection(mm(fat), mm(60), given('part', part, '×'), lost)
          const half = side.value / 2
          for (let step = 0; step < 72; step++) {
            const angle = (step / 72) * 2 * Math.PI
            const [x, y] = [
              wander.value * Math.cos(way) + (fat / 2) * Math.cos(angle),
              wander.value * Math.sin(way) + (fat / 2) * Math.sin(angle),
            ]
            expect(Math.max(Math.abs(x), Math.abs(y))).toBeLessThanOrEqual(half + 1e-9)
            expect(x + y).toBeLessThanOrEqual(side.value - lost + 1e-9)
          }
        },
      ),
    )
  })
})

it('drills each barrel with its own bit, the wider one slower at the same rim speed, from the middle cut, clearing every 12 mm', () => {
  const [lower, upper] = drilling(odd, usualCut(false))
  expect([lower!.bit.value, lower!.slow.value, lower!.fast.value, lower!.bites]).toEqual([7, 400, 500, 4])
  expect([upper!.bit.value, upper!.slow.value, upper!.fast.value, upper!.bites, upper!.from]).toEqual([10, 280, 350, 6, 'middle cut'])
  expect(surfaceSpeed(10, upper!.fast.value)).toBeCloseTo(surfaceSpeed(7, 500), 6)
})

describe('the seam of a hybrid blank', () => {
  it('shows both halves anywhere within the finished diameter about the axis, wherever the bore lies', () => {
    expect(seamBand({ width: 20, bore: 7, finished: 12 })).toEqual({ shows: { from: 4, to: 16 }, held: { from: 6.5, to: 13.5 } })
    expect(seamBand({ width: 20, bore: 7, finished: 12, offset: 3, wander: 0.5 }).shows).toEqual({ from: 7.5, to: 18.5 })
    expect(seamBand({ width: 20, bore: 1, finished: 12, wander: 0.6 }).held).toBeNull()
  })
  it('at the edge of the band for a share, the smaller half shows just that share, counted round the barrel (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.48, noNaN: true }), fc.double({ min: 8, max: 15, noNaN: true }), (share, finished) => {
        const away = seamBand({ width: 100, bore: 7, finished, leastShare: share }).shows!.to - 50
        let beyond = 0
        for (let step = 0; step < 20_000; step++) if ((finished / 2) * Math.cos((2 * Math.PI * step) / 20_000) > away) beyond++
        expect(beyond / 20_000).toBeCloseTo(share, 3)
        expect(shareBeyond(away, finished)).toBeCloseTo(share, 9)
      }),
    )
  })
})

it('tells a fitting that cannot be, at its field, with what would be right', () => {
  expect(fittingFaults(odd)).toEqual([])
  const faults = (change: Partial<Fitting['barrels'][number]>, bit = 7) =>
    fittingFaults({ bit, barrels: [{ ...odd.barrels[0]!, ...change }] })
  expect(faults({ tubeLength: 3000 })).toEqual([
    { field: 'barrels[0].tubeLength', says: expect.stringMatching(/3000 mm is more than a pen has/) },
  ])
  expect(faults({ tubeLength: 0 })).toEqual([{ field: 'barrels[0].tubeLength', says: expect.stringMatching(/above 0/) }])
  // As thick as the tube is no wall either; what is not above 0 is told so, and not a second time.
  expect(faults({ tipEnd: 6.9 }).map(fault => fault.field)).toEqual(['barrels[0].tipEnd'])
  expect(faults({ tipEnd: 6.91 })).toEqual([])
  for (const tipEnd of [0, -1]) expect(faults({ tipEnd }).map(fault => fault.says)).toEqual([expect.stringMatching(/above 0/)])
  expect(faults({ tipEnd: 6 })).toEqual([{ field: 'barrels[0].tipEnd', says: expect.stringMatching(/inside a tube of 6.9 mm/) }])
  expect(faults({ bushings: { clip: 6 } })).toEqual([
    { field: 'barrels[0].bushings.clip', says: expect.stringMatching(/bushing of 6 mm lies inside/) },
  ])
  expect(faults({}, 6)).toEqual([{ field: 'bit', says: expect.stringMatching(/does not go into a bore of 6 mm/) }])
  expect(faults({}, 12)).toEqual([{ field: 'bit', says: expect.stringMatching(/play/) }])
  expect(faults({ bit: -1 }).map(fault => fault.field)).toEqual(['barrels[0].bit'])
  expect(faults({ bushings: { tip: 0 } })[0]).toEqual({
    field: 'barrels[0].bushings.tip', says: 'The bushing should be above 0, or be left empty.',
  })
  expect(faults({ bushings: { tip: 41 } })[0]!.says).toBe('41 mm is more than a pen has: enter up to 40 mm.')
  for (const [field, what] of [['tipEnd', 41], ['clipEnd', 41], ['tubeOuter', 41], ['bit', 41], ['tubeLength', 201]] as const)
    expect(faults({ [field]: what }).find(fault => fault.field === `barrels[0].${field}`)!.says).toMatch(/ mm is more than a pen has/)
  // At the bounds themselves a fitting can be: a tube as wide as its bore, a millimetre of play, the widest metal and bushing.
  const tube = odd.barrels[0]!.tubeOuter
  for (const sound of [faults({ bit: tube }), faults({ bit: tube + 1 }), faults({ bushings: { tip: 40 } }), faults({ tubeLength: 200 })])
    expect(sound).toEqual([])
  expect(faults({}, tube + 1.5)[0]!.says).toBe(
    'A bore of 8.4 mm leaves 1.5 mm of play round a tube of 6.9 mm, more than glue fills: choose a bit up to 7.9 mm.',
  )
  expect(faults({}, 6)[0]!.says).toMatch(/choose a bit of 6\.9 mm or a little over\.$/)
})

it('tells speeds that no school runs, and the nearest that one does', () => {
  expect(speedVerdict('sanding', 900).within?.school).toBe('slow')
  expect(speedVerdict('sanding', 3000).within?.school).toBe('fast')
  expect(speedVerdict('drilling', 900)).toMatchObject({ within: null, nearest: { most: 500 } })
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 40, noNaN: true }),
      fc.double({ min: 1, max: 500, noNaN: true }),
      (diameter, speed) => Math.abs(surfaceSpeed(diameter, spindleSpeed(diameter, speed)) - speed) < 1e-9 * speed,
    ),
  )
})

it('glue fills the play round the tube: π/4 · (7² − 6.9²) · 40 = 43.7 mm³ (by hand), and says when it is too tight or too loose', () => {
  const glue = tubeGlue(odd, odd.barrels[0]!)
  expect(glue.volume.value).toBeCloseTo(43.67, 1)
  expect(glue.area.value).toBeCloseTo(867, 0)
  expect([glue.fit, tubeGlue({ ...odd, bit: 6.9 }, odd.barrels[0]!).fit, tubeGlue({ ...odd, bit: 7.4 }, odd.barrels[0]!).fit]).toEqual([
    'good',
    'tight',
    'loose',
  ])
})

it('shows a worn bushing as it measures, and how the wood meets the metal', () => {
  const ends = turnedEnds(odd, given('sanding', 30, 'µm'), given('film', 55, 'µm'))
  // 12 + 0.06 − 0.11 = 11.95; the bushing measures 11.9.
  expect(ends[2]!.bushing).toMatchObject({ measured: { value: 11.9, origin: 'measured' }, over: expect.closeTo(0.05, 9) })
  expect(ends[0]!.bushing).toBeUndefined()
  expect([0.04, 0.041, -0.04, -0.08].map(meeting)).toEqual(['flush', 'proud', 'flush', 'shy'])
})

// The trade cuts 15 mm for a 7 mm pen [trade]; the least is told beside it.
it('the square that is wise to cut leaves something on every side, in whole millimetres (property)', () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 40, noNaN: true }), (least) => {
      const { value } = wiseSquare(given('least', least, 'mm'))
      expect(Number.isInteger(value)).toBe(true)
      expect(value - least).toBeGreaterThanOrEqual(4 - 1e-6)
      expect(value - least).toBeLessThan(5)
    }),
  )
  expect(wiseSquare(given('least', 10.1, 'mm')).value).toBe(15)
})
