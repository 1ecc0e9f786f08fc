import fc from 'fast-check'
import { Likeness } from './likeness'

const likenessOf = (...pens: readonly (readonly number[])[]) =>
  new Likeness(pens.map(needs => ({ needs: needs.map(setUp => ({ setUp, last: 0 })) })))

it('what two pens have in common is a part of what the one needs that needs more', () => {
  const likeness = likenessOf([1, 2, 3, 4], [1, 2], [5], [])
  expect([likeness.of(0, 1), likeness.of(1, 0), likeness.of(0, 2), likeness.of(0, 3), likeness.of(0, 0)]).toEqual([0.5, 0.5, 0, 0, 1])
})

it('the more alike the likelier it is drawn; what has nothing in common never, and itself only where nobody has', () => {
  // All in common with the second, half with the third: 1 to a sixteenth.
  const likeness = likenessOf([1, 2], [1, 2], [1, 3], [4])
  const drawn = [0, 0.5, 0.94, 0.942, 0.999].map(chance => likeness.drawn(0, chance))
  expect(drawn).toEqual([1, 1, 1, 2, 2])
  expect([likeness.drawn(3, 0), likeness.drawn(3, 0.999)]).toEqual([3, 3])
})

it('every pen is in one batch, with what needs nearly the same, and no batch is larger than it may be (property)', () => {
  const anyPens = fc.array(fc.uniqueArray(fc.integer({ min: 1, max: 6 }), { maxLength: 6 }), { maxLength: 12 })
  fc.assert(fc.property(anyPens, fc.integer({ min: 1, max: 5 }), (pens, most) => {
    const likeness = likenessOf(...pens)
    const batches = likeness.batches(most)
    expect(batches.flat().sort((a, b) => a - b)).toEqual([...pens.keys()])
    for (const [first, ...others] of batches) {
      expect(others.length).toBeLessThan(most)
      for (const other of others) expect(likeness.of(first!, other)).toBeGreaterThan(0.7)
    }
  }))
})
