import { onDatabase } from '../../tests/database/suite'
import { ConflictError, FieldsError } from '../faults'
import { answered, knock, knocksInVain, waitAfter, waitOf } from './knocks'
import { addPerson, changePerson, listPeople, refuseLockingOut, rolesOf, setSecret } from './people'
import { isOpen, listDevices, newPairing, openSession, seeSession, sessionOf, usePairing } from './sessions'
import { newWorkshop } from './workshops'

const database = onDatabase()
const owner = () => database.owner()
const workshop = () => database.workshop()
const add = (name: string, role: 'owner' | 'maker' | 'pupil' | 'looker' = 'maker', secret: string | null = null) =>
  addPerson(owner(), workshop(), { name, mark: 'X', colour: '#3d6f8e', role, secret })

it('the first owner looks after the installation; a name is had once, whatever its case', async () => {
  await add('Ash', 'maker')
  await add('Birch', 'owner')
  await add('Cherry', 'owner')
  expect((await listPeople(owner(), workshop(), false)).map(one => [one.name, one.keeper])).toEqual([
    ['Ash', false], ['Birch', true], ['Cherry', false],
  ])
  await expect(add('bIRCH')).rejects.toMatchObject({ fields: { name: expect.stringMatching(/called so/) } })
})
it('whoever leaves a workshop stands there without a role, and is no part of another', async () => {
  const id = await add('Ash')
  const club = await newWorkshop(owner(), 'Club', null)
  const change = { name: 'Ash', mark: 'A', colour: '#3d6f8e', version: 1 }
  await changePerson(owner(), club.id, id, { ...change, role: 'pupil' })
  await changePerson(owner(), workshop(), id, { ...change, version: 2, role: null })
  expect(Object.fromEntries(await rolesOf(owner(), id))).toEqual({ [club.id]: 'pupil' })
  expect((await listPeople(owner(), workshop(), false)).map(one => one.role)).toEqual([null])
  await expect(changePerson(owner(), club.id, id, { ...change, role: 'owner' })).rejects.toThrow(ConflictError)
})
it('a machine that asks who it is needs an owner who can answer, and a workshop its owner', async () => {
  const id = await add('Ash', 'owner')
  await expect(refuseLockingOut(owner())).rejects.toThrow(FieldsError)
  await setSecret(owner(), id, 'plum, pear and walnut', null)
  await refuseLockingOut(owner())
  await owner()('installation').update({ locked: true })
  const change = { name: 'Ash', mark: 'A', colour: '#3d6f8e', version: 2 }
  const demoted = changePerson(owner(), workshop(), id, { ...change, role: 'maker' })
  await expect(demoted).rejects.toMatchObject({ fields: { role: expect.anything() } })
  expect((await rolesOf(owner(), id)).get(workshop())).toBe('owner')
})
it('a session lasts its days and no longer; one of a device that was let in goes on while it is used', async () => {
  const id = await add('Ash')
  const [paired, signed] = [await openSession(owner(), id, 'tablet', 'paired'), await openSession(owner(), id, 'laptop', 'signed in')]
  const age = (days: number) => owner()('sessions').update({
    ends_at: owner().raw('ends_at - make_interval(days => ?)', [days]), seen_at: owner().raw('seen_at - make_interval(days => ?)', [days]),
  })
  await age(29)
  const seen = (await sessionOf(owner(), paired.token))!
  expect(seen).toMatchObject({ how: 'paired', stale: true, person: { name: 'Ash' } })
  expect(await seeSession(owner(), seen)).toBe(400)
  await seeSession(owner(), (await sessionOf(owner(), signed.token))!)
  expect((await sessionOf(owner(), paired.token))!.stale).toBe(false)
  await age(2)
  expect(await sessionOf(owner(), signed.token)).toBeUndefined()
  expect((await listDevices(owner(), workshop(), seen.id)).map(one => [one.name, one.isThis])).toEqual([['tablet', true]])
  await age(399)
  expect(await sessionOf(owner(), paired.token)).toBeUndefined()
  expect(await isOpen(owner(), seen.id)).toBe(false)
})
it('a code is good once, for five minutes, and until the next of the same person', async () => {
  const id = await add('Ash')
  const first = await newPairing(owner(), id)
  const second = await newPairing(owner(), id)
  expect(Date.parse(second.ends) - Date.now()).toBeLessThanOrEqual(300_000)
  expect(await usePairing(owner(), first.code)).toBeUndefined()
  const uses = await Promise.all([1, 2, 3].map(() => usePairing(owner(), second.code)))
  expect(uses.filter(Boolean)).toEqual([id])
  const { code } = await newPairing(owner(), id)
  await owner()('pairings').update({ ends_at: owner().raw('now() - interval \'1 second\'') })
  expect(await usePairing(owner(), code)).toBeUndefined()
  expect(JSON.stringify(await owner()('pairings'))).not.toContain(code.replace('-', ''))
})
it('tries in vain double the wait up to a quarter of an hour, and are forgotten after it', () => {
  expect([0, 4, 5, 6, 10, 15, 40].map(tries => waitAfter(tries, 0))).toEqual([0, 0, 1, 2, 32, 900, 900])
  expect(waitAfter(10, 30)).toBe(2)
  expect(waitAfter(10, 33)).toBe(0)
})
it('many tries at once gain nothing; a good one frees its own name from there, and no other', async () => {
  const from = (address: string, about = 'code') => ({ address, about })
  const tries = await Promise.all(Array.from({ length: 20 }, () => knock(owner(), from('10.0.0.7'))))
  expect(tries.filter(one => 'id' in one).length).toBe(5)
  expect(await waitOf(owner(), from('10.0.0.7'))).toBe(1)
  expect(await waitOf(owner(), from('10.0.0.8'))).toBe(0)
  const good = tries.find(one => 'id' in one) as { id: string }
  await answered(owner(), good.id, from('10.0.0.7'))
  expect(await waitOf(owner(), from('10.0.0.7'))).toBe(0)
  // Who can come in themselves gains nothing for guessing at another.
  for (let times = 0; times < 5; times++) await knock(owner(), from('10.0.0.9', 'ash'))
  const own = await owner()('knocks').insert(from('10.0.0.9', 'birch')).returning('id') as { id: string }[]
  await answered(owner(), own[0]!.id, from('10.0.0.9', 'birch'))
  expect(await waitOf(owner(), from('10.0.0.9', 'birch'))).toBeGreaterThan(0)
  for (let at = 0; at < 12; at++) await owner()('knocks').insert(from(`10.0.1.${at}`, 'ash'))
  expect(await waitOf(owner(), from('10.0.2.1', 'ash'))).toBeGreaterThan(0)
  expect(await waitOf(owner(), from('10.0.2.1', 'birch'))).toBe(0)
  expect(await knocksInVain(owner())).toHaveLength(13)
})
it('nobody who is behind the wall of a workshop can ask who may come in, change it, or step out of the wall', async () => {
  await add('Ash', 'owner', 'plum, pear and walnut')
  const walled = database.knex()
  for (const table of ['people', 'members', 'sessions', 'pairings', 'knocks', 'installation']) {
    await expect(walled(table).select('*')).rejects.toThrow(/permission denied/)
    await expect(walled(table).delete()).rejects.toThrow(/permission denied/)
  }
  await expect(walled.raw('update workshops set name = \'x\'')).rejects.toThrow(/permission denied/)
  await expect(walled.raw('alter table pens disable row level security')).rejects.toThrow(/must be owner/)
  await expect(walled.raw('create function f() returns int language sql security definer as \'select 1\'')).rejects.toThrow(/permission denied/)
})
