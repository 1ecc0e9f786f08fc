import { must } from '../../core/sure'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { ShelfBlank } from '../../contract'
import { blankPrice } from '../../core/money'
import type { BlankInput, ReadingInput } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { noteCount } from './stock-log'
import { leftOf, usedBoards, usedSticks } from './used'
import { shareKnown, withKnown } from './woods'

type Row = Omit<ShelfBlank, 'readings' | 'board' | 'cutFrom'> & {
  board: boolean
  cut_from: string | null
  uncut: boolean
  gone: boolean
  created_at: Date
  counted_at: Date
  workshop_id: string
}
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
  const idsOf = (board: boolean) => rows.filter(row => row.board === board).map(row => row.id)
  const used = new Map([...await usedSticks(knex, idsOf(false)), ...await usedBoards(knex, idsOf(true))])
  return rows.map(({ gone: _, created_at: __, workshop_id: ___, counted_at: ____, uncut: _____, board, cut_from, ...row }) => ({
    ...row,
    ...(board ? { board } : {}),
    ...(cut_from ? { cutFrom: cut_from } : {}),
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

/**
 * Puts a new blank on the shelf; what is known of its wood stands at it from others of that wood.
 * @throws FieldsError when its picture is not there, or no such board to cut it from is left
 */
export async function createBlank(knex: Knex, { version: _, cutFrom, ...wanted }: BlankInput): Promise<ShelfBlank> {
  await refuseStrayPhoto(knex, wanted.photo)
  if (cutFrom) await refuseCutBoard(knex, cutFrom)
  const id = randomUUID()
  const known = await withKnown(knex, wanted)
  await knex('blanks').insert({ ...known, id, ...(cutFrom ? { cut_from: cutFrom } : {}) })
  await shareKnown(knex, id, known)
  return must(await readBlank(knex, id), 'it was kept just now')
}

/** Changes a blank, or puts one back that was taken off. @throws ConflictError with the newer one, NotFoundError, FieldsError */
export async function changeBlank(knex: Knex, id: string, { version = 0, ...wanted }: BlankInput): Promise<ShelfBlank> {
  await refuseStrayPhoto(knex, wanted.photo)
  // A board stays one, and sticks stay cut from theirs.
  const { count, board: _, cutFrom: __, ...rest } = wanted
  const before = await readBlank(knex, id)
  // What is left stays counted off; another number is a count of its own.
  const counted = before && before.count !== count ? { count, counted_at: knex.fn.now() } : {}
  const changed = await knex('blanks')
    .where({ id, version })
    .update({ ...rest, ...counted, version: version + 1, gone: false, uncut: false })
  const now = await readBlank(knex, id)
  if (!now) throw new NotFoundError('There is no such blank.')
  if (!changed) throw new ConflictError('This blank was changed on another device. Look at it as it is now, then change it again.', now)
  if (before) await noteCount(knex, blankPrice(id), before.count, now.count)
  await shareKnown(knex, id, now)
  return now
}

/** Takes a blank off the shelf. It stays for pens that have it, and can be put back. */
export async function dropBlank(knex: Knex, id: string): Promise<void> {
  if (!(await knex('blanks').where({ id }).update({ gone: true }))) throw new NotFoundError('There is no such blank.')
}

/**
 * Says that a board was not cut after all: its sticks are off the shelf and it is there again. @throws NotFoundError, ConflictError when
 * pens have sticks of it
 */
export async function uncutBlank(knex: Knex, id: string): Promise<void> {
  const blank = await readBlank(knex, id)
  if (!blank?.cutFrom) throw new NotFoundError('There are no such sticks that were cut from a board.')
  // One that was given up before it was cut holds no stick.
  const pens: { mark: string }[] = await knex('pens').join('pen_rows', 'pen_rows.pen_id', 'pens.id').where({ blank: id })
    .whereRaw(`(pen_rows.stage <> 'given up' or exists (
      select from facts where facts.pen_id = pens.id and facts.kind = 'step' and facts.about = 'cut'))`)
    .orderBy('pens.mark').limit(4).select('pens.mark')
  if (pens.length)
    throw new ConflictError(
      `Pens have sticks of this board (${pens.map(pen => pen.mark).join(', ')}): choose another blank for them first.`, blank,
    )
  await knex('blanks').where({ id }).update({ gone: true, uncut: true })
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

async function refuseCutBoard(knex: Knex, id: string): Promise<void> {
  // Two who cut the last one at the same time do so one after the other.
  await knex('blanks').where({ id }).forUpdate().select('id')
  const board = await readBlank(knex, id)
  if (!board?.board) throw new FieldsError({ cutFrom: 'There is no such board on the shelf: choose another.' })
  if (!board.count) throw new FieldsError({ cutFrom: `No more of it is left (${board.name}): count the boards again, or choose another.` })
}

async function refuseStrayPhoto(knex: Knex, photo: string | null): Promise<void> {
  if (photo && !(await knex('photos').where({ id: photo }).first('id')))
    throw new FieldsError({ photo: 'This picture is not here: choose it again.' })
}
