import { existsSync } from 'node:fs'
import { userInfo } from 'node:os'
import { aptInstall } from './postgres-program'
import { Plain, say } from './say'

const PATH = '/usr/bin/chromium'

/** How Debian's Chromium is launched: without its sandbox only as root, where it would refuse to run. */
export const chromium = {
  executablePath: PATH,
  args: [
    '--disable-dev-shm-usage',
    '--disable-background-networking',
    '--disable-component-update',
    '--no-first-run',
    ...(userInfo().uid === 0 ? ['--no-sandbox'] : []),
  ],
}

/** Installs Chromium as root when it is missing. @throws Plain with the one command to run otherwise */
export function ensureChromium(): void {
  if (existsSync(PATH)) return
  if (userInfo().uid !== 0)
    throw new Plain(
      'Chromium is missing, which the end-to-end tests need. Install it with:  sudo apt-get install chromium   then run this again.',
    )
  say('Installing Chromium from Debian ...')
  aptInstall('chromium')
}
