import { mixed, ValidationError, type InferType } from 'yup'
import { defects } from '../../../reference'
import { day, exact, judged, minor, uuid, word } from '../../common'
import { madeSchema } from '../../event'
import { newPenSchema } from '../../pen'
import { figure, text, type IntakeKind, type Values } from '../field'
import { penFields, penOf } from './pens'

const HOW = [{ id: 'sold', name: 'sold' }, { id: 'given', name: 'given away' }] as const
const schema = judged(exact({
  pen: newPenSchema,
  on: day().required(),
  made: madeSchema,
  /** How it went, where it is not here any more. */
  leave: exact({
    how: word('sold', 'given').required(), on: day().required(), price: minor().nullable().defined(), place: uuid().nullable().defined(),
  }).nullable().defined(),
  today: mixed<string>().required(),
}), ({ on, leave, today }) => {
  if (on > today) return new ValidationError('Lies ahead: pens that are to be made are taken in as such.', on, 'on')
  if (leave && leave.on > today) return new ValidationError('Lies ahead.', leave.on, 'leave.on')
  return !leave || leave.on >= on || new ValidationError('Is before it was finished.', leave.on, 'leave.on')
})
/** A pen that was made before: the pen, the day it was finished, what is known of it, and how it went. */
export type PastRow = InferType<typeof schema>

function leaveOf(values: Values): object | null {
  const said = ['how', 'soldOn', 'price', 'place'].some(field => values[field] !== undefined)
  if (!said) return null
  const on = text(values.soldOn) ?? text(values.on)
  return { how: text(values.how) ?? 'sold', on, price: figure(values.price), place: text(values.place) }
}

/** Pens that were made before their log was kept here. */
export const past: IntakeKind = {
  name: 'past',
  says: 'Pens made before',
  fields: [
    ...penFields,
    { field: 'on', says: 'Finished on', heads: ['finished', 'made', 'date', 'day', 'completed', 'finished on'], kind: 'day', needed: true },
    { field: 'minutes', says: 'Minutes of work', heads: ['minutes', 'time', 'min', 'work'], kind: 'number' },
    { field: 'coats', says: 'Coats', heads: ['coats', 'layers'], kind: 'number' },
    {
      field: 'defects', says: 'Defects', heads: ['defects', 'defect', 'faults', 'problems'], kind: 'some of',
      among: () => defects.map(({ kind, name }) => ({ id: kind, name })),
    },
    { field: 'words', says: 'Remark', heads: ['remark', 'remarks', 'notes', 'note', 'comment'], kind: 'text' },
    { field: 'how', says: 'Sold or given', heads: ['how', 'sold or given', 'gone'], kind: 'one of', among: () => HOW },
    { field: 'soldOn', says: 'Sold on', heads: ['sold', 'sold on', 'sale', 'date sold'], kind: 'day' },
    { field: 'price', says: 'Brought', heads: ['price', 'brought', 'sold for', 'taken'], kind: 'money' },
    { field: 'place', says: 'Where', heads: ['where', 'place', 'fair', 'shop'], kind: 'one of', among: known => known.places },
  ],
  wanted(values, { today }) {
    const value = {
      pen: { ...penOf(values), reason: text(values.reason), due: null, blank: null },
      on: text(values.on),
      made: {
        minutes: figure(values.minutes), coats: figure(values.coats), defects: values.defects ?? [], words: text(values.words) ?? '',
      },
      leave: leaveOf(values),
      today,
    }
    return { value, schema }
  },
  fieldOf: path => (path === 'leave.on' ? 'soldOn' : path.startsWith('made.defects') ? 'defects' : path.split('.').at(-1) ?? ''),
}
