import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Person } from '../../contract'
import { longEnough, type NewPerson, type PersonChange, type Role } from '../../schemas'
import { guessedSoon, guessesOf } from '../../schemas/guesses'
import { keptSecret } from '../access/secret'
import { ConflictError, FieldsError, NotFoundError } from '../faults'

const CALLED_SO = 'Somebody is called so already: add what tells them apart.'
/** PostgreSQL's code for a row that is there twice. */
const TWICE = '23505'

interface Row {
  id: string
  name: string
  mark: string
  colour: string
  role: Role | null
  keeper: boolean
  has_secret: boolean
  has_second: boolean
  version: number
}
const asPerson = ({ has_secret: hasSecret, has_second: hasSecond, ...rest }: Row): Person => ({ ...rest, hasSecret, hasSecond })

/** Tells every server that who may come in was changed: what is open is looked at once more. */
export const tellDoors = (owner: Knex): Promise<unknown> => owner.raw('select pg_notify(\'oxlip\', \'{"kind":"people"}\')')

/**
 * People of a workshop by their names; those who left it too, with no role, since what they entered stands there. Whoever looks after the
 * installation sees all of it.
 */
export async function listPeople(owner: Knex, workshop: string, all: boolean): Promise<Person[]> {
  const rows: Row[] = await owner('people')
    .leftJoin('members', on => on.on('person_id', 'people.id').andOn('workshop_id', owner.raw('?', [workshop])))
    .where('people.gone', false)
    .modify((query) => { if (!all) void query.whereNotNull('person_id') })
    .orderByRaw('role is null, lower(name), people.id')
    .select('people.id', 'name', 'mark', 'colour', 'role', 'keeper', 'version', owner.raw('secret is not null as has_secret'),
      owner.raw('second is not null as has_second'))
  return rows.map(asPerson)
}

/** The workshops that somebody has a role in. */
export async function rolesOf(owner: Knex, person: string): Promise<Map<string, Role>> {
  const rows: { workshop_id: string, role: Role }[] = await owner('members').where({ person_id: person }).whereNotNull('role')
    .select('workshop_id', 'role')
  return new Map(rows.map(one => [one.workshop_id, one.role]))
}

/** Whether a password will do for an owner. @throws FieldsError when it is guessed too soon for a role */
function refuseGuessed(role: Role, secret: string, names: readonly string[]): boolean {
  const guesses = guessesOf(secret, names)
  const fault = guessedSoon(role, guesses)
  if (fault) throw new FieldsError({ secret: fault })
  return longEnough('owner', secret) === true && !guessedSoon('owner', guesses)
}

/**
 * Somebody new in a workshop; the first owner of an installation looks after it.
 * @throws FieldsError when the name is taken, or the password is guessed too soon
 */
export async function addPerson(owner: Knex, workshop: string, { role, secret, ...wanted }: NewPerson): Promise<string> {
  const id = randomUUID()
  const strong = secret ? refuseGuessed(role, secret, [wanted.name]) : false
  const kept = secret ? await keptSecret(secret) : null
  await named(() => owner.transaction(async (trx) => {
    const keeper = role === 'owner' && !await trx('people').where({ keeper: true, gone: false }).first('id')
    await trx('people').insert({ id, ...wanted, secret: kept, strong, keeper })
    await trx('members').insert({ workshop_id: workshop, person_id: id, role })
  }))
  return id
}

/**
 * Somebody changed, and what they may do here; without a role they belong to this workshop no more.
 * @throws ConflictError, FieldsError when the name is taken or nobody would be left to own the workshop
 */
export async function changePerson(owner: Knex, workshop: string, id: string, { version, role, ...change }: PersonChange): Promise<void> {
  await named(() => owner.transaction(async (trx) => {
    if (role === 'owner') await refuseWeakOwner(trx, id)
    const changed = await trx('people').where({ id, version, gone: false }).update({ ...change, version: version + 1 })
    if (!changed) throw new ConflictError('This was changed on another device. What it says now is shown.', null)
    await trx('members').insert({ workshop_id: workshop, person_id: id, role })
      .onConflict(['workshop_id', 'person_id']).merge(['role'])
    if (role !== 'owner') await refuseOwnerless(trx, workshop)
    await tellDoors(trx)
  }))
}

