import { must } from '../../core/sure'
import { chromium, type Browser } from '@playwright/test'
import type { PenPage } from '../../contract'
import { buildIfNeeded } from './build'
import { chromiumLaunch, ensureChromium } from './chromium'
import { startStand } from './stand'

/** A browser beside an Oxlip of its own, with the path to a view of a demo pen, by its mark. */
export interface DemoBrowser {
  browser: Browser
  /** The base of its addresses, for pages and contexts. */
  baseURL: string
  at: (mark: string, view?: string) => string
}

/** Runs something in the real browser on the demo data, and clears up after it. */
export async function withDemoBrowser(run: (demo: DemoBrowser) => Promise<void>): Promise<void> {
  ensureChromium()
  await buildIfNeeded()
  const stand = await startStand()
  const browser = await chromium.launch(chromiumLaunch())
  try {
    const pens = ((await (await fetch(`${stand.address}/api/pens`)).json()) as PenPage).pens
    await run({
      browser,
      baseURL: stand.address,
      at: (mark, view = '') => `/pens/${must(pens.find(one => one.pen.mark === mark), `the demo has ${mark}`).pen.id}${view}`,
    })
  } finally {
    await browser.close()
    await stand.end()
  }
}
