import fc from 'fast-check'
import { abrasives } from '../../reference'
import { grainOf } from './abrasive'
import { gapsIn } from './gaps'

const of = (...ids: string[]) => abrasives.filter(one => ids.includes(one.id))
const anyShelf = fc.subarray([...abrasives], { minLength: 1 })
const anyJump = fc.double({ min: 1.3, max: 4, noNaN: true })

describe('gaps on the shelf', () => {
  // Mean grains of the P scale (FEPA 43-2, from memory): P150 100 µm, P600 25.8 µm; P320 46.2 µm lies between.
  it('between P150 and P600 is told with what closes it', () => {
    const [gap, ...others] = gapsIn(of('P-150', 'P-600'), abrasives.filter(one => one.scale === 'P'), 2.2)
    expect(others).toEqual([])
    expect(gap!.jump).toBeCloseTo(100 / 25.8, 1)
    expect(gap!.fills.map(one => one.id)).toContain('P-320')
  })
  it('are none where every step is short, and none on an empty shelf', () => {
    expect(gapsIn(of('P-220', 'P-320', 'P-500'), abrasives, 2)).toEqual([])
    expect(gapsIn([], abrasives, 2)).toEqual([])
  })
  it('close with any of what is named for them, and are all there is of long steps', () => {
    fc.assert(
      fc.property(anyShelf, anyJump, (there, greatest) => {
        const gaps = gapsIn(there, abrasives, greatest)
        for (const { coarse, fine, fills } of gaps) {
          for (const fill of fills) expect(gapsIn([coarse, fill, fine], abrasives, greatest)).toEqual([])
        }
        const grains = there.map(grainOf).sort((a, b) => b - a)
        const long = grains.slice(1).filter((grain, index) => grains[index]! / grain > greatest * 1.05)
        expect(gaps).toHaveLength(long.length)
      }),
    )
  })
})
