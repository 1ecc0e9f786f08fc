import type { Knex } from 'knex'
import { customersShown, type Customer } from '../../contract'
import type { CustomerChange, CustomerQuery, NewCustomer } from '../../schemas'
import { ConflictError, NotFoundError } from '../faults'

/** So long is an id. */
const ID = 36
const COLUMNS = ['id', 'name', 'reach', 'remark', 'version'] as const

/**
 * Customers by their names, page by page: those whose name has this in it, or all. Who is meant besides comes after them.
 */
export async function listCustomers(
  knex: Knex, { text, also, after, limit = customersShown }: CustomerQuery,
): Promise<Customer[]> {
  const query = knex('customers').orderByRaw('lower(name), id').limit(limit).select(...COLUMNS)
  if (after) void query.whereRaw('(lower(name), id) > (lower(?), ?::uuid)', [after.slice(ID + 1), after.slice(0, ID)])
  if (text?.trim()) void query.whereRaw('strpos(lower(name), ?) > 0', [text.trim().toLowerCase()])
  const found: Customer[] = await query
  if (!also || found.some(one => one.id === also)) return found
  return [...found, ...(await knex('customers').where({ id: also }).select(...COLUMNS))]
}

/** A new customer; the same id again changes nothing. */
export async function addCustomer(knex: Knex, wanted: NewCustomer): Promise<Customer> {
  await knex('customers').insert(wanted).onConflict(['workshop_id', 'id']).ignore()
  return readCustomer(knex, wanted.id)
}

async function readCustomer(knex: Knex, id: string): Promise<Customer> {
  const row: Customer | undefined = await knex('customers').where({ id }).first(...COLUMNS)
  if (!row) throw new NotFoundError('There is no such customer. They may have been forgotten on another device.')
  return row
}

/** Changes a customer. @throws ConflictError with the newer one, NotFoundError */
export async function changeCustomer(knex: Knex, id: string, { version, ...wanted }: CustomerChange): Promise<Customer> {
  const changed = await knex('customers').where({ id, version }).update({ ...wanted, version: version + 1 })
  const now = await readCustomer(knex, id)
  if (!changed) throw new ConflictError('This customer was changed on another device. Look again, then say what still holds.', now)
  return now
}

/** Forgets a customer: name, ways to reach them and what was noted are gone; their orders and pens stay. Twice changes nothing. */
export async function forgetCustomer(knex: Knex, id: string): Promise<void> {
  await knex('customers').where({ id }).delete()
}
