import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { PenPage, WholePen } from '../../contract'
import { freePort } from '../../scripts/lib/ports'
import { expect, test } from '@playwright/test'

let folder: string
let started: ChildProcess
let said = ''
let address: string

test.beforeAll(async () => {
  test.setTimeout(180_000)
  folder = mkdtempSync(join(tmpdir(), 'oxlip-start-'))
  const env = { ...process.env, OXLIP_FOLDER: folder, PORT: String(await freePort()) }
  started = spawn(process.execPath, ['--import', 'tsx', 'scripts/start.ts'], { env, stdio: ['ignore', 'pipe', 'pipe'] })
  for (const stream of [started.stdout, started.stderr]) stream?.on('data', (text: Buffer) => (said += text.toString()))
  await expect.poll(() => said, { timeout: 120_000 }).toContain('Oxlip is ready')
  address = /http:\S+/.exec(said)![0]
})
test.afterAll(async () => {
  const ended = new Promise(resolve => started.once('exit', resolve))
  started.kill('SIGTERM')
  await ended
  rmSync(folder, { recursive: true, force: true })
})

/** The process below ./start whose command has a word in it. */
function child(word: string): number {
  const below = (pid: number): number[] => {
    const all = execFileSync('ps', ['-eo', 'pid=,ppid=']).toString().trim().split('\n').map(line => line.trim().split(/\s+/).map(Number))
    const own = all.flatMap(([id, parent]) => (parent === pid ? [id!] : []))
    return own.flatMap(id => [id, ...below(id)])
  }
  const found = below(started.pid!).find(id => execFileSync('ps', ['-o', 'args=', '-p', String(id)]).toString().includes(word))
  if (!found) throw new Error(`No ${word} below ./start.`)
  return found
}

const ask = async <T>(path: string): Promise<T> => (await (await fetch(`${address}${path}`)).json()) as T

test('a server or a database that is killed under entries is there again by itself, and none is lost or doubled', async () => {
  const pen = (await ask<PenPage>('/api/pens?stage=in%20work')).pens[0]!.pen.id
  const sent: string[] = []
  let goes = true
  /** Sends entries one by one, each again until it is taken, as a browser does. */
  async function write() {
    while (goes) {
      const event = {
        id: randomUUID(), pen, kind: 'look', barrels: ['only'], at: new Date().toISOString(), device: 'killed',
        payload: { step: 'sand.P-320', answer: 'not yet' },
      }
      const body = JSON.stringify({ events: [event] })
      const post = () => fetch(`${address}/api/events`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })
      const status = await post().then(answer => answer.status, () => 0)
      if (status === 200) sent.push(event.id)
      // What is not taken is away, never a fault of ours.
      else expect([0, 503]).toContain(status)
    }
  }
  const writing = write()
  for (const word of ['.output/server/index.mjs', 'bin/postgres', '.output/server/index.mjs']) {
    const before = sent.length
    await expect.poll(() => sent.length).toBeGreaterThan(before + 5)
    process.kill(child(word), 'SIGKILL')
    const at = sent.length
    await expect.poll(() => sent.length, { timeout: 30_000 }).toBeGreaterThan(at + 5)
  }
  goes = false
  await writing
  const { events } = await ask<WholePen>(`/api/pens/${pen}`)
  const there = events.filter(event => event.device === 'killed').map(event => event.id)
  expect(new Set(there).size).toBe(there.length)
  expect(sent.filter(id => !there.includes(id))).toEqual([])
  expect(said).toContain('The server ended by itself; it is started again.')
  expect(said).toContain('PostgreSQL ended by itself; it is started again.')
})
