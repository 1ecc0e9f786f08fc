import { bottleSchema } from '../../workshop'
import { text, type IntakeKind } from '../field'

const SAID = ['opened', 'keeps', 'left', 'size', 'sealed', 'price']

/** Bottles: what is there of each product. */
export const bottles: IntakeKind = {
  name: 'bottles',
  says: 'Bottles',
  fields: [
    {
      field: 'item', says: 'Product', heads: ['product', 'name', 'finish', 'glue', 'item', 'bottle'], kind: 'one of', needed: true,
      among: known => known.products,
    },
    { field: 'opened', says: 'Opened on', heads: ['opened', 'open', 'opened on'], kind: 'day' },
    { field: 'keeps', says: 'Keeps, days', heads: ['keeps', 'days', 'shelf life'], kind: 'number' },
    { field: 'left', says: 'Left, ml', heads: ['left', 'remaining', 'rest'], kind: 'number' },
    { field: 'size', says: 'Bottle, ml', heads: ['size', 'ml', 'volume', 'content', 'bottle ml'], kind: 'number' },
    { field: 'sealed', says: 'More, sealed', heads: ['sealed', 'spare', 'more', 'unopened', 'count'], kind: 'number' },
    { field: 'price', says: 'Price of a bottle', heads: ['price', 'cost', 'paid'], kind: 'money' },
  ],
  wanted(values) {
    const value: Record<string, unknown> = { item: text(values.item) ?? '' }
    for (const field of SAID) if (values[field] !== undefined) value[field] = values[field]
    return { value, schema: bottleSchema }
  },
}
