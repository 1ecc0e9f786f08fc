import { fittings } from '../../reference'
import { assemblyOf } from './assembly'
import { learnPress } from './press'

const said = (id: string, parts?: readonly string[]) => {
  const fitting = fittings.find(one => one.id === id)!
  return assemblyOf(parts ? { ...fitting, parts } : fitting).map(({ name, into, how, tries }) =>
    `${name}: ${into ? `${into.barrel} ${into.end}` : '-'}, ${how}${tries ? ', tried' : ''}`)
}

it('two barrels: tip into the lower one, mechanism at its other end, tried; clip and cap into the upper one [handbook, section 2]', () => {
  expect(said('twist-7')).toEqual([
    'Tip: lower tip, press', 'Twist mechanism: lower clip, press, tried', 'Refill: -, put in', 'Centre band: lower clip, put in',
    'Clip: upper clip, press', 'Cap button: upper clip, press',
  ])
})
it('one barrel takes the tip at one end and the rest at the other; tubes are in already', () => {
  expect(said('click-8')).toEqual([
    'Tip: only tip, press', 'Click mechanism: only clip, press, tried', 'Spring: -, put in', 'Refill: -, put in', 'Clip: only clip, press',
    'Button: only clip, press',
  ])
  expect(said('cap-9')[0]).toBe('Front section: only tip, press')
})
it('what nobody knows comes last, as it is listed, and none is lost', () => {
  expect(said('click-8', ['Whatsit', 'Clip', 'Gadget', 'Nib', 'Two tubes'])).toEqual([
    'Nib: only tip, press', 'Clip: only clip, press', 'Whatsit: -, put in', 'Gadget: -, put in',
  ])
  expect(said('click-8', [])).toEqual([])
})
it('learns how far short a mechanism stops: mean and range over pens', () => {
  expect(learnPress([1, 1.6, 1.3])).toEqual({ mean: expect.closeTo(1.3, 9) as number, least: 1, most: 1.6, pens: 3 })
  expect(learnPress([]).pens).toBe(0)
})
