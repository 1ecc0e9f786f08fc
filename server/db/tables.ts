import type { Knex } from 'knex'
import type { TableName } from '../../contract'
import { minorDigits } from '../../core/format'
import type { Within } from './within'

/** A cell: what is not known is empty. */
export type Cell = string | number | null
/** A row of a table, each cell under its column's name. */
export type TableRow = Record<string, Cell>

/** So many rows are read at a time, each lot in a transaction of its own: nobody waits for a table of ten years. */
const LOT = 1000

/** Where the next lot begins. */
type Key = readonly (string | number | Date)[]

/** How a table is read: what stands in it, in which order, and from where on. */
interface Reading {
  /** The columns of a key, which says a row's place. */
  key: readonly string[]
  /** All rows, as yet in no order. */
  from: (knex: Knex) => Knex.QueryBuilder
  /** A row as the database has it, as it is told. */
  told: (row: Record<string, unknown>) => TableRow
}

const text = (value: unknown): string | null => (value === null || value === undefined ? null : String(value))
const figure = (value: unknown): number | null => (typeof value === 'number' && Number.isFinite(value) ? value : null)
const moment = (value: unknown): string | null => (value instanceof Date ? value.toISOString() : null)
const day = (value: unknown): string | null => (value instanceof Date ? value.toISOString().slice(0, 10) : text(value))
const rounded = (value: unknown, places: number): number | null => {
  const known = figure(value)
  return known === null ? null : Math.round(known * 10 ** places) / 10 ** places
}

/** Facts of a kind, with the pen that they are of. */
const facts = (kind: string) => (knex: Knex) => knex('facts').join('pens', 'pens.id', 'facts.pen_id').where('facts.kind', kind)
  .select('facts.at', 'facts.pen_id', 'facts.place', 'facts.about', 'facts.body', 'pens.mark', 'pens.name')
const FACT_KEY = ['facts.at', 'facts.pen_id', 'facts.place'] as const
/** Something that has a name. */
interface Named {
  name?: unknown
}
/** An amount of money in whole units of the workshop’s own, as a figure. */
const amount = (minor: unknown, currency: unknown): number | null => {
  const known = figure(typeof minor === 'string' ? Number(minor) : minor)
  return known === null ? null : known / 10 ** minorDigits(text(currency))
}
const CURRENCY = '(select currency from workshop limit 1) as currency'

/** What every fact begins with. */
const ofPen = ({ mark, name, at }: Record<string, unknown>): TableRow => ({ mark: text(mark), pen: text(name), at_utc: moment(at) })
const bodyOf = ({ body }: Record<string, unknown>): Record<string, unknown> =>
  (typeof body === 'object' && body !== null ? body as Record<string, unknown> : {})

