import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { get } from 'node:https'
import { setTimeout as pause } from 'node:timers/promises'
import { request as requests } from '@playwright/test'
import type { Pen, WorkshopList } from '../contract'
import { must } from '../core/sure'
import { buildIfNeeded } from '../scripts/lib/build'
import { say } from '../scripts/lib/say'
import { startStand } from '../scripts/lib/stand'
import { deviceOf, somebody } from '../tests/support/door'
import { show } from './measure'

/** So many screens, each with its live stream over TLS, entering so often for so long. */
const SCREENS = 30
const ENTRIES = 20
const PACE = 1500

/**
 * A class: thirty screens with live streams and a pen each, entering at their own pace. How long an entry takes until it is kept, and what
 * a screen costs the server in memory.
 */
export async function classBench(): Promise<void> {
  await buildIfNeeded()
  const stand = await startStand({ isShared: true })
  const machine = await requests.newContext({ baseURL: stand.address })
  const { workshops } = (await (await machine.get('/api/workshops')).json()) as WorkshopList
  const workshop = must(workshops.find(one => one.kind === 'own'), 'there is a workshop').id
  const resident = (): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${stand.pid()}/status`, 'utf8'))?.[1]) / 1024
  const seats = []
  for (let index = 0; index < SCREENS; index++) {
    const device = await deviceOf(stand, machine, workshop, await somebody(machine, workshop, 'pupil'))
    const mark = `Q${index + 1}`
    const pen = (await (await device.post(`/api/pens?workshop=${workshop}`, {
      data: {
        mark, name: mark, reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
      },
    })).json()) as Pen
    seats.push({ device, pen })
  }
  await pause(2000)
  const before = resident()
  let told = 0
  const streams = await Promise.all(seats.map(async ({ device }) => {
    const cookie = (await device.storageState()).cookies.map(one => `${one.name}=${one.value}`).join('; ')
    const how = { headers: { cookie }, rejectUnauthorized: false }
    return get(`${must(stand.network, 'it listens').secure}/api/live?workshop=${workshop}`, how, answer => answer.on('data', () => told++))
  }))
  await pause(2000)
  const open = resident()
  const took: number[] = []
  await Promise.all(seats.map(async ({ device, pen }, seat) => {
    await pause((PACE / SCREENS) * seat)
    for (let index = 0; index < ENTRIES; index++) {
      const since = performance.now()
      const answer = await device.post(`/api/events?workshop=${workshop}`, {
        data: {
          events: [{
            id: randomUUID(), pen: pen.id, kind: 'remark', payload: { text: `${index}`, step: null }, barrels: [],
            device: 'phone', at: new Date().toISOString(),
          }],
        },
      })
      if (!answer.ok()) throw new Error(await answer.text())
      took.push(performance.now() - since)
      await pause(Math.max(0, PACE - (performance.now() - since)))
    }
  }))
  show(`${SCREENS} screens with live streams over TLS: an entry until it is kept`, took)
  const memory = (open - before) / SCREENS
  say(`memory a screen: ${memory.toFixed(2)} MB (server ${before.toFixed(0)} MB before, ${open.toFixed(0)} MB with ${SCREENS} streams, `
    + `${resident().toFixed(0)} MB after); messages told: ${told}`)
  for (const one of streams) one.destroy()
  await Promise.all(seats.map(({ device }) => device.dispose()))
  await stand.end()
}
