import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { refuseFullDisk } from './disk'
import { Plain, say } from './say'

const SOURCES = ['app', 'contract', 'core', 'devices', 'reference', 'schemas', 'server', 'public', 'nuxt.config.ts', 'package-lock.json']
const SERVER = '.output/server/index.mjs'
const STAMP = '.output/source-hash'

/** Builds the application when its sources are not the ones it was last built from. @throws Plain when the build fails */
export async function buildIfNeeded(): Promise<void> {
  const hash = sourceHash()
  if (existsSync(SERVER) && existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return
  await refuseFullDisk('.', 300, 'the build')
  say('Building (about a minute) ...')
  const built = spawnSync('npx', ['nuxt', 'build'], {
    encoding: 'utf8',
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
    maxBuffer: 1 << 26,
  })
  if (built.status !== 0)
    throw new Plain(`The build failed:\n${`${built.stdout}\n${built.stderr}`.trim().split('\n').slice(-30).join('\n')}`)
  writeFileSync(STAMP, hash)
}

function sourceHash(): string {
  const hash = createHash('sha256')
  for (const path of SOURCES.flatMap(filesBelow)
    .filter(path => !/\.test\.ts$/.test(path))
    .sort())
    hash.update(`${path}\0`).update(readFileSync(path))
  return hash.digest('hex')
}

function filesBelow(path: string): string[] {
  if (!existsSync(path)) return []
  return statSync(path).isDirectory() ? readdirSync(path).flatMap(name => filesBelow(join(path, name))) : [path]
}
