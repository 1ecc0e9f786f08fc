import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { Stryker } from '@stryker-mutator/core'
import { main, say } from './lib/say'

/** The least part of the wrong lines put in that the tests of the whole core must notice, and of each folder. */
const LEAST = { all: 0.8, folder: 0.7 }
const REPORT = '.oxlip/mutants.json'

interface Report {
  files: Record<string, { mutants: { status: string, mutatorName: string, replacement?: string, location: { start: { line: number } } }[] }>
}

/** The folders of rules: a room of the core, or one of the plan’s. */
function rooms(): string[] {
  const folders = (path: string) =>
    readdirSync(path, { withFileTypes: true }).filter(one => one.isDirectory()).map(one => join(path, one.name))
  return [...folders('core').filter(one => one !== 'core/plan'), ...folders('core/plan')]
}

/** Lines that are looked at together where only a part of the code is. */
const WINDOW = 8
/** Draws other lines than without it. */
const DRAW = process.env.OXLIP_MUTANTS_DRAW ?? ''

/**
 * What is to be made wrong: whole folders, or where OXLIP_MUTANTS_PART says so (0 to 1) that part of their lines, the same each time.
 */
function targets(wanted: readonly string[]): string[] {
  const part = Number(process.env.OXLIP_MUTANTS_PART ?? 1)
  if (part >= 1) return wanted.flatMap(one => [`${one}/**/*.ts`, `!${one}/**/*.test.ts`])
  const files = wanted.flatMap(one => readdirSync(one, { recursive: true, encoding: 'utf8' }).map(file => join(one, file)))
  return files.filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts')).flatMap((file) => {
    const lines = readFileSync(file, 'utf8').split('\n').length
    const windows = Array.from({ length: Math.ceil(lines / WINDOW) }, (_, index) => index * WINDOW + 1)
    const drawn = (from: number) => createHash('sha256').update(`${DRAW}${file}:${from}`).digest().readUInt32BE(0)
    const isTaken = (from: number) => drawn(from) < part * 2 ** 32
    return windows.filter(isTaken).map(from => `${file}:${from}-${from + WINDOW - 1}`)
  })
}

const NOTICED = ['Killed', 'Timeout', 'RuntimeError', 'CompileError']

function tell(wanted: readonly string[]): boolean {
  const { files } = JSON.parse(readFileSync(REPORT, 'utf8')) as Report
  const counted = wanted.map((room) => {
    const mutants = Object.entries(files).flatMap(([file, { mutants }]) => (file.startsWith(`${room}/`) ? mutants : []))
    const valid = mutants.filter(one => one.status !== 'Ignored')
    return { room, all: valid.length, noticed: valid.filter(one => NOTICED.includes(one.status)).length }
  })
  const line = (name: string, noticed: number, all: number) =>
    say(`${name.padEnd(24)} ${noticed} of ${all} noticed, ${((100 * noticed) / Math.max(1, all)).toFixed(0)} %`)
  for (const { room, all, noticed } of counted) line(room, noticed, all)
  for (const [file, { mutants }] of Object.entries(files))
    for (const one of mutants.filter(each => !NOTICED.includes(each.status) && each.status !== 'Ignored'))
      say(`  not noticed: ${file}:${one.location.start.line} ${one.mutatorName} ${(one.replacement ?? '').split('\n')[0]}`)
  const [all, noticed] = [counted.reduce((sum, one) => sum + one.all, 0), counted.reduce((sum, one) => sum + one.noticed, 0)]
  line('in all', noticed, all)
  return noticed >= LEAST.all * all && counted.every(one => one.noticed >= LEAST.folder * one.all)
}

/**
 * Puts wrong lines into folders of the core, one at a time, and tells which of them no test notices: `npm run mutants core/film`, or
 * all. Takes minutes a folder, so it is run by hand and by night.
 */
await main(async () => {
  const asked = process.argv.slice(2).map(one => one.replace(/\/$/, ''))
  const wanted = asked.length ? asked : rooms()
  for (const one of wanted) if (!existsSync(one)) throw new Error(`There is no ${one}: name a folder of the core, like core/film.`)
  const stryker = new Stryker({
    testRunner: 'jest',
    jest: { projectType: 'custom', configFile: 'tests/mutants/jest.config.mjs', enableFindRelatedTests: true },
    mutate: targets(wanted),
    // Words on the screen are not rules: that they are right is looked at, not tested by replacing them with nothing.
    mutator: { excludedMutations: ['StringLiteral'] },
    coverageAnalysis: 'perTest',
    // A constant of a file is tried against every test there is, which takes most of the time; it may be left to the whole run by night.
    ignoreStatic: process.env.OXLIP_MUTANTS_CONSTANTS === 'no',
    concurrency: Number(process.env.OXLIP_MUTANTS_AT_ONCE ?? 2),
    // What was found before is kept, and only what has changed since is tried again.
    incremental: true,
    incrementalFile: '.oxlip/mutants-known.json',
    tempDirName: '.oxlip/mutants',
    reporters: ['json', 'progress-append-only', 'told'],
    plugins: ['@stryker-mutator/jest-runner', './tests/mutants/told.mjs'],
    jsonReporter: { fileName: REPORT },
    ignorePatterns: ['.output', '.nuxt', 'docs', 'app/assets'],
    timeoutMS: 20_000,
    // The tests of the whole core take longer than the five minutes that a first run is given.
    dryRunTimeoutMinutes: 60,
    allowConsoleColors: false,
  })
  await stryker.runMutationTest()
  if (!tell(wanted)) process.exitCode = 1
})
