import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import type { Pen, PenPage, WholePen, WorkshopList } from '../contract'
import type { StepKind } from '../core/plan'
import { must, nth } from '../core/sure'
import { say } from '../scripts/lib/say'
import { withDemoBrowser } from '../scripts/lib/demo-browser'
import { show } from './measure'

const CROWDS = [5, 10, 20]
const PRESSES = 30
const CHANGES = 50
/** Two presses closer than this count as one finger that bounced, ms. */
const PACE = 650
/** How long nobody touches the screen, ms. */
const IDLE = 10_000

/**
 * The work screen with ever more pens on the bench: from a key to the new picture, how long the page is held up while nobody touches it,
 * and what is left behind in the page by going from pen to pen.
 */
export async function crowdBench(): Promise<void> {
  await withDemoBrowser(async ({ browser, baseURL }) => {
    const opens = await workshopOf(baseURL)
    const ask = askIn(baseURL, opens)
    let there = ((await ask<PenPage>('GET', '/api/pens?stage=in%20work')).pens).length
    for (const crowd of CROWDS) {
      for (; there < crowd; there++) await startPen(ask, there)
      const context = await browser.newContext({ baseURL, serviceWorkers: 'block' })
      const page = await context.newPage()
      await page.addInitScript('globalThis.__name = one => one')
      const { pens } = await ask<PenPage>('GET', '/api/pens?stage=in%20work')
      await page.goto(`/pens/${nth(pens, 0).pen.id}/work`)
      await page.locator('.title').waitFor()
      await page.waitForTimeout(3000)
      show(`${crowd} pens: the space key until the picture is drawn`, await presses(page))
      const held = await idle(page)
      show(`${crowd} pens: tasks while nobody touches it`, held.length ? held : [0])
      const [before, after] = await elements(page)
      say(`${crowd} pens: elements before ${before} and after ${after} with ${CHANGES} changes of pen`)
      await context.close()
    }
  })
}

export const workshopOf = async (baseURL: string): Promise<string> =>
  ((await (await fetch(`${baseURL}/api/workshops`)).json()) as WorkshopList).opens

export type Ask = <T>(method: string, path: string, body?: unknown) => Promise<T>

export const askIn = (baseURL: string, workshop: string): Ask => async <T>(method: string, path: string, body?: unknown) => {
  const answer = await fetch(`${baseURL}${path}${path.includes('?') ? '&' : '?'}workshop=${workshop}`, {
    method, ...(body ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {}),
  })
  if (!answer.ok) throw new Error(`${method} ${path}: ${await answer.text()}`)
  return (await answer.json()) as T
}

/** Starts a pen and works it up to somewhere, or to a step of this kind. Answers its id. */
export async function startPen(ask: Ask, index: number, to?: StepKind): Promise<string> {
  const [material, method] = [nth(['apple', 'pear', 'damson'], index % 3), nth(['ca-thin-first', 'ca-medium-only'], index % 2)]
  const pen = await ask<Pen>('POST', '/api/pens', {
    mark: `X${index + 1}`, name: 'Crowd', fitting: 'twist-7', material, method, tool: 'skew', film: 'gloss', reason: null, due: null,
  })
  const plan = must((await ask<WholePen>('GET', `/api/pens/${pen.id}`)).plan, 'it was planned just now')
  const upTo = to === undefined ? 4 + ((index * 7) % (plan.steps.length - 10)) : plan.steps.findIndex(step => step.kind === to)
  const done = plan.steps.slice(0, upTo)
  const from = Date.now() - 60_000 * (done.length + 1)
  await ask('POST', '/api/events', {
    sentAt: new Date().toISOString(),
    events: done.map((step, at) => ({
      id: randomUUID(), pen: pen.id, kind: 'done', barrels: step.barrels, at: new Date(from + at * 60_000).toISOString(), device: 'crowd',
      payload: { step: step.id },
    })),
  })
  return pen.id
}

/** Milliseconds from the key to the frame after the words there have changed: done and taken back, time after time. */
export async function presses(page: Page, where = '.work'): Promise<number[]> {
  const taken: number[] = []
  for (let press = 0; press < PRESSES; press++) {
    taken.push(await page.evaluate(async ({ key, where }) => {
      const before = document.querySelector(where)?.textContent ?? ''
      const start = performance.now()
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
      while (document.querySelector(where)?.textContent === before) await new Promise(resolve => setTimeout(resolve, 0))
      await new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve, 0)))
      return performance.now() - start
    }, { key: press % 2 ? 'z' : ' ', where }))
    await page.waitForTimeout(PACE)
  }
  return taken
}

/** How long the page was held up at a time, ms, as far as the browser tells (from 50 ms on). */
const idle = (page: Page): Promise<number[]> =>
  page.evaluate(async (span) => {
    const held: number[] = []
    const watch = new PerformanceObserver(list => held.push(...list.getEntries().map(one => one.duration)))
    watch.observe({ type: 'longtask' })
    await new Promise(resolve => setTimeout(resolve, span))
    watch.disconnect()
    return held
  }, IDLE)

/** Elements of the page after two changes of pen, and after many. */
async function elements(page: Page): Promise<[string, string]> {
  const session = await page.context().newCDPSession(page)
  const count = async () => {
    await session.send('HeapProfiler.collectGarbage')
    const { nodes, jsEventListeners } = await session.send('Memory.getDOMCounters')
    return `${await page.evaluate(() => document.querySelectorAll('*').length)} (${nodes} nodes, ${jsEventListeners} listeners)`
  }
  const change = async (times: number) => {
    for (let time = 0; time < times; time++) {
      const [from, figure] = [page.url(), String(1 + (time % 5))]
      await page.keyboard.press(figure)
      await page.waitForURL(url => url.href !== from)
      await page.locator('.title').waitFor()
    }
    await page.waitForTimeout(500)
  }
  await change(10)
  const before = await count()
  await change(CHANGES)
  return [before, await count()]
}
