import { spawnSync } from 'node:child_process'
import { userInfo } from 'node:os'
import { aptInstall } from './postgres-program'
import { Plain, say } from './say'

/** Installs what puts an authority into Chromium’s own list, as root when missing. @throws Plain with the one command to run otherwise */
export function ensureCertutil(): void {
  if (!spawnSync('certutil', ['--version']).error) return
  if (userInfo().uid !== 0)
    throw new Plain(
      'certutil is missing, which the tests of the network need. Install it with:  sudo apt-get install libnss3-tools   '
      + 'then run this again.',
    )
  say('Installing libnss3-tools from Debian ...')
  aptInstall('libnss3-tools')
}
