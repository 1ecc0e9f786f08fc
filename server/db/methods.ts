import { must } from '../../core/sure'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { MethodVersion } from '../../contract'
import type { Method } from '../../core/method'
import { methods as usual } from '../../reference'
import type { MethodInput } from '../../schemas'
import { ConflictError, NotFoundError } from '../faults'

interface Row {
  method_id: string
  version: number
  body: Omit<Method, 'id' | 'version'>
  made_at: Date
}

const asMethod = ({ method_id: id, version, body }: Pick<Row, 'method_id' | 'version' | 'body'>): Method => ({ id, version, ...body })

const latest = (knex: Knex) =>
  knex<Row>('method_versions')
    .join('methods', 'methods.id', 'method_id')
    .distinctOn('method_id')
    .orderBy([{ column: 'method_id' }, { column: 'version', order: 'desc' }])

/** The methods of the workshop as they are now: those it began with in their order, then its own. */
export async function listMethods(knex: Knex): Promise<Method[]> {
  const rows: (Row & { created_at: Date })[] = await knex
    .from(latest(knex).where('gone', false).select('method_versions.*', 'methods.created_at').as('now'))
    .orderBy('created_at')
  const place = ({ id }: Method) => (usual.findIndex(method => method.id === id) + usual.length + 1) % (usual.length + 1)
  return rows.map(asMethod).sort((a, b) => place(a) - place(b))
}

/** A method as it is now, also one that was put away. */
export async function readMethod(knex: Knex, id: string): Promise<Method | undefined> {
  const row: Row | undefined = await latest(knex).where('method_id', id).select('method_versions.*').first()
  return row && asMethod(row)
}

/** Every version of a method, the newest first. @throws NotFoundError */
export async function methodHistory(knex: Knex, id: string): Promise<MethodVersion[]> {
  const rows: Row[] = await knex<Row>('method_versions').where('method_id', id).orderBy('version', 'desc')
  if (!rows.length) throw new NotFoundError('There is no such method.')
  return Promise.all(rows.map(async row => ({
    method: asMethod(row),
    madeAt: row.made_at.toISOString(),
    pens: await latestPens(knex, row),
  })))
}

/** So many of the pens of a version are named. */
const NAMED = 20

/** The pens that are planned by a version of a method, those that were worked on last. */
const latestPens = (knex: Knex, { method_id: method, version }: Row): Promise<MethodVersion['pens']> =>
  knex('pen_rows')
    .join('pens', 'pens.id', 'pen_rows.pen_id')
    .where({ 'pen_rows.method': method, 'method_version': version })
    .orderBy([{ column: 'recent', order: 'desc' }, { column: 'pen_id', order: 'desc' }])
    .limit(NAMED)
    .select('pens.id', 'mark', 'name')

const yours = { mark: 'model' as const, note: 'as you set it' }

/** A copy of a method under a name of its own. @throws NotFoundError */
export async function copyMethod(knex: Knex, of: string, name: string): Promise<Method> {
  return knex.transaction(async (trx) => {
    const from = await readMethod(trx, of)
    if (!from) throw new NotFoundError('There is no such method to copy.')
    const id = randomUUID()
    const { id: _, version: __, ...body } = from
    await trx('methods').insert({ id })
    await keep(trx, id, 1, { ...body, name, source: { mark: 'model', note: `a copy of ${from.name}` } })
    return must(await readMethod(trx, id), 'it was kept just now')
  })
}

/** Makes a new version of a method; plans made before keep theirs. @throws ConflictError with the newer one, NotFoundError */
export async function changeMethod(knex: Knex, id: string, version: number, wanted: MethodInput): Promise<Method> {
  return knex.transaction(async (trx) => {
    await trx('methods').where({ id }).forUpdate().first('id')
    const now = await readMethod(trx, id)
    if (!now) throw new NotFoundError('There is no such method.')
    if (now.version !== version)
      throw new ConflictError('This method was changed on another device. Look at it as it is now, then change it again.', now)
    await keep(trx, id, version + 1, { ...wanted, source: yours })
    await trx('methods').where({ id }).update({ gone: false })
    return must(await readMethod(trx, id), 'it was kept just now')
  })
}

const keep = (knex: Knex, id: string, version: number, body: Omit<Method, 'id' | 'version'>) =>
  knex('method_versions').insert({ method_id: id, version, body: JSON.stringify(body) })

/** Puts a method away, or takes it out again. Pens that have it keep it. @throws NotFoundError */
export async function putAwayMethod(knex: Knex, id: string, gone: boolean): Promise<void> {
  if (!(await knex('methods').where({ id }).update({ gone }))) throw new NotFoundError('There is no such method.')
}
