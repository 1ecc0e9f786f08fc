import type { Knex } from 'knex'
import type { LearntOf } from '../../contract'
import type { AsideChange } from '../../schemas'
import { listAside } from './aside'
import { DEFAULTS, readAllLearnt } from './learnt'

/** All that was learnt, and what of it is set aside. */
export const readLearntOf = async (knex: Knex): Promise<LearntOf> =>
  ({ learnt: await readAllLearnt(knex), aside: await listAside(knex), builds: DEFAULTS })

/** Sets something aside, or takes it in again; saying so twice changes nothing. */
export async function changeAside(knex: Knex, { what, aside }: AsideChange): Promise<LearntOf> {
  if (aside) await knex('learnt_aside').insert({ what }).onConflict(['workshop_id', 'what']).ignore()
  else await knex('learnt_aside').where({ what }).delete()
  return readLearntOf(knex)
}
