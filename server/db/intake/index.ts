import type { Knex } from 'knex'
import type { Intake } from '../../../contract'
import { intakeKind, judgeSheet, MOST_ROWS, readSheet, SheetError, type NewIntake, type RowFault } from '../../../schemas/intake'
import { FieldsError, NotFoundError } from '../../faults'
import { KEEPERS, type Thing } from './keep'
import { intakeKnown } from './known'
import { UNDOERS } from './undo'

/** So many are told of. */
const SHOWN = 20
/** So many faults are told at once. */
const MOST_FAULTS = 50
/** So many things are kept by one statement. */
const LOT = 1000

interface Row extends Omit<Intake, 'at' | 'undone'> {
  at: Date
  undone: Date | null
}

/** The sheets that were taken in last, the latest first. */
export async function listIntakes(knex: Knex): Promise<Intake[]> {
  const rows: Row[] = await knex('intakes').orderBy([{ column: 'at', order: 'desc' }, 'id']).limit(SHOWN)
    .select('id', 'name', 'at', 'rows', 'undone', 'kept')
  return rows.map(row => ({ ...row, at: row.at.toISOString(), undone: row.undone?.toISOString() ?? null }))
}

/**
 * Takes a sheet in: all rows but those that are left out, or none. Taken in before, nothing is done. Answers the pens among what came in
 * whose rows in lists are still to be worked out. @throws FieldsError naming the row and the field
 */
export async function takeInSheet(trx: Knex, { id, name, text, mapping, without }: NewIntake): Promise<string[]> {
  if (await trx('intakes').where({ id }).first('id')) return []
  const kind = intakeKind(name)
  const left = new Set(without)
  const rows = judgeSheet(kind, sheetOf(text), mapping, await intakeKnown(trx)).filter(row => !left.has(row.number))
  const most = kind.most ?? MOST_ROWS
  if (rows.length > most) throw new FieldsError({ text: `So many are taken in at once at most: ${most}. Take it in in parts.` })
  if (!rows.length) throw new FieldsError({ text: 'No row is left to be taken in.' })
  const wrong = rows.filter(row => row.faults.length).slice(0, MOST_FAULTS)
  const said = wrong.flatMap(({ number, faults }) => faults.map(fault => fieldOf(number, fault)))
  if (said.length) throw new FieldsError(Object.fromEntries(said))
  // Of two that send the same at once the later one waits here, and finds it done.
  const fresh = await trx('intakes').insert({ id, name, rows: rows.length }).onConflict(['workshop_id', 'id']).ignore().returning('id')
  if (!fresh.length) return []
  const things = await KEEPERS[name](trx, rows)
  const kept = things.map(({ ref, body }, place) => ({ intake_id: id, place, ref, body: JSON.stringify(body) }))
  for (let from = 0; from < kept.length; from += LOT) await trx('intake_things').insert(kept.slice(from, from + LOT))
  return name === 'past' ? things.map(one => one.ref) : []
}

const fieldOf = (row: number, { field, says }: RowFault): [string, string] => [`rows[${row}].${field}`, says]

function sheetOf(text: string): ReturnType<typeof readSheet> {
  try {
    return readSheet(text)
  } catch (error) {
    throw error instanceof SheetError ? new FieldsError({ text: error.message }) : error
  }
}

/**
 * Undoes what was taken in with a sheet: things that something was done with since stay. Undone before, nothing is done.
 * @throws NotFoundError
 */
export async function undoIntake(trx: Knex, id: string): Promise<void> {
  const intake: Row | undefined = await trx('intakes').where({ id }).forUpdate().first()
  if (!intake) throw new NotFoundError('There is no such sheet that was taken in.')
  if (intake.undone) return
  const things: Thing[] = await trx('intake_things').where({ intake_id: id }).orderBy('place').select('ref', 'body')
  const kept = await UNDOERS[intake.name](trx, things)
  await trx('intakes').where({ id }).update({ undone: trx.fn.now(), kept })
}

/** Pens of a sheet whose rows in lists are worked out now are told to the screens. */
export const tellPens = (trx: Knex, ids: readonly string[]): Promise<number> =>
  trx('pens').whereIn('id', ids).update({ version: trx.ref('version') })

export { intakeKnown }
