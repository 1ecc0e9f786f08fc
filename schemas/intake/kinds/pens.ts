import { filmWishes, toolIds } from '../../../core/plan'
import { materials } from '../../../reference'
import { newPenSchema } from '../../pen'
import { text, type Field, type IntakeKind, type Values } from '../field'

/** A mark that stands in while a row has none. */
const STAND_IN = 'A1'

/** What says which pen it is and what it is made of. */
export const penFields: readonly Field[] = [
  { field: 'mark', says: 'Mark', heads: ['mark', 'label', 'no', 'id'], kind: 'text' },
  { field: 'name', says: 'Name', heads: ['name', 'pen', 'description', 'item'], kind: 'text', needed: true },
  { field: 'reason', says: 'For', heads: ['for', 'reason', 'occasion', 'why'], kind: 'text' },
  {
    field: 'fitting', says: 'Fitting', heads: ['fitting', 'style', 'set', 'hardware'], kind: 'one of', needed: true,
    among: known => known.fittings,
  },
  {
    field: 'material', says: 'Material', heads: ['material', 'wood', 'timber', 'blank'], kind: 'one of', needed: true,
    among: () => materials,
  },
  {
    field: 'method', says: 'Finish', heads: ['finish', 'method', 'coating'], kind: 'one of', needed: true, among: known => known.methods,
  },
]

/** The pen of a row as it is started. */
export const penOf = (values: Values): Record<string, unknown> => ({
  name: text(values.name) ?? '', reason: text(values.reason), fitting: text(values.fitting) ?? '', material: text(values.material) ?? '',
  method: text(values.method) ?? '', tool: text(values.tool) ?? 'skew', film: text(values.film) ?? 'gloss', due: text(values.due),
  blank: text(values.blank), mark: text(values.mark)?.toUpperCase().replace(/\s/gu, '') ?? STAND_IN,
})

/** Pens to be made. */
export const pens: IntakeKind = {
  name: 'pens',
  says: 'Pens to make',
  most: 500,
  fields: [
    ...penFields,
    { field: 'blank', says: 'Blank of the shelf', heads: ['stick', 'shelf', 'from'], kind: 'one of', among: known => known.blanks },
    { field: 'due', says: 'Due', heads: ['due', 'until', 'promised', 'deadline', 'wanted'], kind: 'day' },
    {
      field: 'tool', says: 'Tool', heads: ['tool', 'chisel'], kind: 'one of', among: () => toolIds.map(id => ({ id, name: id })),
    },
    {
      field: 'film', says: 'Gloss or close', heads: ['film', 'gloss', 'look'], kind: 'one of',
      among: () => filmWishes.map(id => ({ id, name: id })),
    },
  ],
  wanted: values => ({ value: penOf(values), schema: newPenSchema }),
}
