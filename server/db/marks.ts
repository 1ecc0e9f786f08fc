import type { Knex } from 'knex'
import type { MarkQuery } from '../../schemas'
import { FieldsError } from '../faults'

/** Numbers of a letter: after the last of them the first come again. */
const MOST = 999

/** Where a mark comes from: its letter and its number. */
const partsOf = (mark: string): { letter: string, number: number } => ({ letter: mark.charAt(0), number: Number(mark.slice(1)) })

/** Pens that carry a mark and are still in the making. */
const carrying = (knex: Knex, mark: string) =>
  knex('pen_rows').where(partsOf(mark)).whereRaw('stage is distinct from \'finished\'')

/** The first marks from this one on that no pen in the making carries, fewer when the letter has no more. */
async function freeFrom(knex: Knex, mark: string, count: number): Promise<string[]> {
  const { letter, number } = partsOf(mark)
  const found: { rows: { number: number }[] } = await knex.raw(
    `select number from (select (? + step) % ? + 1 as number, step from generate_series(0, ? - 1) as step) as numbers
     where not exists (
       select 1 from pen_rows where letter = ? and pen_rows.number = numbers.number and stage is distinct from 'finished')
     order by step limit ?`,
    [number - 1, MOST, MOST, letter, count],
  )
  return found.rows.map(row => `${letter}${row.number}`)
}

/** The first one after this; empty when a letter has none left. */
const freeAfter = async (knex: Knex, mark: string): Promise<string> => (await freeFrom(knex, after(mark), 1))[0] ?? ''

const after = (mark: string): string => {
  const { letter, number } = partsOf(mark)
  return `${letter}${(number % MOST) + 1}`
}

/** Marks to go on with: so many from one on, or after that of the pen started last. */
export async function freeMarks(knex: Knex, { from, count = 1 }: MarkQuery = {}): Promise<string[]> {
  if (from) return freeFrom(knex, from, count)
  const last: { mark: string } | undefined = await knex('pens').orderBy([{ column: 'created_at', order: 'desc' }, 'id']).first('mark')
  return freeFrom(knex, last ? after(last.mark) : 'A1', count)
}

/**
 * Takes a mark for a pen, up to the end of the transaction: two who want one at the same moment wait for one another. A pen that is
 * finished has left its mark: it is told apart by its day. @throws FieldsError when another pen in the making has it, with a free one
 */
export async function takeMark(trx: Knex, mark: string, penId?: string): Promise<void> {
  await trx.raw('select pg_advisory_xact_lock(hashtext(\'mark\' || current_workshop()), hashtext(?))', [mark])
  const taken: { name: string } | undefined = await carrying(trx, mark)
    .join('pens', 'pens.id', 'pen_rows.pen_id')
    .whereNot('pens.id', penId ?? NOBODY)
    .first('name')
  if (!taken) return
  const free = await freeAfter(trx, mark)
  throw new FieldsError({ mark: `${mark} is on “${taken.name}” already. ${free ? `${free} is free.` : 'Take another letter.'}` })
}

const NOBODY = '00000000-0000-0000-0000-000000000000'
