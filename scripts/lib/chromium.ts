import { existsSync } from 'node:fs'
import { userInfo } from 'node:os'
import { join } from 'node:path'
import { aptInstall } from './postgres-program'
import { Plain, say } from './say'

/** The one without a window is quicker, which the tests are glad of; the whole browser does as well where it is there. */
const SHELL = 'chromium-headless-shell'
const WHOLE = 'chromium'
const pathOf = (name: string): string => join('/usr/bin', name)
const isThere = (name: string): boolean => existsSync(pathOf(name))

/** How Debian's Chromium is launched: without its sandbox only as root, where it would refuse to run. */
export const chromiumLaunch = () => ({
  executablePath: pathOf(isThere(SHELL) ? SHELL : WHOLE),
  args: [
    '--disable-dev-shm-usage',
    '--disable-background-networking',
    '--disable-component-update',
    '--no-first-run',
    ...(userInfo().uid === 0 ? ['--no-sandbox'] : []),
  ],
})

/** Installs Chromium as root when it is missing. @throws Plain with the one command to run otherwise */
export function ensureChromium(): void {
  if (isThere(SHELL)) return
  if (userInfo().uid !== 0) {
    if (isThere(WHOLE)) return
    throw new Plain(
      `Chromium is missing, which the end-to-end tests need. Install it with:  sudo apt-get install ${SHELL}   then run this again.`,
    )
  }
  say('Installing Chromium from Debian ...')
  try {
    aptInstall(SHELL)
  } catch (error) {
    if (!isThere(WHOLE)) throw error
    say('It could not be had without a window: the whole browser is taken, which is slower.')
  }
}
