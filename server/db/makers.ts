import type { Knex } from 'knex'
import { NotForYouError } from '../faults'

/** Those of some pens that are somebody else’s. */
export async function othersPens(trx: Knex, pens: readonly string[], own: string): Promise<Set<string>> {
  const ids: string[] = await trx('pens').whereIn('id', pens).whereRaw('maker is distinct from ?', [own]).pluck('id')
  return new Set(ids)
}

/** @throws NotForYouError when one of some pens is somebody else’s */
export async function refuseOthers(trx: Knex, pens: readonly string[], own: string): Promise<void> {
  const others = await othersPens(trx, pens, own)
  if (others.size) throw new NotForYouError('This pen is somebody else’s. An owner of the workshop can change it.')
}
