import { must } from '../../core/sure'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { ShelfBlank } from '../../contract'
import type { BlankInput, ReadingInput } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { leftOf, usedSticks } from './used'

type Row = Omit<ShelfBlank, 'readings'> & { gone: boolean, created_at: Date, counted_at: Date, workshop_id: string }
interface ReadingRow {
  id: string
  blank_id: string
  at: Date
  grams: number | null
  percent: number | null
}

const asReading = ({ id, at, grams, percent }: ReadingRow): ShelfBlank['readings'][number] => ({
  id,
  at: at.toISOString(),
  ...(grams !== null ? { grams } : { percent: percent ?? 0 }),
})

async function withReadings(knex: Knex, rows: Row[]): Promise<ShelfBlank[]> {
  const readings: ReadingRow[] = await knex<ReadingRow>('readings')
    .whereIn(
      'blank_id',
      rows.map(row => row.id),
    )
    .orderBy('at')
  const used = await usedSticks(knex, rows.map(row => row.id))
  return rows.map(({ gone: _, created_at: __, workshop_id: ___, counted_at: ____, ...row }) => ({
    ...row,
    count: leftOf(row.count, used, row.id),
    readings: readings.filter(one => one.blank_id === row.id).map(asReading),
  }))
}

export async function listBlanks(knex: Knex): Promise<ShelfBlank[]> {
  return withReadings(knex, await knex<Row>('blanks').where({ gone: false }).orderBy('created_at').orderBy('id'))
}

/** A blank by its id, also one that was taken off the shelf. */
export async function readBlank(knex: Knex, id: string): Promise<ShelfBlank | undefined> {
  const rows = await withReadings(knex, await knex<Row>('blanks').where({ id }))
  return rows[0]
}

/** Puts a new blank on the shelf. @throws FieldsError when its picture is not there */
export async function createBlank(knex: Knex, { version: _, ...wanted }: BlankInput): Promise<ShelfBlank> {
  await refuseStrayPhoto(knex, wanted.photo)
  const id = randomUUID()
  await knex('blanks').insert({ ...wanted, id })
  return must(await readBlank(knex, id), 'it was kept just now')
}

/** Changes a blank, or puts one back that was taken off. @throws ConflictError with the newer one, NotFoundError, FieldsError */
export async function changeBlank(knex: Knex, id: string, { version = 0, ...wanted }: BlankInput): Promise<ShelfBlank> {
  await refuseStrayPhoto(knex, wanted.photo)
  const { count, ...rest } = wanted
  const before = await readBlank(knex, id)
  // What is left stays counted off; another number is a count of its own.
  const counted = before && before.count !== count ? { count, counted_at: knex.fn.now() } : {}
  const changed = await knex('blanks')
    .where({ id, version })
    .update({ ...rest, ...counted, version: version + 1, gone: false })
  const now = await readBlank(knex, id)
  if (!now) throw new NotFoundError('There is no such blank.')
  if (!changed) throw new ConflictError('This blank was changed on another device. Look at it as it is now, then change it again.', now)
  return now
}

/** Takes a blank off the shelf. It stays for pens that have it, and can be put back. */
export async function dropBlank(knex: Knex, id: string): Promise<void> {
  if (!(await knex('blanks').where({ id }).update({ gone: true }))) throw new NotFoundError('There is no such blank.')
}

/** Keeps a weighing or a meter reading; sending it twice changes nothing. @throws NotFoundError */
export async function addReading(knex: Knex, blankId: string, reading: ReadingInput): Promise<ShelfBlank> {
  if (!(await knex('blanks').where({ id: blankId }).first('id'))) throw new NotFoundError('There is no such blank.')
  const { id, at, grams = null, percent = null } = reading
  await knex('readings').insert({ id, blank_id: blankId, at, grams, percent }).onConflict(['workshop_id', 'id']).ignore()
  return must(await readBlank(knex, blankId), 'it was looked for above')
}

/** Takes a reading back; saying so twice changes nothing. */
export async function dropReading(knex: Knex, blankId: string, id: string): Promise<ShelfBlank> {
  await knex('readings').where({ id, blank_id: blankId }).delete()
  const blank = await readBlank(knex, blankId)
  if (!blank) throw new NotFoundError('There is no such blank.')
  return blank
}

async function refuseStrayPhoto(knex: Knex, photo: string | null): Promise<void> {
  if (photo && !(await knex('photos').where({ id: photo }).first('id')))
    throw new FieldsError({ photo: 'This picture is not here: choose it again.' })
}
