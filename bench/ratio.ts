import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { PenPage, WorkshopList } from '../contract'
import { nth } from '../core/sure'
import { buildIfNeeded } from '../scripts/lib/build'
import { say } from '../scripts/lib/say'
import { startStand } from '../scripts/lib/stand'
import { connect } from '../server/db/connection'
import { copyPens } from '../tests/database/many'

/** One stretch of writing, s, and how often each way comes in turn. */
const STRETCH = Number(process.env.OXLIP_BENCH_STRETCH ?? 3)
const TURNS = 2
const SCREENS = 5
/** Pens that are written to, with logs of some thirty entries. */
const PENS = 600

const entry = (pen: string) => ({
  id: randomUUID(),
  pen,
  kind: 'look',
  barrels: ['only'],
  at: new Date().toISOString(),
  device: 'bench',
  payload: { step: 'sand.P-320', answer: 'not yet' },
})
type Write = (pen: string, size: number) => Promise<unknown>

/** Entries a second of so many writers that write batch after batch, each to the next pen, so that logs stay as long as real ones. */
async function rate(pens: readonly string[], writers: number, size: number, write: Write): Promise<number> {
  const until = performance.now() + STRETCH * 1000
  let [count, turn] = [0, 0]
  await Promise.all(Array.from({ length: writers }, async () => {
    while (performance.now() < until) {
      await write(nth(pens, turn++ % pens.length), size)
      count += size
    }
  }))
  return count / STRETCH
}

/** The same rows put into a table like the log’s by the database alone, a transaction a batch. */
const raw = (knex: Knex, workshop_id: string): Write => async (pen, size) =>
  knex('raw_events').insert(Array.from({ length: size }, () => {
    const { pen: pen_id, payload, ...rest } = entry(pen)
    return { ...rest, workshop_id, pen_id, payload: JSON.stringify(payload), ahead_ms: 0, happened_at: rest.at }
  }))

/** As the pages post: they name their workshop. */
const posting = (address: string, workshop: string): Write => async (pen, size) => {
  const body = JSON.stringify({ events: Array.from({ length: size }, () => entry(pen)), sentAt: new Date().toISOString() })
  const headers = { 'content-type': 'application/json' }
  const answer = await fetch(`${address}/api/events?workshop=${workshop}`, { method: 'POST', headers, body })
  if (!answer.ok) throw new Error(`An entry was answered with ${answer.status}.`)
  await answer.arrayBuffer()
}

/** Follows as a screen does, and reads all that it is told, until it is called off. */
function screen(address: string): () => void {
  const off = new AbortController()
  void fetch(`${address}/api/live`, { signal: off.signal })
    .then(async ({ body }) => {
      for (const reader = body?.getReader(); reader && !(await reader.read()).done;);
    })
    .catch(() => undefined)
  return () => off.abort()
}

/** How fast entries are appended against raw inserts of the same rows, turn and turn about, with five screens following. */
export async function ratioBench(): Promise<void> {
  await buildIfNeeded()
  const stand = await startStand()
  const knex = connect(stand.databaseUrl)
  const { opens } = (await (await fetch(`${stand.address}/api/workshops`)).json()) as WorkshopList
  const walled = connect(stand.databaseUrl, { walled: true, workshop: opens })
  const screens = Array.from({ length: SCREENS }, () => screen(stand.address))
  try {
    await knex.raw('create table raw_events (like events including indexes)')
    await knex.raw('alter table raw_events alter column received_at set default now(), alter column seq add generated always as identity')
    const { pens } = (await (await fetch(`${stand.address}/api/pens?stage=finished`)).json()) as PenPage
    await copyPens(walled, knex, nth(pens, 0).pen.id, PENS)
    const ids = await walled<{ id: string, material: string }>('pens').where('material', 'pear').pluck('id')
    say(`${'entries a second, five screens following'.padEnd(44)} ${'appended'.padStart(9)} ${'raw'.padStart(9)} ${'ratio'.padStart(7)}`)
    for (const size of [1, 20]) {
      for (const writers of [1, 4, 16]) {
        const sums = { ours: 0, raw: 0 }
        for (let turn = 0; turn < TURNS; turn++) {
          sums.ours += await rate(ids, writers, size, posting(stand.address, opens))
          sums.raw += await rate(ids, writers, size, raw(knex, opens))
          // Each stretch begins on logs as short as they were.
          await forget(knex)
        }
        const name = `${writers} at once, ${size} in a batch`.padEnd(44)
        const [ours, plain] = [sums.ours / TURNS, sums.raw / TURNS]
        say(`${name} ${ours.toFixed(0).padStart(9)} ${plain.toFixed(0).padStart(9)} ${(ours / plain).toFixed(2).padStart(7)}`)
      }
    }
  } finally {
    for (const end of screens) end()
    await Promise.all([knex.destroy(), walled.destroy()])
    await stand.end()
  }
}

async function forget(knex: Knex): Promise<void> {
  await knex.raw('alter table events disable trigger events_append_only')
  await knex('events').where({ device: 'bench' }).delete()
  await knex.raw('alter table events enable trigger events_append_only')
}
