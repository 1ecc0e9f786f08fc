import { test as base, expect, type APIRequestContext } from '@playwright/test'
import { startStand, type Stand } from '../scripts/lib/stand'
import type { NewPen } from '../schemas'
import type { Pen } from '../contract'

/** Tests with an Oxlip of their worker’s own; with one of the file’s own, that no other test has worked in, where `only` names it. */
export const test = base.extend<{ pen: (change?: Partial<NewPen>) => Promise<Pen> }, { stand: Stand, only: string }>({
  only: ['', { option: true, scope: 'worker' }],
  stand: [
  // Playwright reads what a fixture needs from this pattern.
  // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      // Nobody waits half a minute for half a body here.
      process.env.OXLIP_BODY_PATIENCE = '2000'
      const stand = await startStand()
      await use(stand)
      await stand.end()
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: ({ stand }, use) => use(stand.address),
  pen: async ({ request }, use) => use(change => startPen(request, change)),
})

let number = 100 + Math.floor(Math.random() * 400)

async function startPen(request: APIRequestContext, change: Partial<NewPen> = {}): Promise<Pen> {
  const data: NewPen = {
    mark: `T${number++}`,
    name: 'Test apple',
    reason: null,
    due: null,
    fitting: 'click-8',
    material: 'apple',
    method: 'ca-thin-first',
    tool: 'skew',
    film: 'gloss',
    ...change,
  }
  const answer = await request.post('/api/pens', { data })
  expect(answer.status()).toBe(201)
  return (await answer.json()) as Pen
}

export { expect }