const READINGS: Record<TableName, Reading> = {
  pens: {
    key: ['pens.id'],
    from: knex => knex('pens').leftJoin('pen_rows', 'pen_rows.pen_id', 'pens.id').leftJoin('pen_told', 'pen_told.pen_id', 'pens.id')
      .select(
        'pens.id', 'pens.mark', 'pens.name', 'pens.reason', 'pens.due', 'pen_rows.stage', 'pen_rows.body', 'pens.method', 'pen_rows.recent',
        'pen_told.ended', 'pen_told.defects', 'pen_told.figures', 'pen_told.method as finish',
      ),
    told(row) {
      const body = bodyOf(row) as { fitting?: Named, material?: Named, coats?: { on?: unknown }, handsOnDone?: unknown }
      const figures = (row.figures ?? {}) as { minutes?: unknown }
      return {
        mark: text(row.mark), pen: text(row.name), reason: text(row.reason), due: day(row.due), stage: text(row.stage),
        fitting: text(body.fitting?.name), material: text(body.material?.name), finish: text(row.finish ?? row.method),
        coats: figure(body.coats?.on), hands_on_min: rounded((figure(body.handsOnDone) ?? NaN) / 60, 1),
        measured_min: rounded(figures.minutes, 1), worked_last_utc: moment(row.recent), over_utc: moment(row.ended),
        defects: Array.isArray(row.defects) ? row.defects.join('; ') : null,
      }
    },
  },
  defects: {
    key: FACT_KEY,
    from: facts('defect'),
    told(row) {
      const defect = (bodyOf(row).defect ?? {}) as Record<string, unknown>
      const mends = Array.isArray(defect.mends) ? defect.mends as { way?: unknown, failed?: unknown }[] : []
      return {
        ...ofPen(row), defect: text(row.about), barrel: text(defect.barrel), from_tip_mm: figure(defect.fromTip),
        size_mm: figure(defect.size), status: text(defect.status), cause: text(defect.judged),
        mends: mends.map(({ way, failed }) => `${text(way) ?? ''}${failed ? ' (failed)' : ''}`).join(', then ') || null,
      }
    },
  },
  diameters: {
    key: FACT_KEY,
    from: facts('diameter'),
    told: row => ({
      ...ofPen(row), barrel: text(row.about), from_tip_mm: figure(bodyOf(row).fromTip), diameter_mm: figure(bodyOf(row).mm),
      step: text(bodyOf(row).step),
    }),
  },
  times: {
    key: FACT_KEY,
    from: facts('step'),
    told: row => ({
      ...ofPen(row), work: text(row.about), step: text(bodyOf(row).step), hands_on_s: rounded(bodyOf(row).seconds, 1),
      planned_s: rounded(bodyOf(row).planned, 1), timing: text(bodyOf(row).timing),
    }),
  },
  orders: {
    key: ['orders.number', 'order_lines.place'],
    from: knex => knex('orders').join('order_lines', 'order_lines.order_id', 'orders.id')
      .leftJoin('customers', 'customers.id', 'orders.customer_id').leftJoin('pens', 'pens.id', 'order_lines.pen_id')
      .select(
        'orders.number', 'orders.kind', 'customers.name', knex.raw('to_char(promised, \'YYYY-MM-DD\') as promised'), 'called_off', 'handed',
        'deposit', 'order_lines.place', 'order_lines.body', 'pens.mark', knex.raw(CURRENCY),
      ),
    told(row) {
      const line = bodyOf(row)
      return {
        order: figure(row.number), kind: text(row.kind), customer: text(row.name), promised: day(row.promised),
        state: row.called_off ? 'called off' : row.handed ? 'handed over' : 'open', deposit: amount(row.deposit, row.currency),
        line: figure(row.place), mark: text(row.mark), material: text(line.material), fitting: text(line.fitting),
        finish: text(line.method), refill: text(line.refill), packing: text(line.packing), wish: text(line.wish),
        price: amount(line.price, row.currency), currency: text(row.currency),
      }
    },
  },
  sales: {
    key: FACT_KEY,
    from: knex => facts('leave')(knex).leftJoin('places', knex.raw('places.id::text = facts.about') as never)
      .leftJoin('orders', knex.raw('orders.id::text = facts.body->>\'order\'') as never)
      .select('places.name as place_name', 'orders.number as order_number', knex.raw(CURRENCY)),
    told: row => ({
      ...ofPen(row), how: text(bodyOf(row).how), price: amount(bodyOf(row).price, row.currency), currency: text(row.currency),
      where: text(row.place_name), order: figure(row.order_number),
    }),
  },
  stock: {
    key: ['stock_log.at', 'stock_log.id'],
    from: knex => knex('stock_log').select('at', 'id', 'what', 'how', 'was', 'now', 'pieces', 'each', knex.raw(CURRENCY)),
    told: row => ({
      at_utc: moment(row.at), what: text(row.what), how: text(row.how), was: figure(row.was), now: figure(row.now),
      pieces: figure(row.pieces), each: amount(row.each, row.currency), currency: text(row.currency),
    }),
  },
}

/** The columns of a table, in their order. */
export const columnsOf = (table: TableName): string[] => Object.keys(READINGS[table].told({}))

/** All rows of a table of one workshop, lot by lot, in an order of their own: what is entered meanwhile may be among them. */
export async function* tableRows(within: Within, table: TableName): AsyncGenerator<TableRow[]> {
  const { key, from, told } = READINGS[table]
  let after: Key | undefined
  for (;;) {
    const rows: Record<string, unknown>[] = await within((knex) => {
      const asked = from(knex).orderBy([...key]).limit(LOT)
      return after ? asked.whereRaw(`(${key.map(() => '??').join(', ')}) > (${key.map(() => '?').join(', ')})`, [...key, ...after]) : asked
    })
    if (rows.length) yield rows.map(told)
    const last = rows.at(-1)
    if (!last || rows.length < LOT) return
    after = key.map(column => last[column.split('.')[1] ?? column] as Key[number])
  }
}
