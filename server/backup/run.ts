import { spawn } from 'node:child_process'
import { createWriteStream } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { BackupError } from './error'

/** How a program is run. */
interface Running {
  /** What it writes goes to this file; else it is answered. */
  to?: string
  /** Settings that must not stand among its words, where others could read them. */
  env?: Record<string, string>
}

/** Runs a program to its end, and answers what it wrote. @throws BackupError with the last line that it said */
export async function run([program = '', ...words]: readonly string[], { to, env = {} }: Running = {}): Promise<string> {
  const child = spawn(program, words, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } })
  let [said, wrote] = ['', '']
  child.stderr.on('data', (piece: Buffer) => {
    said = (said + piece.toString()).slice(-2000)
  })
  const ended = new Promise<number | null>((resolve, reject) => {
    child.on('error', reject)
    child.on('close', resolve)
  })
  const read = to === undefined
    ? (async () => {
        for await (const piece of child.stdout) wrote += String(piece)
      })()
    : pipeline(child.stdout, createWriteStream(to, { mode: 0o600 }))
  const [code] = await Promise.all([ended, read])
  if (code !== 0) throw new BackupError(said.trim().split('\n').at(-1) || `${program} ended with ${code}`)
  return wrote
}

/** A PostgreSQL address as its programs take it: the password is no word of the command. */
export function connection(url: string): Record<string, string> {
  const { hostname, port, username, password, pathname } = new URL(url)
  return {
    PGHOST: hostname, PGPORT: port || '5432', PGUSER: decodeURIComponent(username), PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: pathname.slice(1),
  }
}
