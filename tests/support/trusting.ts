import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser, type BrowserContextOptions, type BrowserContext } from '@playwright/test'
import { chromiumLaunch } from '../../scripts/lib/chromium'

/** A Chromium with a home of its own, whose list of authorities has this one; `localhost` and `names` lead to loopback. */
export interface Trusting {
  browser: Browser
  /** A device: a context whose service workers are let be. */
  device: (options?: BrowserContextOptions) => Promise<BrowserContext>
  end: () => Promise<void>
}

/** Starts one that trusts an authority, as a device does on which somebody took its certificate in. */
export async function trusting(authority: string, names: readonly string[] = []): Promise<Trusting> {
  const home = mkdtempSync(join(tmpdir(), 'oxlip-home-'))
  const store = join(home, '.pki/nssdb')
  mkdirSync(store, { recursive: true })
  execFileSync('certutil', ['-d', `sql:${store}`, '-N', '--empty-password'])
  execFileSync('certutil', ['-d', `sql:${store}`, '-A', '-t', 'C,,', '-n', 'workshop', '-i', authority])
  const rules = names.map(name => `MAP ${name} 127.0.0.1`).join(',')
  const launch = chromiumLaunch()
  const browser = await chromium.launch({
    ...launch, args: [...launch.args, ...(rules ? [`--host-resolver-rules=${rules}`] : [])],
    env: { ...process.env as Record<string, string>, HOME: home },
  })
  return {
    browser,
    device: options => browser.newContext({ viewport: { width: 1024, height: 768 }, locale: 'en-GB', serviceWorkers: 'allow', ...options }),
    end: async () => {
      await browser.close()
      rmSync(home, { recursive: true, force: true })
    },
  }
}
