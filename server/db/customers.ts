import type { Knex } from 'knex'
import type { Customer } from '../../contract'
import type { CustomerChange, CustomerQuery, NewCustomer } from '../../schemas'
import { ConflictError, NotFoundError } from '../faults'

/** So many are shown at once; the rest is found by their names. */
const SHOWN = 50
const COLUMNS = ['id', 'name', 'reach', 'remark', 'version'] as const

/** Customers by their names: those whose name has this in it, or the first of all. */
export async function listCustomers(knex: Knex, { text }: CustomerQuery): Promise<Customer[]> {
  const query = knex('customers').orderByRaw('lower(name), id').limit(SHOWN).select(...COLUMNS)
  if (text?.trim()) void query.whereRaw('strpos(lower(name), ?) > 0', [text.trim().toLowerCase()])
  return query
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
