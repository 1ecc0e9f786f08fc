import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildIfNeeded } from './lib/build'
import { ensureChromium } from './lib/chromium'
import { ensureCertutil } from './lib/certutil'
import { ensurePoppler } from './lib/poppler'
import { ensurePostgres } from './lib/postgres-program'
import { main, say } from './lib/say'

const folder = mkdtempSync(join(tmpdir(), 'oxlip-reports-'))
const reports = { jest: join(folder, 'jest.json'), playwright: join(folder, 'playwright.json') }
const env = { ...process.env, NUXT_TELEMETRY_DISABLED: '1', OXLIP_REPORT: reports.playwright }
const broken: string[] = []
const ROOMS = ['core', 'contract', 'schemas', 'reference', 'server', 'devices', 'scripts']

/** Runs one stage and shows what it says; its time stands at the end. */
async function stage(name: string, ...command: string[]): Promise<void> {
  const start = Date.now()
  say(`\n--- ${name}`)
  const code = await ended(spawn('npx', command, { stdio: ['ignore', 'inherit', 'inherit'], env }))
  told(name, code, start)
}

/** The same for one that runs beside another: what it says is shown when it has ended. */
async function beside(name: string, ...command: string[]): Promise<void> {
  const start = Date.now()
  const running = spawn('npx', command, { stdio: ['ignore', 'pipe', 'pipe'], env })
  const said: Buffer[] = []
  for (const stream of [running.stdout, running.stderr]) stream.on('data', (part: Buffer) => said.push(part))
  const code = await ended(running)
  say(`\n--- ${name}\n${Buffer.concat(said).toString('utf8').trimEnd()}`)
  told(name, code, start)
}

/** With what a process ended, once all it said has come in. */
const ended = (running: ChildProcess) => new Promise<number | null>(resolve => running.once('close', resolve))

function told(name: string, code: number | null, start: number): void {
  if (code !== 0) broken.push(name)
  say(`--- ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${((Date.now() - start) / 1000).toFixed(0)} s`)
}

interface Counts {
  passed: number
  failed: number
  /** Of those passed: which failed at first and passed at the second try. */
  second?: number
}

function jestCounts(): Counts {
  if (!existsSync(reports.jest)) return { passed: 0, failed: 0 }
  const {
    numPassedTests = 0,
    numFailedTests = 0,
    numRuntimeErrorTestSuites = 0,
  } = JSON.parse(readFileSync(reports.jest, 'utf8')) as Record<string, number>
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites }
}

function playwrightCounts(): Counts {
  if (!existsSync(reports.playwright)) return { passed: 0, failed: 0 }
  const { stats, errors } = JSON.parse(readFileSync(reports.playwright, 'utf8')) as {
    stats: { expected: number, unexpected: number, flaky: number }
    errors: unknown[]
  }
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected + errors.length, second: stats.flaky }
}

/** What stood on the pages of journeys that failed, if only once: where the tests run, nobody can look. */
function showPages(): void {
  const kept = existsSync('test-results') ? readdirSync('test-results') : []
  for (const path of kept.map(name => join('test-results', name, 'error-context.md'))) {
    if (existsSync(path)) say(`\n--- ${path}\n${readFileSync(path, 'utf8').slice(0, 8000)}`)
  }
}

await main(async () => {
  ensurePostgres()
  ensureChromium()
  ensurePoppler()
  ensureCertutil()
  await stage('prepare', 'nuxt', 'prepare')
  // Each of these works on one core: two at a time.
  const types = beside('types', 'vue-tsc', '-b', '--noEmit')
  await beside('lint', 'eslint', '.')
  await beside('rooms and circles', 'depcruise', ...ROOMS, '--config', '.dependency-cruiser.mjs')
  await beside('rooms as drawn', 'tsx', 'scripts/rooms.ts', '--check')
  await beside('nothing unused', 'knip', '--no-config-hints')
  await types
  await stage('unit tests', 'jest', '--json', `--outputFile=${reports.jest}`)
  say('\n--- production build')
  await buildIfNeeded()
  await stage('end-to-end tests', 'playwright', 'test')
  const counts: Counts[] = [jestCounts(), playwrightCounts()]
  const second = counts.reduce((sum, one) => sum + (one.second ?? 0), 0)
  if (broken.includes('end-to-end tests') || second) showPages()

  const [passed, failed] = [counts.reduce((sum, one) => sum + one.passed, 0), counts.reduce((sum, one) => sum + one.failed, 0)]
  rmSync(folder, { recursive: true, force: true })
  // A stage that failed without a failing test of its own (lint, types, a runner that broke) counts as one.
  const other = broken.length && !failed ? broken.length : 0
  if (broken.length) say(`\nFailed: ${broken.join(', ')}`)
  say(`\n${passed} passed${second ? ` (${second} of them at the second try: “flaky” above)` : ''}, ${failed + other} failed`)
  process.exit(broken.length || passed === 0 ? 1 : 0)
})
