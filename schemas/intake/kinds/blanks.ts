import { materialClasses } from '../../../core/shelf'
import { materials } from '../../../reference'
import { blankSchema, type BlankInput } from '../../blank'
import { exact, minor } from '../../common'
import { figure, text, type IntakeKind } from '../field'

/** A blank out of a row, and what it cost. */
export interface BlankRow {
  /** As it is put on the shelf. */
  blank: BlankInput
  /** Of one, in minor units; null where nobody said. */
  price: number | null
}

const schema = exact({ blank: blankSchema, price: minor().nullable() })

/** Blanks for the shelf. */
export const blanks: IntakeKind = {
  name: 'blanks',
  says: 'Blanks',
  fields: [
    { field: 'name', says: 'Name', heads: ['name', 'blank', 'description', 'item'], kind: 'text', needed: true },
    { field: 'material', says: 'Material', heads: ['material', 'wood', 'timber'], kind: 'one of', among: () => materials },
    { field: 'species', says: 'Species', heads: ['species', 'botanical', 'latin'], kind: 'text' },
    {
      field: 'classes', says: 'Classes', heads: ['class', 'classes', 'kind', 'type'], kind: 'some of',
      among: () => materialClasses.map(id => ({ id, name: id })),
    },
    { field: 'origin', says: 'Where it is from', heads: ['origin', 'story', 'from', 'source', 'notes'], kind: 'text' },
    { field: 'width', says: 'Width', heads: ['width', 'side', 'section'], kind: 'length' },
    { field: 'height', says: 'Thickness', heads: ['height', 'thickness', 'depth'], kind: 'length' },
    { field: 'length', says: 'Length', heads: ['length', 'long'], kind: 'length' },
    { field: 'count', says: 'How many', heads: ['count', 'pieces', 'number', 'how many', 'quantity', 'qty', 'stock'], kind: 'number' },
    { field: 'damp', says: 'Damp', heads: ['damp', 'wet', 'green'], kind: 'yes' },
    { field: 'price', says: 'Price of one', heads: ['price', 'cost', 'paid'], kind: 'money' },
  ],
  wanted(values) {
    const value = {
      blank: {
        name: text(values.name) ?? '', material: text(values.material), species: text(values.species), classes: values.classes ?? [],
        origin: text(values.origin), width: figure(values.width), height: figure(values.height), length: figure(values.length),
        count: figure(values.count) ?? 1, damp: values.damp === true, photo: null,
      },
      price: figure(values.price),
    }
    return { value, schema }
  },
}
