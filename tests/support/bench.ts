import { randomUUID } from 'node:crypto'
import { expect, type APIRequestContext, type Locator, type Page } from '@playwright/test'
import { replay, type BenchEvent } from '../../core/bench'
import type { Step } from '../../core/plan'
import type { Pen } from '../../contract'
import type { Workshop } from '../../schemas'

/** The next thing to do, in the largest letters of the work screen. */
export const title = (page: Page): Locator => page.locator('.title')

/** Two presses closer than this count as one finger that bounced, ms: the pace of a test’s presses. */
const PACE = [620]

const isThere = async (page: Page, then: string | RegExp): Promise<boolean> => {
  const says = (await title(page).textContent()) ?? ''
  return typeof then === 'string' ? says === then : then.test(says)
}

/** Presses until the next thing to do stands there; what came a little late on a busy machine is not pressed past. */
async function until(page: Page, then: string | RegExp, press: () => Promise<void>, timeout: number): Promise<void> {
  await expect(async () => {
    if (await isThere(page, then)) return
    const before = (await title(page).textContent()) ?? ''
    await press()
    // The first press only begins, and a bounce changes nothing: then the title stays.
    await expect(title(page))
      .not.toHaveText(before, { timeout: 1500 })
      .catch(() => undefined)
    expect(await isThere(page, then)).toBe(true)
  }).toPass({ timeout, intervals: PACE })
}

/** Presses the space bar, or the foot pedal that sends it, until the next thing to do stands there. */
export const space = (page: Page, then: string | RegExp, timeout = 30_000): Promise<void> =>
  until(page, then, () => page.keyboard.press('Space'), timeout)

/** Presses the yellow key by what it says until the next thing to do stands there. */
export const press = (page: Page, says: string | RegExp, then: string | RegExp): Promise<void> =>
  until(page, then, () => page.getByRole('button', { name: says }).click({ timeout: 2000 }), 20_000)

/** A server closes connections that were idle; a request on one is made again. */
const AGAIN = { maxRetries: 2 }

/** Has the workshop read in other units, as its settings do. */
export async function readUnits(request: APIRequestContext, units: Workshop['units']): Promise<void> {
  const { celsius: _, humidity: __, ...kept } = (await (await request.get('/api/workshop', AGAIN)).json()) as Workshop
  const answer = await request.put('/api/workshop', { ...AGAIN, data: { ...kept, units } })
  expect(answer.status()).toBe(200)
}

/** What the server has of a pen. */
export const kept = async (
  request: APIRequestContext,
  pen: Pick<Pen, 'id'>,
): Promise<{ events: BenchEvent[], steps: Step[], planVersion: number }> => {
  const { events, plan, pen: now } = await (await request.get(`/api/pens/${pen.id}`, AGAIN)).json()
  return { events, steps: plan.steps, planVersion: now.planVersion }
}

/** Enters every step of a pen before this one, ten minutes apart, the last of them so many minutes ago; answers what stands there next. */
export async function workTo(
  request: APIRequestContext,
  pen: Pick<Pen, 'id'>,
  is: (step: Step) => boolean,
  minutesAgo = 30,
): Promise<Step> {
  const { steps } = await kept(request, pen)
  const before = steps.slice(0, steps.findIndex(is))
  const now = Date.now()
  const events = before.map((step, index) => ({
    id: randomUUID(),
    pen: pen.id,
    kind: 'done',
    barrels: step.barrels,
    device: 'test',
    payload: { step: step.id },
    at: new Date(now - (minutesAgo + (before.length - 1 - index) * 10) * 60_000).toISOString(),
  }))
  const answer = await request.post('/api/events', { ...AGAIN, data: { events } })
  expect(answer.status()).toBe(200)
  return steps[before.length]!
}

/** Enters all that is left of a pen as its mends have it, as another device would; the screen follows to the end. */
export async function finish(page: Page, request: APIRequestContext, pen: Pick<Pen, 'id'>): Promise<void> {
  await sent(page)
  const { events, plan } = await (await request.get(`/api/pens/${pen.id}`, AGAIN)).json()
  const left = replay(plan, events).steps.filter(one => one.status === 'open')
  expect(left.length).toBeGreaterThan(2)
  const answer = await request.post('/api/events', {
    ...AGAIN,
    data: {
      events: left.map(({ step }, index) => ({
        id: randomUUID(),
        pen: pen.id,
        kind: 'done',
        barrels: step.barrels,
        device: 'test',
        payload: { step: step.id },
        at: new Date(Date.now() + index).toISOString(),
      })),
    },
  })
  expect(answer.status()).toBe(200)
  await expect(title(page)).toHaveText('Finished')
}

/** Waits until the server has everything that was entered on the page. */
export const sent = (page: Page): Promise<void> => expect.poll(() => unsent(page)).toBe(0)

/** How many entries lie in the browser's own store, not sent yet. */
const unsent = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    // Opened before the page has made it, it would be made here without its rows.
    const name = (await indexedDB.databases()).find(one => one.name?.startsWith('oxlip-outbox-'))?.name
    if (!name) return 0
    return new Promise<number>((resolve) => {
      const asked = indexedDB.open(name)
      asked.onsuccess = () => {
        const found = asked.result.transaction('entries').objectStore('entries').count()
        found.onsuccess = () => {
          asked.result.close()
          resolve(found.result)
        }
      }
    })
  })

/** Everything before a step was done a while ago. */
export async function doneUpTo(request: APIRequestContext, pen: Pen, step: string) {
  const { plan } = (await (await request.get(`/api/pens/${pen.id}`)).json()) as { plan: { steps: { id: string }[] } }
  const before = plan.steps.slice(
    0,
    plan.steps.findIndex(one => one.id === step),
  )
  const sent = await request.post('/api/events', {
    data: {
      events: before.map(({ id }, index) => ({
        id: crypto.randomUUID(),
        pen: pen.id,
        kind: 'done',
        barrels: ['only'],
        device: 'test',
        payload: { step: id },
        at: new Date(Date.now() - 86_400_000 + index).toISOString(),
      })),
    },
  })
  expect(sent.ok()).toBe(true)
}
