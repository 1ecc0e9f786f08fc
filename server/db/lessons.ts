import type { Knex } from 'knex'

/** What was learnt of one kind about one thing, and of how many changes of its facts. */
export interface Lesson {
  /** The kind of its facts. */
  kind: string
  /** What they are about. */
  about: string
  /** How often its facts were changed. */
  facts: string
  /** At which of these counts it was learnt. */
  learnt_at: string | null
  /** What was learnt; null: nothing yet. */
  body: unknown
}

/** What was learnt while as many facts were known as now. */
export const isFresh = ({ learnt_at: at, facts, body }: Lesson): boolean => at === facts && body !== null

/**
 * Keeps what was learnt for the next who asks. Nobody waits for it: where somebody who appends has the lesson just now it stays old and
 * is learnt again. Only for requests that read and write nothing else: they hold no lock that another could want.
 */
export async function keepLesson(trx: Knex, { kind, about, facts }: Lesson, body: unknown): Promise<void> {
  await trx('lessons').insert({ kind, about, facts }).onConflict(['workshop_id', 'kind', 'about']).ignore()
  const free = trx('lessons').where({ kind, about }).forUpdate().skipLocked().select('about')
  await trx('lessons').where({ kind }).whereIn('about', free).update({ facts, learnt_at: facts, body: JSON.stringify(body) })
}
