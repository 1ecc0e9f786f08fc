import { must, nth } from '../../../core/sure'
import { randomUUID } from 'node:crypto'
import { addDays, formatISO, nextSaturday } from 'date-fns'
import type { Knex } from 'knex'
import type { BenchEvent, Entry } from '../../../core/bench'
import { trace, type Plan } from '../../../core/plan'
import { appendEvents } from '../append'
import { createPen } from '../pens'
import { readPlan } from '../plans'
import { fillShelf } from '../shelf'
import { readWorkshop, writeWorkshop } from '../workshop'
import { orchardPens, orchardReason, type DemoPen } from './orchard'
import { loadStock } from './stock'

/** Loads the orchard pens into a database without pens; leaves any other as it is. Times count back from `now`. */
export async function loadDemo(knex: Knex, now: Date): Promise<void> {
  if (await knex('pens').first('id')) return
  await fillShelf(knex)
  const blanks = await loadStock(knex, now)
  const { celsius: _, humidity: __, ...workshop } = await readWorkshop(knex)
  await writeWorkshop(knex, { ...workshop, air: { celsius: 18.5, humidity: 62 } })
  const due = formatISO(nextSaturday(addDays(now, 9)), { representation: 'date' })
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
    const events = pastEvents(await readPlan(knex, pen), pen.id, course, now)
    if (events.length) await appendEvents(knex, events)
  }
}

/** The log of a pen that was worked as planned up to a step, ending so many minutes before now. */
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
  const started = now.getTime() - minutesAgo * 60_000 - nth(steps, last).ends * 1000
  const entry = (seconds: number, barrels: BenchEvent['barrels'], what: Entry): BenchEvent => ({
    ...what,
    id: randomUUID(),
    pen,
    barrels,
    device: 'demo',
    at: new Date(started + seconds * 1000).toISOString(),
  })

  return steps.slice(0, last + 1).flatMap((one, index): BenchEvent[] => {
    const { id: step, barrels } = one.step
    const found: BenchEvent[] = index === 0 ? [entry(0, barrels, { kind: 'begin', payload: { step } })] : []
    found.push(entry(one.ends, barrels, { kind: 'done', payload: { step } }))
    if (flaw?.atStep !== step) return found
    const { atStep: _, cause, ...what } = flaw
    const noted = entry(one.ends + 1, [what.barrel], { kind: 'defect', payload: { ...what, step } })
    const judged = entry(one.ends + 2, [what.barrel], { kind: 'judge', payload: { defect: noted.id, cause } })
    const settled = entry(one.ends + 3, [what.barrel], { kind: 'settle', payload: { defect: noted.id, how: 'mended' } })
    return [...found, noted, judged, settled]
  })
}
