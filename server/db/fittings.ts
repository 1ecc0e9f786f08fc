import { must } from '../../core/sure'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { ShelfFitting } from '../../contract'
import type { Fitting } from '../../core/barrel'
import { setPrice } from '../../core/money'
import type { ShelfFittingInput } from '../../schemas'
import { ConflictError, NotFoundError } from '../faults'
import { noteCount } from './stock-log'
import { leftOf, usedSets, type Used } from './used'

interface Row {
  id: string
  version: number
  body: Omit<Fitting, 'id'>
  sets: number
  bushings: ShelfFitting['bushings']
  gone: boolean
}

const asFitting = ({ id, version, body, sets, bushings }: Row, used: Used): ShelfFitting =>
  ({ fitting: { id, ...body }, version, sets: leftOf(sets, used, id), bushings })
const bodyOf = ({ name, bit, barrels, parts }: ShelfFittingInput) =>
  JSON.stringify({ name, bit, barrels, ...(parts ? { parts } : {}), source: { mark: 'model', note: 'as you measured it' } })

/** By their names, 7 mm before 10 mm. */
export async function listFittings(knex: Knex): Promise<ShelfFitting[]> {
  const rows: Row[] = await knex<Row>('fittings').where({ gone: false })
  const used = await usedSets(knex, rows.map(row => row.id))
  return rows.map(row => asFitting(row, used)).sort((a, b) => a.fitting.name.localeCompare(b.fitting.name, 'en', { numeric: true }))
}

/** What a fitting is, by its id, without what of it is left: also one that was taken off the shelf. */
export async function fittingItself(knex: Knex, id: string): Promise<Fitting | undefined> {
  const row: Row | undefined = await knex<Row>('fittings').where({ id }).first()
  return row && { id: row.id, ...row.body }
}

/** A fitting by its id, also one that was taken off the shelf. */
export async function readFitting(knex: Knex, id: string): Promise<ShelfFitting | undefined> {
  const row: Row | undefined = await knex<Row>('fittings').where({ id }).first()
  return row && asFitting(row, await usedSets(knex, [id]))
}

/** Puts a new fitting on the shelf. */
export async function createFitting(knex: Knex, wanted: ShelfFittingInput): Promise<ShelfFitting> {
  const id = randomUUID()
  await knex('fittings').insert({ id, body: bodyOf(wanted), sets: wanted.sets, bushings: wanted.bushings })
  return must(await readFitting(knex, id), 'it was kept just now')
}

/**
 * Changes a fitting, or puts one back that was taken off. Plans made before keep theirs. @throws ConflictError with the newer one,
 * NotFoundError
 */
export async function changeFitting(knex: Knex, id: string, wanted: ShelfFittingInput): Promise<ShelfFitting> {
  const before = await readFitting(knex, id)
  // What is left stays counted off; another number is a count of its own.
  const counted = before && before.sets !== wanted.sets ? { sets: wanted.sets, counted_at: knex.fn.now() } : {}
  const changed = await knex('fittings')
    .where({ id, version: wanted.version ?? 0 })
    .update({ body: bodyOf(wanted), ...counted, bushings: wanted.bushings, version: (wanted.version ?? 0) + 1, gone: false })
  const now = await readFitting(knex, id)
  if (!now) throw new NotFoundError('There is no such fitting.')
  if (changed && before) await noteCount(knex, setPrice(id), before.sets, now.sets)
  if (!changed) throw new ConflictError('This fitting was changed on another device. Look at it as it is now, then change it again.', now)
  return now
}

/** Takes a fitting off the shelf. It stays for pens that have it, and can be put back. */
export async function dropFitting(knex: Knex, id: string): Promise<void> {
  if (!(await knex('fittings').where({ id }).update({ gone: true }))) throw new NotFoundError('There is no such fitting.')
}
