/**
 * Run after every change of package-lock.json: `node scripts/lock-stubs.mjs`. Where the lock is made, the registry serves the optional
 * native packages of one platform only, and npm leaves the others out of the lock; npm ci then refuses it. This adds a short entry for
 * each, so that npm ci takes the lock everywhere.
 */
import { readFileSync, writeFileSync } from 'node:fs'

const FILE = 'package-lock.json'
const lock = JSON.parse(readFileSync(FILE, 'utf8'))
const SYSTEMS = ['darwin', 'linux', 'win32', 'android', 'freebsd', 'openbsd', 'netbsd', 'sunos', 'aix', 'openharmony', 'wasi']
const CPUS = ['arm64', 'x64', 'ia32', 'arm', 'ppc64', 's390x', 'riscv64', 'loong64', 'mips64el', 'wasm32']

/** Where Node would look for a package that the one at `from` asks for. */
function found(from, name) {
  for (let place = from; ; place = place.replace(/(^|\/)node_modules\/(@[^/]+\/)?[^/]+$/, '')) {
    const path = `${place ? `${place}/` : ''}node_modules/${name}`
    if (lock.packages[path]) return lock.packages[path]
    if (!place) return undefined
  }
}

let added = 0
for (const [from, { optionalDependencies = {} }] of Object.entries(lock.packages)) {
  for (const [name, range] of Object.entries(optionalDependencies)) {
    const version = range.replace(/^[\^~]/, '')
    if (!/^\d/.test(version) || found(from, name)) continue
    const top = `node_modules/${name}`
    const words = name.split(/[-/]/)
    const of = all => all.filter(word => words.includes(word) || words.includes(word.replace('arm', 'armhf')))
    lock.packages[lock.packages[top] ? `${from}/${top}` : top] = {
      version,
      optional: true,
      ...(of(CPUS).length ? { cpu: of(CPUS).slice(0, 1) } : {}),
      ...(of(SYSTEMS).length ? { os: of(SYSTEMS).slice(0, 1) } : {}),
    }
    added++
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)))
writeFileSync(FILE, `${JSON.stringify(lock, null, 2)}\n`)
console.log(`${added} entries added`)
