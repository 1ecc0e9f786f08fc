import fc from 'fast-check'
import { unitWords } from '#core/units'
import { readTyped, shownIn } from './measure-text'

const [metric, inch, inch64] = (['metric', 'inch', 'inch64'] as const).map(unitWords) as [
  ReturnType<typeof unitWords>,
  ReturnType<typeof unitWords>,
  ReturnType<typeof unitWords>,
]

it('an empty field is nothing, what is not understood is told, the rest is a value in mm or g', () => {
  expect(readTyped('  ', 'length', metric)).toEqual({ value: null })
  expect(readTyped('1', 'length', inch)).toEqual({ value: 25.4 })
  expect(readTyped('1', 'mass', metric)).toEqual({ value: 1 })
  expect(readTyped('3 mm 4 in', 'length', metric)).toEqual({ fault: expect.stringMatching(/not a length/) })
  expect(readTyped('1 mm', 'mass', metric)).toEqual({ fault: expect.stringMatching(/“mm” is not known here/) })
})

it('shows a value without needless noughts, and nothing for none', () => {
  expect([
    shownIn(7, 'length', metric),
    shownIn(8.425, 'length', metric),
    shownIn(11.2189, 'length', metric, 2),
    shownIn(null, 'length', metric),
    shownIn(Number.NaN, 'mass', inch),
  ]).toEqual(['7 mm', '8.425 mm', '11.22 mm', '', ''])
  expect([shownIn(12.7, 'length', inch64), shownIn(28.35, 'mass', inch)]).toEqual(['1/2 in', '1.00 oz'])
})

it('what is shown is read as nearly the same in every system (property)', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40_000 }), (thousandths) => {
      const mm = thousandths / 1000
      for (const [units, off] of [
        [metric, 0.0005],
        [inch, 0.013],
      ] as const) {
        const read = readTyped(shownIn(mm, 'length', units), 'length', units)
        expect('value' in read && Math.abs(read.value! - mm)).toBeLessThanOrEqual(off + 1e-9)
      }
    }),
  )
})
