import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { blankPrice, setPrice } from '../../../core/money'
import type { BenchEvent } from '../../../core/bench'
import { nth } from '../../../core/sure'
import type { BottleChange, NewPen } from '../../../schemas'
import type { BlankRow, FittingRow, IntakeName, JudgedRow, PastRow } from '../../../schemas/intake'
import { FieldsError } from '../../faults'
import { oneAtATime } from '../append-lock'
import { createBlank } from '../blanks'
import { createFitting } from '../fittings'
import { keepEntries } from '../log'
import { takeMark } from '../marks'
import { insertPens, planning, type NewlyPlanned } from '../pens'
import { changePrice } from '../prices'
import { projectPens } from '../projections'
import { changeBottle, changeShelf } from '../shelf'
import { marksFor } from './marks'

/** Something that came in: what it is called where it stands, and what has to be known to undo it. */
export interface Thing {
  /** Its id. */
  ref: string
  /** What is known of it. */
  body: unknown
}

/** Keeps the rows of a sheet; answers what came in, in their order. */
export const KEEPERS: Readonly<Record<IntakeName, (trx: Knex, rows: readonly JudgedRow[]) => Promise<Thing[]>>> = {
  async blanks(trx, rows) {
    const things: Thing[] = []
    for (const { wanted } of rows) {
      const { blank, price } = wanted as BlankRow
      const { id } = await createBlank(trx, blank)
      if (price !== null) await changePrice(trx, { what: blankPrice(id), minor: price })
      things.push({ ref: id, body: null })
    }
    return things
  },
  async fittings(trx, rows) {
    const things: Thing[] = []
    for (const { wanted } of rows) {
      const { fitting, price } = wanted as FittingRow
      const { fitting: { id } } = await createFitting(trx, fitting)
      if (price !== null) await changePrice(trx, { what: setPrice(id), minor: price })
      things.push({ ref: id, body: null })
    }
    return things
  },
  async bottles(trx, rows) {
    const things: Thing[] = []
    const at = (item: string) => trx('shelf_items').where({ item }).first()
    for (const { wanted } of rows) {
      const said = wanted as BottleChange
      const before = await at(said.item)
      await changeShelf(trx, { item: said.item, there: true })
      await changeBottle(trx, said)
      things.push({ ref: said.item, body: { before: before ?? null, after: await at(said.item) } })
    }
    return things
  },
  async pens(trx, rows) {
    const all = rows.map(({ wanted, values }) => ({ pen: wanted as NewPen, isMarked: values.mark !== undefined }))
    for (const [index, { pen, isMarked }] of all.entries())
      if (isMarked) await inRow(nth(rows, index), () => takeMark(trx, pen.mark))
    const ids = await insertPens(trx, await planned(trx, all))
    await projectPens(trx, ids)
    return ids.map(ref => ({ ref, body: { entries: 0 } }))
  },
  async past(trx, rows) {
    const all = rows.map(({ wanted, values }) => ({ pen: (wanted as PastRow).pen as NewPen, isMarked: values.mark !== undefined }))
    const ids = await insertPens(trx, await planned(trx, all))
    const logs = rows.map(({ wanted }, index) => entriesOf(nth(ids, index), wanted as PastRow))
    // Held as shortly as can be: nobody enters anything meanwhile.
    await oneAtATime(trx)
    for (let from = 0; from < logs.length; from += LOT) await keepEntries(trx, logs.slice(from, from + LOT).flat())
    return ids.map((ref, index) => ({ ref, body: { entries: nth(logs, index).length } }))
  },
}

/** What goes wrong with a row is told there. */
async function inRow<T>({ number }: JudgedRow, run: () => Promise<T>): Promise<T> {
  try {
    return await run()
  } catch (error) {
    if (!(error instanceof FieldsError)) throw error
    throw new FieldsError(Object.fromEntries(Object.entries(error.fields).map(([field, says]) => [`rows[${number}].${field}`, says])))
  }
}

/** So many pens' entries are kept by one statement. */
const LOT = 500

/** Pens with their plans; those without a mark get one. */
async function planned(trx: Knex, all: readonly { pen: NewPen, isMarked: boolean }[]): Promise<NewlyPlanned[]> {
  const taken = new Set(all.flatMap(({ pen, isMarked }) => (isMarked ? [pen.mark] : [])))
  const free = await marksFor(trx, all.filter(one => !one.isMarked).length, taken)
  const planOf = planning(trx)
  const found: NewlyPlanned[] = []
  for (const { pen, isMarked } of all)
    found.push({ wanted: isMarked ? pen : { ...pen, mark: free.shift() ?? pen.mark }, plan: await planOf(pen) })
  return found
}

/** Entries of a pen that was made before: at noon of the day, since nobody said when. */
function entriesOf(pen: string, { on, made, leave }: PastRow): BenchEvent[] {
  const entry = { pen, barrels: [], device: 'a sheet' }
  const events: BenchEvent[] = [
    { ...entry, id: randomUUID(), at: `${on}T12:00:00.000Z`, kind: 'made', payload: made },
  ]
  if (!leave) return events
  const { how, price, place } = leave
  const payload = { how, price: how === 'sold' ? price : null, place, customer: null, order: null, with: [], words: '' }
  return [...events, { ...entry, id: randomUUID(), at: `${leave.on}T12:00:00.001Z`, kind: 'leave', payload }]
}
