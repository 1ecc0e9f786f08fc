import { replay } from '../../core/bench'
import type { Pen } from '../../contract'
import type { APIRequestContext, Page } from '@playwright/test'
import { expect, test } from '../stand'
import { kept, sent, workTo } from '../support/bench'

const key = (page: Page, name: string) => page.getByRole('button', { name, exact: true })
async function standing(request: APIRequestContext, pen: Pen) {
  const { events, plan } = await (await request.get(`/api/pens/${pen.id}`)).json()
  const { next, steps } = replay(plan, events)
  return { next: next!.id, at: (id: string) => steps.find(one => one.step.id === id && 'at' in one) as { at: string } | undefined }
}

test('a wrong pen, a wrong time, two pens swapped, something forgotten: put right from the record, all by entries', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(120_000)
  const [one, other] = [await pen({ name: 'Taken for the other' }), await pen({ name: 'The other' })]
  await workTo(request, one, step => step.id === 'coat.2', 20)
  await workTo(request, other, step => step.id === 'coat.1', 60)
  await page.goto(`/pens/${one.id}/record`)
  await page.getByText('Put something right: a time, a pen, something forgotten').click()
  const log = page.getByRole('region', { name: 'Everything entered' })
  const entry = log.getByRole('listitem').filter({ hasText: /^.*Thin CA, coat 1: a step done/ })

  // “That was the other one.”
  await entry.getByRole('button', { name: 'Another pen' }).click()
  await key(page, 'Put it right').click()
  await expect(entry.getByRole('alert')).toHaveText('◆ Choose the other pen.')
  await entry.getByLabel('It was done on').selectOption({ label: `${other.mark}, ${other.name}` })
  await key(page, 'Put it right').click()
  await expect(entry).toHaveCount(0)
  await sent(page)
  expect([(await standing(request, one)).next, (await standing(request, other)).next]).toEqual(['coat.1', 'coat.2'])

  // Forgotten, and put in at its time; then at another time.
  const form = page.getByRole('form', { name: 'Something was forgotten' })
  await form.getByLabel('What was done').selectOption({ label: 'Thin CA, coat 1' })
  await form.getByLabel('When it was done').fill('2026-01-05T10:30')
  await key(page, 'Put it in').click()
  await expect(entry).toHaveCount(1)
  await entry.getByRole('button', { name: 'Another time' }).click()
  await entry.getByLabel('It was done at').fill('2999-01-05T10:30')
  await key(page, 'Put it right').click()
  await expect(entry.getByRole('alert')).toHaveText('◆ That time is still to come.')
  const then = new Date(Date.now() - 600_000)
  then.setSeconds(0, 0)
  const local = new Date(then.getTime() - then.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
  await entry.getByLabel('It was done at').fill(local)
  await key(page, 'Put it right').click()
  await expect(entry.getByRole('alert')).toHaveCount(0)
  await sent(page)
  await expect.poll(async () => (await standing(request, one)).at('coat.1')?.at).toBe(then.toISOString())

  // Taken for one another since then: each has what the other had.
  await page.reload()
  await page.getByText('Put something right: a time, a pen, something forgotten').click()
  const before = await Promise.all([one, other].map(each => kept(request, each)))
  await entry.getByRole('button', { name: 'Swapped from here on' }).click()
  await entry.getByLabel('All since then was done on the other of the two:').selectOption({ label: `${other.mark}, ${other.name}` })
  await key(page, 'Put it right').click()
  await expect(entry).toHaveCount(0)
  await sent(page)
  expect([(await standing(request, one)).next, (await standing(request, other)).next]).toEqual(['coat.1', 'coat.3'])
  // Nothing was removed.
  const after = await Promise.all([one, other].map(each => kept(request, each)))
  for (const [index, now] of after.entries())
    expect(now.events.map(event => event.id)).toEqual(expect.arrayContaining(before[index]!.events.map(event => event.id)))
})
