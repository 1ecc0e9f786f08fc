import type { Knex } from 'knex'

/** Who knocked: from where, and for whom or by what. */
export interface Knock {
  /** The address it came from. */
  address: string
  /** The name in lower case, or `code`. */
  about: string
}

/** So many tries in vain are free; after that each doubles the wait, s, up to the longest; tries older than that count no more. */
const [FREE, LONGEST] = [5, 900]
/** A name may be tried oftener than an address: many may know it. */
const FREE_NAME = 10
/** So long a try in vain is told to the owners, days. */
const TOLD = 7

/** Seconds to wait after so many tries in vain, the last of them so long ago. */
export const waitAfter = (tries: number, since: number, free = FREE): number =>
  (tries < free ? 0 : Math.max(0, Math.ceil(Math.min(LONGEST, 2 ** (tries - free)) - since)))

/** Seconds until whoever knocks is heard: by where they are, and by whom they say they are. */
export async function waitOf(owner: Knex, { address, about }: Knock): Promise<number> {
  const asked = (where: Record<string, string>) => owner('knocks').where(where).where({ answered: false })
    .whereRaw('at > now() - make_interval(secs => ?)', [LONGEST])
    .first(owner.raw('count(*)::int as tries, coalesce(extract(epoch from now() - max(at)), 0)::float8 as since'))
  const [here, name] = (await Promise.all([asked({ address }), asked({ about })])) as unknown as { tries: number, since: number }[]
  const wait = (one: { tries: number, since: number } | undefined, free: number) => (one ? waitAfter(one.tries, one.since, free) : 0)
  return Math.max(wait(here, FREE), about === 'code' ? 0 : wait(name, FREE_NAME))
}

/**
 * Lets somebody try: answers the seconds to wait instead where they tried too often, else a number to say `answered` of. Each try counts
 * as one in vain before it is looked at, so that many at once gain nothing.
 */
export async function knock(owner: Knex, one: Knock): Promise<{ wait: number } | { id: string }> {
  return owner.transaction(async (trx) => {
    await trx.raw('select pg_advisory_xact_lock(7265304, hashtext(?))', [one.address])
    const wait = await waitOf(trx, one)
    if (wait > 0) return { wait }
    await trx('knocks').whereRaw('at < now() - make_interval(days => ?)', [TOLD]).delete()
    const [row] = (await trx('knocks').insert(one).returning('id')) as { id: string }[]
    return { id: row?.id ?? '' }
  })
}

/**
 * The try was a good one: it and those before it of the same name from there hold nobody up. What was tried under other names stays: else
 * somebody who can come in could guess at another's password between.
 */
export async function answered(owner: Knex, id: string, { address, about }: Knock): Promise<void> {
  await owner('knocks').where({ id }).orWhere({ address, about, answered: false }).update({ answered: true })
}

/** Tries in vain of the last week, by where they came from, the latest first. */
export async function knocksInVain(owner: Knex): Promise<{ address: string, times: number, last: string }[]> {
  const rows = (await owner('knocks').where({ answered: false }).groupBy('address').orderByRaw('max(at) desc').limit(20)
    .select('address', owner.raw('count(*)::int as times, max(at) as last'))) as unknown as { address: string, times: number, last: Date }[]
  return rows.map(({ last, ...one }) => ({ ...one, last: last.toISOString() }))
}
