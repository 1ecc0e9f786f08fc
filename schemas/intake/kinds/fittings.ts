import { exact, minor } from '../../common'
import { shelfFittingSchema, type ShelfFittingInput } from '../../fitting'
import { figure, text, type Field, type IntakeKind, type Values } from '../field'

/** A fitting out of a row, and what a set of it cost. */
export interface FittingRow {
  /** As it is put on the shelf. */
  fitting: ShelfFittingInput
  /** Of one set, in minor units; null where nobody said. */
  price: number | null
}

const schema = exact({ fitting: shelfFittingSchema, price: minor().nullable() })

/** Measures of a barrel; those of an upper one have names of their own. */
const MEASURES = ['tubeLength', 'tubeOuter', 'tipEnd', 'clipEnd'] as const
const upper = (measure: string): string => `${measure}Upper`
const SAYS = { tubeLength: 'Tube length', tubeOuter: 'Tube outside', tipEnd: 'Metal at the tip end', clipEnd: 'Metal at the clip end' }
const HEADS = {
  tubeLength: ['tube length', 'tube', 'lower tube', 'lower tube length', 'tube lower'],
  tubeOuter: ['tube outside', 'tube outer', 'outside', 'tube diameter', 'lower tube diameter'],
  tipEnd: ['tip end', 'tip', 'nib end', 'lower tip end', 'metal tip'],
  clipEnd: ['clip end', 'clip', 'cap end', 'lower clip end', 'centre end'],
}
const lengths = (name: (measure: string) => string, said: string, head: (words: string) => string): Field[] =>
  MEASURES.map(measure => ({
    field: name(measure), says: `${SAYS[measure]}${said}`, heads: HEADS[measure].map(head), kind: 'length',
  }))

function barrelsOf(values: Values): object[] {
  const measures = (name: (measure: string) => string, besides: Values = {}) =>
    Object.fromEntries(MEASURES.map(measure => [measure, values[name(measure)] ?? besides[measure]]))
  const first = measures(measure => measure)
  if (!MEASURES.some(measure => values[upper(measure)] !== undefined)) return [{ id: 'only', ...first }]
  // The tubes of a set have mostly one diameter.
  return [{ id: 'lower', ...first }, { id: 'upper', ...measures(upper, { tubeOuter: values.tubeOuter }) }]
}

/** Fittings for the shelf. */
export const fittings: IntakeKind = {
  name: 'fittings',
  says: 'Fittings',
  fields: [
    { field: 'name', says: 'Name', heads: ['name', 'fitting', 'style', 'description', 'item'], kind: 'text', needed: true },
    { field: 'bit', says: 'Bit', heads: ['bit', 'drill', 'drill bit', 'bore'], kind: 'length', needed: true },
    ...lengths(measure => measure, '', head => head).map((field): Field => ({ ...field, needed: true })),
    ...lengths(upper, ', upper barrel', head => `upper ${head.replace(/^lower | lower$/u, '')}`),
    { field: 'sets', says: 'Sets', heads: ['sets', 'count', 'number', 'how many', 'quantity', 'qty', 'stock'], kind: 'number' },
    { field: 'bushings', says: 'Bushings there', heads: ['bushings', 'bushes'], kind: 'yes' },
    { field: 'price', says: 'Price of a set', heads: ['price', 'cost', 'paid'], kind: 'money' },
  ],
  wanted(values) {
    const value = {
      fitting: {
        name: text(values.name) ?? '', bit: values.bit, barrels: barrelsOf(values), sets: figure(values.sets) ?? 0,
        bushings: values.bushings === undefined ? 'not known' : values.bushings ? 'there' : 'missing',
      },
      price: figure(values.price),
    }
    return { value, schema }
  },
  fieldOf(path) {
    const barrel = /barrels\[(\d)\]\.(\w+)/u.exec(path)
    return barrel ? (barrel[1] === '1' ? upper(barrel[2] ?? '') : barrel[2] ?? '') : path.split('.').at(-1) ?? ''
  },
}
