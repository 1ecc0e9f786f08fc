import { nth } from '../../core/sure'
import { execFileSync, spawnSync } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import { userInfo } from 'node:os'
import { join } from 'node:path'
import { OLDEST, postgresPrograms } from '../../server/backup/programs'
import { Plain, say } from './say'

/** Where PostgreSQL's programs are; as root they are installed when missing. @throws Plain with the one command to run */
export function ensurePostgres(): string {
  const found = postgresPrograms()
  if (found) return found
  if (userInfo().uid !== 0)
    throw new Plain('PostgreSQL is missing. Install it with:  sudo apt-get install postgresql   then run this again.')
  say('Installing PostgreSQL from Debian ...')
  // The package would start a server of its own; Oxlip runs its own instead.
  const settings = '/etc/postgresql-common/createcluster.d'
  const noCluster = join(settings, 'oxlip.conf')
  execFileSync('mkdir', ['-p', settings])
  writeFileSync(noCluster, 'create_main_cluster = false\n')
  try {
    aptInstall('postgresql')
  } finally {
    rmSync(noCluster, { force: true })
  }
  const installed = postgresPrograms()
  if (!installed) throw new Plain(`Debian's postgresql package is older than ${OLDEST}. Oxlip needs PostgreSQL ${OLDEST} or newer.`)
  return installed
}

/** Installs a Debian package. @throws Plain when that fails */
export function aptInstall(name: string): void {
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const run = (...words: string[]) => spawnSync('apt-get', words, { env, encoding: 'utf8' })
  run('update', '-qq')
  const done = run('install', '-y', '-qq', name)
  if (done.status !== 0)
    throw new Plain(
      `${name} could not be installed: ${(done.stderr ?? '').trim().split('\n').at(-1) || 'apt-get is missing'}. Install it by `
      + `hand: apt-get install ${name}`,
    )
}

/** How PostgreSQL's programs are run, which refuse root: the words before the command, and who must own its files. */
export interface Identity {
  prefix: readonly string[]
  owner?: { uid: number, gid: number }
}

/**
 * As an ordinary user: as that user. As root: in a user namespace where root's files look like those of `postgres`, or, where
 * namespaces are not allowed, as the user `postgres` itself, to whom the data then belong.
 */
export function identity(): Identity {
  if (userInfo().uid !== 0) return { prefix: [] }
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }))
  const [uid, gid] = [id('-u'), id('-g')]
  const namespace = ['unshare', '--user', `--map-user=${uid}`, `--map-group=${gid}`, '--']
  if (spawnSync(nth(namespace, 0), [...namespace.slice(1), 'true']).status === 0) return { prefix: namespace }
  return { prefix: ['setpriv', `--reuid=${uid}`, `--regid=${gid}`, '--clear-groups', '--'], owner: { uid, gid } }
}
