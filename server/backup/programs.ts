import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

const HOME = '/usr/lib/postgresql'
/** Older ones than this lack what is used here. */
export const OLDEST = 15

/** The folder with PostgreSQL's programs as Debian installs them, the newest version; undefined when there is none that will do. */
export function postgresPrograms(): string | undefined {
  if (!existsSync(HOME)) return undefined
  return readdirSync(HOME)
    .filter(version => Number(version) >= OLDEST)
    .sort((a, b) => Number(b) - Number(a))
    .map(version => join(HOME, version, 'bin'))
    .find(bin => ['initdb', 'pg_dump', 'pg_restore'].every(program => existsSync(join(bin, program))))
}
