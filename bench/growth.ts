import { readFileSync } from 'node:fs'
import type { PenPage, WorkshopList } from '../contract'
import { nth } from '../core/sure'
import { buildIfNeeded } from '../scripts/lib/build'
import { say } from '../scripts/lib/say'
import { startStand } from '../scripts/lib/stand'
import { connect } from '../server/db/connection'
import { copyPens } from '../tests/database/many'

/** Pens that there are in all; OXLIP_BENCH_PENS names others. */
const SIZES = (process.env.OXLIP_BENCH_PENS ?? '14,1000,10000,100000').split(',').map(Number)
const TIMES = 20
/** Clock ticks of the kernel a second, in which it tells processor time. */
const TICKS = 100

const ROUTES = [
  ['the first page of pens', '/api/pens'],
  ['finished ones', '/api/pens?stage=finished'],
  ['of one material', '/api/pens?material=pear'],
  ['looked up by a word', '/api/pens?text=windfall'],
  ['the bench', '/api/bench'],
  ['what is due', '/api/pens/due'],
  ['a free mark', '/api/pens/mark'],
  ['defects', '/api/defects'],
  ['what was learnt', '/api/learnt'],
  ['what defects tell', '/api/defects/history'],
  ['the shelf', '/api/shelf'],
  ['one pen', '/api/pens/:id'],
  ['the place of findings', '/api/findings'],
  ['how often, by what', '/api/findings/answer?of=bleed&by=last%20grit'],
  ['how often, among some', '/api/findings/answer?of=bleed&by=hour&among=applicator:foam&zone=Europe/London'],
  ['how much, by what', '/api/findings/answer?of=minutes&by=wood'],
  ['the pens behind a number', '/api/findings/pens?of=bleed&by=last%20grit&is=P2000&so=yes'],
] as const

/** Processor time that a process and its threads have used, s. */
function used(pid: number): number {
  const [user = 0, system = 0] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ').slice(11, 13).map(Number) ?? []
  return (user + system) / TICKS
}

/** What a request costs, ms: to whoever asks, and in processor time of the server. */
interface Cost {
  bytes: number
  took: number
  processor: number
}

async function ask(pid: number, send: () => Promise<Response>): Promise<Cost> {
  let bytes = 0
  for (let warm = 0; warm < 3; warm++) bytes = (await (await send()).arrayBuffer()).byteLength
  const [from, start] = [used(pid), performance.now()]
  for (let time = 0; time < TIMES; time++) await (await send()).arrayBuffer()
  return { bytes, took: (performance.now() - start) / TIMES, processor: ((used(pid) - from) * 1000) / TIMES }
}

/**
 * What each route costs with ever more pens made by the database alone, and how that grows: the exponent of the time it takes whoever
 * asks, from the fewest to the most pens, 0 where it does not grow.
 */
export async function growthBench(): Promise<void> {
  await buildIfNeeded()
  const stand = await startStand()
  const { opens } = (await (await fetch(`${stand.address}/api/workshops`)).json()) as WorkshopList
  const [owner, knex] = [connect(stand.databaseUrl), connect(stand.databaseUrl, { walled: true, workshop: opens })]
  try {
    const { pens } = (await (await fetch(`${stand.address}/api/pens?stage=finished`)).json()) as PenPage
    const from = nth(pens, 0).pen.id
    const found = new Map<string, Cost[]>()
    let there = 14
    for (const size of SIZES) {
      if (size > there) await copyPens(knex, owner, from, size - there)
      there = Math.max(there, size)
      const bytes = await owner.raw('select pg_database_size(current_database()) as size')
      say(`${there} pens: ${(Number(bytes.rows[0].size) / there / 1000).toFixed(1)} kB of the database a pen`)
      for (const [name, path] of ROUTES) {
        const address = `${stand.address}${path.replace(':id', from)}${path.includes('?') ? '&' : '?'}workshop=${opens}`
        found.set(name, [...(found.get(name) ?? []), await ask(stand.pid(), () => fetch(address))])
      }
      const entry = () => fetch(`${stand.address}/api/events?workshop=${opens}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          events: [{
            id: crypto.randomUUID(), pen: from, kind: 'look', barrels: ['only'], at: new Date().toISOString(), device: 'bench',
            payload: { step: 'sand.P-320', answer: 'not yet' },
          }],
        }),
      })
      found.set('an entry', [...(found.get('an entry') ?? []), await ask(stand.pid(), entry)])
    }
    say(`\n${'ms taken / processor ms / kB'.padEnd(28)} ${SIZES.map(size => `${size} pens`.padStart(22)).join('')}  exponent`)
    const span = Math.log(nth(SIZES, SIZES.length - 1) / nth(SIZES, 0))
    for (const [name, costs] of found) {
      const cells = costs.map(one => `${one.took.toFixed(1)} / ${one.processor.toFixed(1)} / ${(one.bytes / 1000).toFixed(1)}`.padStart(22))
      const exponent = Math.log(nth(costs, costs.length - 1).took / nth(costs, 0).took) / span
      say(`${name.padEnd(28)} ${cells.join('')}  ${exponent.toFixed(3).padStart(8)}`)
    }
  } finally {
    await Promise.all([owner.destroy(), knex.destroy()])
    await stand.end()
  }
}
