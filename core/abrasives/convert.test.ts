import fc from 'fast-check'
import { betweenMarks, inEveryScale, nearestMark } from './convert'
import { abrasiveName, grainFigure, grainSize } from './grain'
import { scaleTables } from './scales'

it('a mark of a scale is nearest to itself, in every scale (both ways)', () => {
  for (const [scale, table] of Object.entries(scaleTables)) {
    for (const mark of Object.keys(table.grains))
      expect(nearestMark(table.grains[mark]!, scale as 'P')).toMatchObject({ mark: { mark: Number(mark) }, ratio: 1, outside: false })
  }
})

it('“what is this pad in paper?”: the first pad is P500, and nothing of CAMI comes near the finest pads', () => {
  expect(inEveryScale({ scale: 'pad', mark: 1500 }).P.mark).toEqual({ scale: 'P', mark: 500 })
  expect(inEveryScale({ scale: 'pad', mark: 12000 })).toMatchObject({ CAMI: { outside: true }, P: { outside: true }, micron: { grain: 2 } })
  expect(inEveryScale({ scale: 'CAMI', mark: 600 }).P.mark.mark).toBe(1200)
})

it('no other mark of the scale is nearer by ratio (property)', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 250, noNaN: true }),
      fc.constantFrom('P' as const, 'CAMI' as const, 'pad' as const),
      (grain, scale) => {
        const off = (um: number) => Math.abs(Math.log(um / grain))
        const found = nearestMark(grain, scale)
        for (const um of Object.values(scaleTables[scale].grains)) expect(off(found.grain)).toBeLessThanOrEqual(off(um) + 1e-12)
      },
    ),
  )
})

it('a pad with a colour and no number lies half way between two known ones, and says so', () => {
  const grey = betweenMarks('grey pad', { scale: 'pad', mark: 1800 }, { scale: 'pad', mark: 3200 })
  // √(15 · 9) = 11.6 µm, worked by hand.
  expect(grainSize(grey.scale, grey.mark)).toBe(11.6)
  expect(abrasiveName(grey)).toBe('grey pad')
  expect(grainFigure(grey)).toMatchObject({
    value: 11.6,
    origin: 'yours',
    note: 'no number: placed half way between pad 1800 and pad 3200',
  })
  expect(betweenMarks('x', { scale: 'pad', mark: 3200 }, { scale: 'pad', mark: 1800 }).between).toEqual(['pad 1800', 'pad 3200'])
  expect(() => betweenMarks('x', { scale: 'P', mark: 220 }, { scale: 'CAMI', mark: 220 })).toThrow(RangeError)
})

it('beyond the coarsest and the finest of a scale by more than a step of 1.35 nothing comes near', () => {
  const grains = Object.values(scaleTables.P.grains)
  const [coarsest, finest] = [Math.max(...grains), Math.min(...grains)]
  const isOutside = (grain: number) => nearestMark(grain, 'P').outside
  expect([coarsest * 1.34, coarsest * 1.36, finest / 1.34, finest / 1.36].map(isOutside)).toEqual([false, true, false, true])
  expect(nearestMark(coarsest * 1.2, 'P').ratio).toBeCloseTo(1.2, 10)
})
