import type { Knex } from 'knex'
import { closed, newSecond, reopened, stepOf } from '../access/second'

/** A second step as it is kept, closed with the seal of the installation. */
interface Kept {
  second: string | null
  second_new: string | null
  second_used: string
}

const keptOf = async (owner: Knex, id: string): Promise<Kept | undefined> =>
  owner('people').where({ id, gone: false }).first('second', 'second_new', 'second_used')

/** Begins to set a second step up: answers its secret. It is asked for once its first figures came. */
export async function beginSecond(owner: Knex, id: string, seal: string): Promise<string> {
  const secret = newSecond()
  await owner('people').where({ id }).update({ second_new: closed(secret, seal) })
  return secret
}

/** Sets it up by its first figures; answers whether they were right. */
export async function confirmSecond(owner: Knex, id: string, figures: string, seal: string): Promise<boolean> {
  const kept = await keptOf(owner, id)
  const step = kept?.second_new ? stepOf(figures, reopened(kept.second_new, seal), Date.now(), 0) : undefined
  if (!kept || step === undefined) return false
  const version = owner.raw('version + 1')
  return (await owner('people').where({ id, second_new: kept.second_new })
    .update({ second: kept.second_new, second_new: null, second_used: step, version })) > 0
}

/** Takes it away. */
export const dropSecond = (owner: Knex, id: string): Promise<unknown> =>
  owner('people').where({ id }).update({ second: null, second_new: null, version: owner.raw('version + 1') })

/**
 * Whether somebody gets past their second step by figures: `none` where they have none, `missing` where none were given. Figures are good
 * once, on however many servers they come in at once.
 */
export async function pastSecond(
  owner: Knex, id: string, figures: string | undefined, seal: string,
): Promise<'none' | 'missing' | 'right' | 'wrong'> {
  const kept = await keptOf(owner, id)
  if (!kept?.second) return 'none'
  if (!figures) return 'missing'
  const step = stepOf(figures, reopened(kept.second, seal), Date.now(), Number(kept.second_used))
  if (step === undefined) return 'wrong'
  const used = await owner('people').where({ id }).where('second_used', '<', step).update({ second_used: step })
  return used ? 'right' : 'wrong'
}
