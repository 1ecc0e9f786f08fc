import type { Knex } from 'knex'
import type { ShelfBit } from '../../contract'
import type { BitChange } from '../../schemas'

/** The bits of the shelf, the smallest first. */
export const listBits = async (knex: Knex): Promise<ShelfBit[]> => knex<ShelfBit>('bits').orderBy('diameter').select('diameter', 'count')

/** Says how many bits of a diameter there are, or forgets the diameter; saying so twice changes nothing. */
export async function changeBit(knex: Knex, { diameter, count, there }: BitChange): Promise<ShelfBit[]> {
  if (there) await knex('bits').insert({ diameter, count }).onConflict(['workshop_id', 'diameter']).merge()
  else await knex('bits').where({ diameter }).delete()
  return listBits(knex)
}
