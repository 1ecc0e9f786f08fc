import type { Knex } from 'knex'
import { NotForYouError } from '../faults'

/** @throws NotForYouError when one of some pens is somebody else’s */
export async function refuseOthers(trx: Knex, pens: readonly string[], own: string): Promise<void> {
  const other = await trx('pens').whereIn('id', pens).whereRaw('maker is distinct from ?', [own]).first('id')
  if (other) throw new NotForYouError('This pen is somebody else’s. An owner of the workshop can change it.')
}
