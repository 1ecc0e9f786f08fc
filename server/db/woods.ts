import type { Knex } from 'knex'
import type { BlankInput } from '../../schemas'

/** What a turner knows of a wood that is in no table. */
const KNOWN = ['hardness', 'density', 'caution', 'source'] as const
type Known = Pick<BlankInput, (typeof KNOWN)[number]>
/** A blank by what it is made of, with what was said of that. */
type Kind = Pick<BlankInput, 'material' | 'species'> & Known

/** Blanks of one wood of one's own, however its name is written; none of a known material, or of what nobody can name. */
const kin = (knex: Knex, { material, species }: Kind): Knex.QueryBuilder | undefined =>
  (material || !species ? undefined : knex('blanks').whereNull('material').whereRaw('lower(species) = lower(?)', [species]))

const saysOf = (known: Known): boolean => KNOWN.some(one => known[one] !== null && known[one] !== undefined)

/** The same blank with what stands at others of its wood, where nothing is said of it anew. */
export async function withKnown<T extends Kind>(knex: Knex, blank: T): Promise<T> {
  if (saysOf(blank)) return blank
  const others: Known[] = await kin(knex, blank)?.orderBy([{ column: 'created_at', order: 'desc' }, 'id']).select(...KNOWN) ?? []
  return { ...blank, ...others.find(saysOf) }
}

/** What is said of a wood of one's own at one blank holds for all of them: it is said once. */
export async function shareKnown(knex: Knex, id: string, blank: Kind): Promise<void> {
  const values = KNOWN.map(one => blank[one] ?? null)
  await kin(knex, blank)?.whereNot({ id })
    .whereRaw(`(${KNOWN.join(', ')}) is distinct from (?::float8, ?::float8, ?::text, ?::text)`, values)
    .update({ ...Object.fromEntries(KNOWN.map((one, index) => [one, values[index]])), version: knex.raw('version + 1') })
}
