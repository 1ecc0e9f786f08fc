import { spawnSync } from 'node:child_process'
import { userInfo } from 'node:os'
import { aptInstall } from './postgres-program'
import { Plain, say } from './say'

/** Installs the programs that tests read PDF with, as root when they are missing. @throws Plain with the one command to run otherwise */
export function ensurePoppler(): void {
  if (!spawnSync('pdftotext', ['-v']).error) return
  if (userInfo().uid !== 0)
    throw new Plain(
      'pdftotext is missing, which the tests of papers need. Install it with:  sudo apt-get install poppler-utils   then run this again.',
    )
  say('Installing poppler-utils from Debian ...')
  aptInstall('poppler-utils')
}
