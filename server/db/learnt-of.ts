import type { Knex } from 'knex'
import type { LearntCourse, LearntOf } from '../../contract'
import type { AsideChange } from '../../schemas'
import { listAside } from './aside'
import { readAllLearnt, usualBuilds } from './learnt'

/** All that was learnt, and what of it is set aside. */
export const readLearntOf = async (knex: Knex): Promise<LearntOf> =>
  ({ learnt: await readAllLearnt(knex), aside: await listAside(knex), builds: await usualBuilds(knex) })

/** Sets something aside, or takes it in again; saying so twice changes nothing. */
export async function changeAside(knex: Knex, { what, aside }: AsideChange): Promise<LearntOf> {
  if (aside) await knex('learnt_aside').insert({ what }).onConflict(['workshop_id', 'what']).ignore()
  else await knex('learnt_aside').where({ what }).delete()
  return readLearntOf(knex)
}

/** How what was learnt moved is told over so many pens, the latest that are over, in so many steps. */
const COURSE = { pens: 100, steps: 4 }

/** What was learnt after each quarter of the latest pens that are over, the first quarter first; nothing while there are too few. */
export async function learntCourse(knex: Knex): Promise<LearntCourse> {
  const ended: Date[] = await knex('pen_told').orderBy('ended', 'desc').limit(COURSE.pens).pluck('ended')
  if (ended.length < COURSE.steps) return { points: [] }
  const points: LearntCourse['points'] = []
  for (let step = COURSE.steps - 1; step >= 1; step--) {
    const at = ended[Math.floor(step * ended.length / COURSE.steps)]?.toISOString()
    if (at !== undefined) points.push({ at, learnt: await readAllLearnt(knex, { keeps: false, until: at }) })
  }
  return { points }
}
