import { must, nth } from '../../../core/sure'
import { randomUUID } from 'node:crypto'
import { addDays, formatISO, nextSaturday } from 'date-fns'
import type { Knex } from 'knex'
import type { Pen, WorkshopEntry } from '../../../contract'
import type { BenchEvent, Entry } from '../../../core/bench'
import { overheadOf, trace, type Plan } from '../../../core/plan'
import { appendEvents } from '../append'
import { createPen } from '../pens'
import { readPlan } from '../plans'
import { ConflictError } from '../../faults'
import { fillShelf } from '../shelf'
import { readWorkshop, writeWorkshop } from '../workshop'
import { setUp, takeAway } from '../workshops'
import { loadOrders } from './orders'
import { orchardPens, orchardReason, type DemoPen } from './orchard'
import { loadStock } from './stock'

/** The demo’s workshop. */
const NAME = 'Harrow Lane'

/** Sets up the demo the first time this installation is started; deleted later, it does not come back by itself. */
export async function offerDemo(owner: Knex, now: Date): Promise<void> {
  const { demo_offered: known } = await owner('installation').first('demo_offered')
  if (!known) await setUpDemo(owner, now)
}

/** Sets up the demo’s workshop whole. Times count back from `now`. @throws ConflictError when there is one */
export const setUpDemo = (owner: Knex, now: Date): Promise<WorkshopEntry> =>
  owner.transaction(async (trx) => {
    const there: WorkshopEntry | undefined = await lockedDemo(trx)
    if (there) throw new ConflictError('The demo is there already.', there)
    return made(trx, now)
  })

/** Begins the demo anew: what was done in it is gone, and it is a workshop with another id. */
export const resetDemo = (owner: Knex, now: Date): Promise<WorkshopEntry> =>
  owner.transaction(async (trx) => {
    const there = await lockedDemo(trx)
    if (there) await takeAway(trx, there.id)
    return made(trx, now)
  })

/** Deletes the demo whole; saying so twice changes nothing. */
export const deleteDemo = (owner: Knex): Promise<void> =>
  owner.transaction(async (trx) => {
    const there = await lockedDemo(trx)
    if (there) await takeAway(trx, there.id)
  })

/** The demo there is. Two who change it wait for one another. */
async function lockedDemo(trx: Knex): Promise<WorkshopEntry | undefined> {
  await trx('installation').forUpdate().first('id')
  return trx('workshops').where({ kind: 'demo' }).first('id', 'name', 'kind')
}

async function made(trx: Knex, now: Date): Promise<WorkshopEntry> {
  await trx('installation').update({ demo_offered: true })
  const entry = await setUp(trx, NAME, 'demo')
  await fill(trx, now)
  return entry
}

/** The orchard’s shelf and pens. */
async function fill(knex: Knex, now: Date): Promise<void> {
  await fillShelf(knex)
  const blanks = await loadStock(knex, now)
  const { celsius: _, humidity: __, ...workshop } = await readWorkshop(knex)
  await writeWorkshop(knex, { ...workshop, currency: 'GBP', air: { celsius: 18.5, humidity: 62 } })
  const due = formatISO(nextSaturday(addDays(now, 9)), { representation: 'date' })
  const pens: Pen[] = []
  for (const { mark, name, fitting, material, blank, method = 'ca-thin-first', tool = 'skew', film = 'gloss', ...course } of orchardPens) {
    const pen = await createPen(knex, {
      mark,
      name,
      reason: orchardReason,
      due,
      fitting,
      material,
      method,
      tool,
      film,
      blank: blank ? must(blanks.get(blank), 'the demo names its own blanks') : null,
    })
    pens.push(pen)
    const events = pastEvents(await readPlan(knex, pen), pen.id, course, now)
    if (events.length) await appendEvents(knex, events)
  }
  await loadOrders(knex, pens, due)
}

/** After its planned time each grit is looked at, shows marks still, and is worked for this part of its time more. */
const MORE = 0.2

/**
 * The log of a pen that was worked as planned up to a step, ending so many minutes before now: each grit was looked at once on the
 * way, as turners do.
 */
function pastEvents(
  plan: Plan,
  pen: string,
  { upTo, minutesAgo = 0, flaw }: Pick<DemoPen, 'upTo' | 'minutesAgo' | 'flaw'>,
  now: Date,
): BenchEvent[] {
  if (!upTo) return []
  const steps = trace(plan).steps
  const last = upTo === 'coat.last' ? steps.findLastIndex(one => one.step.kind === 'coat') : steps.findIndex(one => one.step.id === upTo)
  if (last < 0) throw new Error(`The demo pen has no step ${upTo}.`)
  const found: { seconds: number, barrels: BenchEvent['barrels'], what: Entry, id: string }[] = []
  const enter = (seconds: number, barrels: BenchEvent['barrels'], what: Entry, id = randomUUID()) =>
    found.push({ seconds, barrels, what, id })
  /** Looks take their time: by so many s all that comes after them is later. */
  let late = 0
  for (const [index, one] of steps.slice(0, last + 1).entries()) {
    const { id: step, barrels } = one.step
    if (index === 0) enter(0, barrels, { kind: 'begin', payload: { step } })
    if (one.step.kind === 'sand') {
      const look = overheadOf(plan.inputs, one.step.abrasive).value
      const sanding = one.handsOn.value - look
      enter(one.ends + late, barrels, { kind: 'look', payload: { step, answer: 'not yet' } })
      late += look + MORE * sanding
    }
    enter(one.ends + late, barrels, { kind: 'done', payload: { step } })
    if (flaw?.atStep === step) {
      const { atStep: _, cause, ...what } = flaw
      const noted = randomUUID()
      enter(one.ends + late + 1, [what.barrel], { kind: 'defect', payload: { ...what, step } }, noted)
      enter(one.ends + late + 2, [what.barrel], { kind: 'judge', payload: { defect: noted, cause } })
      enter(one.ends + late + 3, [what.barrel], { kind: 'settle', payload: { defect: noted, how: 'mended' } })
    }
  }
  const started = now.getTime() - minutesAgo * 60_000 - (nth(steps, last).ends + late) * 1000
  return found.map(({ seconds, barrels, what, id }): BenchEvent => ({
    ...what, id, pen, barrels, device: 'bench at Harrow Lane', at: new Date(started + seconds * 1000).toISOString(),
  }))
}
