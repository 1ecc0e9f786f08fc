import { fittings } from '../../reference'
import { cutSticks, usualCut } from './cut'
import { storyStick } from './story-stick'

const marks = (id: string) => {
  const fitting = fittings.find(one => one.id === id)!
  return storyStick(fitting, cutSticks(fitting, usualCut(false))).map(({ at, is }) => [Number(at.toFixed(2)), is])
}

it('two barrels of 52.4 and 53.6 mm with 1.6 mm spare and a kerf of 1.2 mm (by hand)', () => {
  // 0 | 1.6 … 54.0 | 55.6 middle cut, witness at its middle 56.2, next from 56.8 | 58.4 … 112.0 | 113.6 off.
  expect(marks('twist-7')).toEqual([
    [0, 'end'], [1.6, 'tube'], [54, 'tube'], [55.6, 'cut'], [56.2, 'witness'], [58.4, 'tube'], [112, 'tube'], [113.6, 'cut'],
  ])
})
it('one barrel: the witness line at its tip end', () => {
  expect(marks('click-8')).toEqual([[0, 'end'], [0, 'witness'], [1.6, 'tube'], [61.8, 'tube'], [63.4, 'cut']])
})
