import type { Knex } from 'knex'
import type { ShownPen } from '../../contract'
import { boardOf, isUnlogged } from '../../core/bench'
import { stepWords } from '../../core/plan'
import { unitWords } from '../../core/units'
import { isResin } from '../../core/shelf'
import { newToken, sealOf } from '../access/secret'
import { NotFoundError } from '../faults'
import { eventsOf } from './log'
import { readPen } from './pens'
import { readPlan } from './plans'
import { readWorkshop } from './workshop'

const NONE = 'There is no pen under this address, or it is shown no more. Ask whoever gave it to you.'

/** Makes a secret address for a pen; an earlier one of it shows nothing any more. Answers the secret, which is kept nowhere. */
export async function showPen(trx: Knex, pen: string): Promise<string> {
  await readPen(trx, pen)
  const secret = newToken()
  await trx('pen_links').insert({ pen_id: pen, seal: sealOf(secret) }).onConflict(['workshop_id', 'pen_id']).merge(['seal'])
  return secret
}

/** Shows a pen to nobody any more. */
export const hidePen = async (trx: Knex, pen: string): Promise<void> => {
  await trx('pen_links').where({ pen_id: pen }).delete()
}

/** Which pen a secret shows, and in which workshop. @throws NotFoundError */
export async function shownBy(owner: Knex, secret: string): Promise<{ workshop: string, pen: string }> {
  const row = (await owner('pen_links').where({ seal: sealOf(secret) }).first('workshop_id', 'pen_id')) as
    { workshop_id: string, pen_id: string } | undefined
  if (!row) throw new NotFoundError(NONE)
  return { workshop: row.workshop_id, pen: row.pen_id }
}

/** A pen as whoever it is made for sees it: what it is made of, how far it is, and what was done on which day; nothing else. */
export async function readShown(knex: Knex, id: string): Promise<ShownPen> {
  const pen = await readPen(knex, id)
  const plan = await readPlan(knex, pen)
  const { state, traced } = boardOf(plan, await eventsOf(knex, id))
  const words = unitWords((await readWorkshop(knex)).units)
  const unlogged = isUnlogged(state)
  const done = state.steps.flatMap((one, index) => {
    const step = traced.steps[index]
    return one.status === 'done' && one.at && step && !unlogged(one.step.id)
      ? [{ day: one.at.slice(0, 10), title: stepWords(state.plan, step, words, traced).title }]
      : []
  })
  const days = new Map<string, string[]>()
  for (const { day, title } of done) {
    const titles = days.get(day) ?? []
    if (titles.at(-1) !== title) titles.push(title)
    days.set(day, titles)
  }
  const { fitting, material, method } = state.plan.inputs
  const blank: { origin: string | null } | undefined = await knex('blanks').where({ id: pen.blank ?? null }).first('origin')
  return {
    name: pen.name,
    fitting,
    material: { name: material.name, colour: material.colour, resin: isResin(material) },
    finish: method.name,
    wood: blank?.origin ?? null,
    stage: state.away ? 'set aside' : state.finished ? 'finished' : state.begun ? 'in work' : 'planned',
    steps: { done: state.steps.filter(one => one.status !== 'open').length, all: state.steps.length },
    days: [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([day, titles]) => ({ day, titles })),
  }
}
