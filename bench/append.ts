import { nth } from '../core/sure'
import { randomUUID } from 'node:crypto'
import { connect } from '../server/db/connection'
import type { PenPage } from '../contract'
import { buildIfNeeded } from '../scripts/lib/build'
import { say } from '../scripts/lib/say'
import { startStand } from '../scripts/lib/stand'
import { show } from './measure'

const WRITERS = 20
const SECONDS = Number(process.env.OXLIP_BENCH_SECONDS ?? 60)

/**
 * Appending under load: twenty writers on loopback for a minute, every tenth batch sent twice. Prints how long an answer takes, and
 * counts what was lost or doubled against the database.
 */
export async function appendBench(): Promise<void> {
  await buildIfNeeded()
  const stand = await startStand()
  try {
    const pens = ((await (await fetch(`${stand.address}/api/pens`)).json()) as PenPage).pens.map(one => one.pen.id)
    const until = Date.now() + SECONDS * 1000
    const [times, sent]: [number[], string[]] = [[], []]
    let refused = 0
    async function write(writer: number) {
      for (let count = 0; Date.now() < until; count++) {
        const event = {
          id: randomUUID(),
          pen: nth(pens, (writer + count) % pens.length),
          kind: 'look',
          barrels: ['only'],
          at: new Date().toISOString(),
          device: `writer ${writer}`,
          payload: { step: 'sand.P-320', answer: 'not yet' },
        }
        const body = JSON.stringify({ events: [event], sentAt: new Date().toISOString() })
        for (let times_ = 0; times_ < (count % 10 ? 1 : 2); times_++) {
          const start = performance.now()
          const answer = await fetch(`${stand.address}/api/events`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body,
          })
          times.push(performance.now() - start)
          if (!answer.ok) refused++
        }
        sent.push(event.id)
      }
    }
    await Promise.all(Array.from({ length: WRITERS }, (_, writer) => write(writer)))
    const knex = connect(stand.databaseUrl)
    const there = (await knex('events')
      .whereIn(
        'device',
        Array.from({ length: WRITERS }, (_, writer) => `writer ${writer}`),
      )
      .pluck('id')) as string[]
    await knex.destroy()
    const unique = new Set(there)
    show(`appending, ${WRITERS} writers for ${SECONDS} s on loopback, ms an answer`, times)
    say(
      `  ${sent.length} entries, ${(sent.length / SECONDS).toFixed(0)} a second; refused ${refused}; lost `
      + `${sent.filter(id => !unique.has(id)).length}; doubled ${there.length - unique.size}`,
    )
  } finally {
    await stand.end()
  }
}
