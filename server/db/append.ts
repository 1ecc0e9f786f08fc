import type { Knex } from 'knex'
import { replay, type BenchEvent } from '../../core/bench'
import { FieldsError, isAway } from '../faults'
import { asRow, eventsOf, keepNew } from './log'
import { lockLogAndPens, type LockedPen } from './locked-pens'
import { keepMended, readBase } from './plans'
import { projectLocked } from './projections'

/** A device's clock that is wrong by less counts as right, ms: sending takes time too. */
const RIGHT = 2000

/** Entries that were sent together. */
export interface Batch {
  /** What was entered. */
  events: readonly BenchEvent[]
  /** The time on the device when it sent them, ISO 8601: entries that do not say how wrong its clock was are put right by it. */
  sentAt?: string | undefined
  /** When they came in, ms. */
  receivedAt: number
  /** Who entered them; null on the machine itself, where nobody is asked. */
  by?: string | null
  /** Of whose pens alone they may be; undefined: of all. */
  own?: string | undefined
}

/**
 * Appends events; those whose id is known already are passed over, so that sending twice changes nothing. Answers the ids that were
 * new. A mend that was chosen, or taken back, makes a new version of its pen's plan; what is kept ready of each pen follows.
 * @throws FieldsError when a pen is not known; then none is kept
 */
export async function appendEvents(knex: Knex, events: readonly BenchEvent[], sentAt?: string): Promise<string[]> {
  const receivedAt = Date.now()
  const [added = []] = await knex.transaction(trx => appendBatches(trx, [{ events, sentAt, receivedAt }]))
  return added
}

/**
 * The same for several batches in the transaction given: all are kept, or none. Answers for each which of its ids were new; an entry
 * that is in two of them is new in the first.
 */
export async function appendBatches(trx: Knex, batches: readonly Batch[]): Promise<string[][]> {
  const pens = await lockLogAndPens(trx, [...new Set(batches.flatMap(batch => batch.events.map(event => event.pen)))])
  for (const batch of batches) refuseStray(batch, new Map(pens.map(pen => [pen.id, pen])))
  const rows = new Map<string, object>()
  for (const batch of batches)
    for (const event of batch.events) if (!rows.has(event.id)) {
      rows.set(event.id, { ...asRow(event, aheadOf(event, batch)), by_person: batch.by ?? null })
    }
  const added = await keepNew(trx, [...rows.values()])
  const mended = new Set(added.filter(row => CHANGES_PLAN.includes(row.kind)).map(row => row.pen_id))
  for (const pen of [...mended].sort()) await mend(trx, pen)
  const changed = new Set(added.map(row => row.pen_id))
  await projectLocked(trx, pens.filter(pen => changed.has(pen.id)))
  const left = new Set(added.map(row => row.id))
  return batches.map(batch => batch.events.flatMap(({ id }) => (left.delete(id) ? [id] : [])))
}

const OTHERS = 'This pen is somebody else’s. An owner of the workshop can work on it.'

/** @throws FieldsError naming the first entry of a pen that is not known, or that is somebody else’s */
function refuseStray({ events, own }: Batch, pens: ReadonlyMap<string, LockedPen>): void {
  const stray = events.findIndex(event => !pens.has(event.pen))
  if (stray >= 0) throw new FieldsError({ [`events[${stray}].pen`]: 'There is no such pen in this workshop.' })
  if (!own) return
  const other = events.findIndex(event => pens.get(event.pen)?.maker !== own)
  if (other >= 0) throw new FieldsError({ [`events[${other}].pen`]: OTHERS })
  const seen = events.findIndex(event => event.kind === 'gate' && event.payload.how === 'seen')
  if (seen >= 0) throw new FieldsError({ [`events[${seen}].payload.how`]: 'Only a teacher says that something was looked at.' })
}

/** How far ahead the clock of its device was, ms: as the device knew it, or as the batch tells. */
function aheadOf({ ahead }: BenchEvent, { sentAt, receivedAt }: Batch): number | null {
  const off = sentAt ? Date.parse(sentAt) - receivedAt : undefined
  const measured = off === undefined ? undefined : Math.abs(off) < RIGHT ? 0 : Math.round(off)
  return ahead ?? measured ?? null
}

/** Kinds of entries that can change the steps of a plan. */
const CHANGES_PLAN = ['repair', 'coat', 'settle', 'return', 'undo']

async function mend(trx: Knex, penId: string): Promise<void> {
  try {
    const base = await readBase(trx, penId)
    const { plan } = replay(base.plan, await eventsOf(trx, penId))
    await keepMended(trx, penId, base.version, plan)
  } catch (error) {
    // A pen that cannot be worked out takes entries all the same: they count as soon as it is planned anew.
    if (isAway(error) || (error as { code?: string }).code !== undefined) throw error
    console.error(`Pen ${penId} takes entries, but its plan is not mended: ${(error as Error).message}`)
  }
}