/** A PIN that does for a pupil does not for who may do everything; one who owns a workshop already has what did. */
async function refuseWeakOwner(trx: Knex, id: string): Promise<void> {
  const weak = await trx('people').where({ id, strong: false }).whereNotNull('secret').first('id')
  if (weak && !(await trx('members').where({ person_id: id, role: 'owner' }).first('person_id')))
    throw new FieldsError({ role: 'An owner’s password has to be longer. Give them a new one first, or take theirs away.' })
}

/** Where the machine itself asks who it is, a workshop that nobody owns could not be changed any more. */
async function refuseOwnerless(trx: Knex, workshop: string): Promise<void> {
  const { locked } = (await trx('installation').first('locked')) as { locked: boolean }
  if (locked && !await trx('members').where({ workshop_id: workshop, role: 'owner' }).first('person_id'))
    throw new FieldsError({ role: 'Somebody has to own this workshop. Make somebody else its owner first.' })
}

/** Whether somebody belongs to a workshop, or did. */
export const isMember = async (owner: Knex, workshop: string, id: string): Promise<boolean> =>
  Boolean(await owner('members').where({ workshop_id: workshop, person_id: id }).first('person_id'))

/** Somebody by their name in lower case, with what their password is checked against. */
export async function findByName(owner: Knex, name: string): Promise<{ id: string, secret: string | null } | undefined> {
  return owner('people').whereRaw('lower(name) = ?', [name]).where({ gone: false }).first('id', 'secret')
}

/** @throws FieldsError when nobody could sign in at the machine that is about to ask */
export async function refuseLockingOut(owner: Knex): Promise<void> {
  const there = await owner('people').join('members', 'person_id', 'people.id').where({ gone: false, role: 'owner', keeper: true })
    .whereNotNull('secret').first('people.id')
  if (!there) throw new FieldsError({ locked: 'Give the owner who looks after the installation a password first.' })
}

/** What a password is checked against. @throws NotFoundError */
export async function secretOf(owner: Knex, id: string): Promise<string | null> {
  const row = (await owner('people').where({ id, gone: false }).first('secret')) as { secret: string | null } | undefined
  if (!row) throw new NotFoundError('There is nobody under this address.')
  return row.secret
}

/**
 * A new password or PIN, or none any more. Whoever is signed in by the old one is out, but for the session that changed it.
 * @throws FieldsError when it is too short for what they may do anywhere, or guessed too soon
 */
export async function setSecret(owner: Knex, id: string, secret: string | null, but: string | null): Promise<void> {
  const highest = [...(await rolesOf(owner, id)).values()].includes('owner') ? 'owner' : 'maker'
  const fault = longEnough(highest, secret)
  if (fault !== true) throw new FieldsError({ secret: fault.message })
  const { name } = (await owner('people').where({ id }).first('name')) as { name: string }
  const strong = secret ? refuseGuessed(highest, secret, [name]) : false
  const kept = secret ? await keptSecret(secret) : null
  await owner.transaction(async (trx) => {
    // Without a password there is nothing that a second step would come after.
    if (!kept) await trx('people').where({ id }).update({ second: null, second_new: null })
    await trx('people').where({ id }).update({ secret: kept, strong, version: trx.raw('version + 1') })
    await trx('sessions').where({ person_id: id, how: 'signed in' }).whereRaw('id is distinct from ?', [but]).delete()
    await tellDoors(trx)
  })
}

async function named<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    const { code, constraint } = error as { code?: string, constraint?: string }
    if (code === TWICE && constraint === 'people_names') throw new FieldsError({ name: CALLED_SO })
    throw error
  }
}
