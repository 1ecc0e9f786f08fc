import type { Pin } from '../../schemas'
import type { Shown } from './evening-view'
import { wishesOf, wishWords } from './evening-wishes'

const now = new Date('2019-11-28T18:00:00')
const pin = (id: string, pen: string, change: Partial<Pin> = {}): Pin =>
  ({ id, pen, kind: 'first', step: 'cut', at: null, group: null, weight: null, ...change })
/** As much of a piece of work as wishes look at. */
const piece = (pen: string, step: string, title: string) =>
  ({ pen, is: { id: step }, title, board: { pen: { mark: pen.toUpperCase() } } }) as unknown as Shown
const blocks = [piece('a2', 'cut', 'Cut'), piece('b1', 'cut', 'Cut'), piece('a2', 'sand.P-320', 'P320')]

it('wishes are told in the order of the work, those in one go as one, and those about what was done not at all', () => {
  const pins = [
    pin('1', 'a2', { step: 'sand.P-320', kind: 'by', at: '2019-11-29T20:15:00' }), pin('2', 'b1', { kind: 'together', group: 'g' }),
    pin('3', 'a2', { kind: 'together', group: 'g' }), pin('4', 'a2', { step: 'gone' }), pin('5', 'gone'),
    pin('6', 'b1', { step: null, kind: 'weight', weight: 3 }),
  ]
  expect(wishesOf(pins, blocks, now).map(({ marks, title, says }) => [marks.join(' '), title, says])).toEqual([
    ['B1 A2', 'Cut', 'In one go'], ['B1', '', 'Its promise counts 3 times'], ['A2', 'P320', 'Begun by Fri 20:15'],
  ])
})

it('a moment of today is told without its day', () => {
  expect(wishWords({ kind: 'not before', at: '2019-11-28T20:15:00' }, now)).toBe('Not before 20:15')
})
