import type { Fitting } from '../core/barrel'

const TWIST = ['Tip', 'Twist mechanism', 'Centre band', 'Clip', 'Cap button', 'Two tubes', 'Refill']

const invented = { mark: 'model' as const, note: 'demo data: invented but plausible; measure your own parts' }

/** Fittings that a new workshop begins with; a turner edits, copies and adds their own on the shelf. Lengths and diameters in mm. */
export const fittings: readonly Fitting[] = [
  {
    id: 'twist-7',
    name: '7 mm two-barrel twist',
    bit: 7,
    source: invented,
    parts: TWIST,
    barrels: [
      { id: 'lower', tubeLength: 52.4, tubeOuter: 6.9, tipEnd: 8.2, clipEnd: 8.5 },
      { id: 'upper', tubeLength: 53.6, tubeOuter: 6.9, tipEnd: 8.5, clipEnd: 8.4 },
    ],
  },
  {
    id: 'click-8',
    name: '8 mm one-barrel click',
    bit: 8,
    source: invented,
    parts: ['Tip', 'Click mechanism', 'Clip', 'Button', 'Tube', 'Spring', 'Refill'],
    barrels: [{ id: 'only', tubeLength: 60.2, tubeOuter: 7.9, tipEnd: 10.1, clipEnd: 11.4 }],
  },
  {
    id: 'cap-9',
    name: '9.5 mm one-barrel cap',
    bit: 9.5,
    source: invented,
    parts: ['Front section', 'Cap', 'Clip', 'End button', 'Tube', 'Refill'],
    barrels: [{ id: 'only', tubeLength: 57.8, tubeOuter: 9.4, tipEnd: 11.6, clipEnd: 12.7 }],
  },
  {
    id: 'twist-10',
    name: '10 mm two-barrel twist, full',
    bit: 10,
    source: invented,
    parts: TWIST,
    barrels: [
      { id: 'lower', tubeLength: 48.3, tubeOuter: 9.9, tipEnd: 11.2, clipEnd: 12.9 },
      { id: 'upper', tubeLength: 55.1, tubeOuter: 9.9, tipEnd: 12.9, clipEnd: 12.1 },
    ],
  },
]
