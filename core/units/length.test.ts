import fc from 'fast-check'
import { formatLength, parseLength } from './length'
import { UnitError } from './error'

describe('parseLength understands what turners type', () => {
  it.each([
    ['27 mm', 27],
    ['27', 27],
    ['2.7cm', 27],
    ['2,7 cm', 27],
    ['0.0185 m', 18.5],
    ['450 µm', 0.45],
    ['1 in', 25.4],
    ['1 1/16', 26.9875],
    ['1-1/16 in', 26.9875],
    ['1  1/16 in', 26.9875],
    ['7/16"', 11.1125],
    ['0.4375"', 11.1125],
    ['3/4 in', 19.05],
    ['.5 in', 12.7],
  ])('%s', (text, mm) => {
    expect(parseLength(text)).toBeCloseTo(mm, 9)
  })

  it('takes a bare number in the turner’s own unit', () => {
    expect(parseLength('1', 'in')).toBe(25.4)
    expect(parseLength('1', 'mm')).toBe(1)
  })

  it.each(['', '  ', 'abc', '12 furlongs', '1/0', '3 mm 4', '1 2 3/4 in', '1.2.3', '-4 mm', '−4', '1 1 /', 'mm', '1/2/3'])(
    'refuses “%s” and shows how to write it',
    (text) => {
      expect(() => parseLength(text)).toThrow(UnitError)
      expect(() => parseLength(text)).toThrow(/Write it like/)
    },
  )
})

describe('formatLength', () => {
  it('shows the nearest 64th and what it leaves out', () => {
    expect(formatLength(26.9875, 'inch64')).toBe('1 1/16 in')
    expect(formatLength(12.7, 'inch64')).toBe('1/2 in')
    expect(formatLength(0, 'inch64')).toBe('0 in')
    expect(formatLength(-12.7, 'inch64')).toBe('−1/2 in')
    expect(formatLength(-0.005, 'inch64')).toBe('0 in')
    // 10.14 mm is 0.39921 in; 26/64 is 0.40625, 25.5/64 the middle: nearest is 26/64 = 13/32, 0.007 over.
    expect(formatLength(10.14, 'inch64')).toBe('13/32 − 0.007 in')
  })

  it('goes back to what was typed, within the rounding shown (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30_000 }), (hundredths) => {
        const mm = hundredths / 100
        expect(parseLength(formatLength(mm, 'mm'))).toBeCloseTo(mm, 9)
        expect(Math.abs(parseLength(formatLength(mm, 'inch')) - mm)).toBeLessThanOrEqual(0.0005 * 25.4 + 1e-9)
      }),
    )
  })

  it('gives exact 64ths back exactly (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 64 * 12 }), (sixtyFourths) => {
        expect(parseLength(formatLength((sixtyFourths * 25.4) / 64, 'inch64'))).toBeCloseTo((sixtyFourths * 25.4) / 64, 9)
      }),
    )
  })
})
