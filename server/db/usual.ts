import type { Knex } from 'knex'
import type { UsualEvidence } from '../../core/defects'
import { isFresh, keepLesson, type Lesson } from './lessons'

/** The latest pens that were begun tell what is usual: shops change. */
const LATEST = 200

/** How often each piece of evidence holds for the pens of this shop: as it was counted last, and anew where a pen came in since. */
export async function usualEvidence(knex: Knex): Promise<UsualEvidence> {
  const [lesson]: Lesson[] = await knex('lessons').where({ kind: 'usual', about: 'pens' })
  if (!lesson) return {}
  if (isFresh(lesson)) return lesson.body as UsualEvidence
  const told = await counted(knex)
  await keepLesson(knex, lesson, told)
  return told
}

async function counted(knex: Knex): Promise<UsualEvidence> {
  const rows: { body: { evidence?: unknown } }[] = await knex('facts')
    .where({ kind: 'usual', about: 'pens' })
    .orderBy([{ column: 'at', order: 'desc' }, { column: 'pen_id' }])
    .limit(LATEST)
    .select('body')
  const usual: Record<string, { holds: number, of: number }> = {}
  // A fact that is damaged counts for nothing.
  for (const [id, holds] of rows.flatMap(({ body }) => Object.entries(body.evidence ?? {}))) {
    const known = (usual[id] ??= { holds: 0, of: 0 })
    known.of++
    if (holds === true) known.holds++
  }
  return usual
}
