import { replay } from '../../core/bench'
import { trace } from '../../core/plan'
import { expect, test } from '../stand'
import { kept, sent, space, title, workTo } from '../support/bench'

test('an untidy evening: a fill, a grit again, a coat wiped off, levelled again, the pads twice, a remark: told right after', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(180_000)
  const made = await pen({ name: 'Untidy', method: 'ca-thin-staged' })
  await workTo(request, made, step => step.kind === 'turn')
  const planned = (await kept(request, made)).steps
  const key = (name: string | RegExp) => page.getByRole('button', { name })
  const group = (name: string) => page.getByRole('group', { name })
  const sheet = page.getByRole('region', { name: 'What else was done?' })

  // A void shows while it is turned: it is filled before the ladder.
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Turn to size')
  await page.keyboard.press('w')
  await page.getByRole('radio', { name: /^Void/ }).check({ force: true })
  await page.getByRole('img', { name: /tap where the defect is/ }).click()
  await page.locator('.ways .key').first().click()
  await expect(page.getByText(/under way/)).toBeVisible()
  await sent(page)

  // The ladder is done, and then a coarse grit again: what was finer has to follow.
  const grits = planned.filter(step => step.kind === 'sand')
  await workAll(grits.at(-1)!.id)
  await page.reload()
  await expect(title(page)).toHaveText(/^Blow off/)
  await page.keyboard.press('e')
  await expect(sheet).toBeVisible()
  const first = grits[0]!.abrasive.mark
  await expect(group('Sanded again with').getByRole('button', { name: `P${first}` })).toContainText(`${grits.length - 1} step`)
  await group('Sanded again with').getByRole('button', { name: `P${first}` }).click()
  await expect(title(page)).toHaveText(`P${grits[1]!.abrasive.mark}`)
  // Taken back it was never there; put back it is.
  await page.keyboard.press('z')
  await expect(title(page)).toHaveText(/^Blow off/)
  await page.keyboard.press('y')
  await expect(title(page)).toHaveText(`P${grits[1]!.abrasive.mark}`)
  for (const [index] of grits.slice(1).entries())
    await space(page, index + 2 < grits.length ? `P${grits[index + 2]!.abrasive.mark}` : /^Blow off/)

  // A coat is wiped off while it is wet: the film is what it was, and the coat has to go on again.
  await space(page, 'Thin CA, coat 1')
  await space(page, 'Thin CA, coat 2')
  const on = page.getByRole('figure', { name: /of \d+ coats on/ })
  const filmBefore = await on.innerText()
  await space(page, /coat 3/)
  await expect(on).not.toHaveText(filmBefore)
  await page.keyboard.press('e')
  await key(/^The last coat is wiped off/).click()
  await expect(title(page)).toHaveText('Thin CA, coat 2')
  await expect.poll(() => on.innerText()).toBe(filmBefore)

  // Levelled again with P400 once the ladder on the film is over: finer ones follow. Then the pads once more.
  const last = planned.findLast(step => step.kind === 'smooth')!
  await sent(page)
  await workAll(last.id)
  await page.reload()
  await expect(title(page)).toHaveText(/polish/i)
  await page.keyboard.press('e')
  const p400 = group('Levelled again with').getByRole('button', { name: 'P400' })
  await expect(p400).toContainText(/◆ \d+ µm left in the end, \d steps? to follow/)
  await p400.click()
  await expect(title(page)).not.toHaveText(/polish/i)
  await sent(page)
  const { events: sofar, plan } = await whole()
  const levelled = replay(plan, sofar)
  const traced = trace(levelled.plan)
  const done = new Set(levelled.steps.filter(one => one.status === 'done').map(one => one.step.id))
  const at = traced.steps.find(({ step }) => step.kind === 'level' && step.mend && done.has(step.id))!
  // 0.15 of P400’s 35 µm are left in the film, whatever was done before.
  expect(at.after.filmScratch).toBeCloseTo(0.15 * 35, 1)
  await page.keyboard.press('e')
  await key(/^Ran the pads again/).click()
  await page.keyboard.press('e')
  await page.getByLabel('A remark, for the record').fill('Too warm in here tonight')
  await sheet.getByRole('button', { name: 'Keep' }).click()
  await expect(sheet).toHaveCount(0)
  await sent(page)
  await page.goto(`/pens/${made.id}/record`)
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('Too warm in here tonight')
  await expect(page.getByRole('row', { name: /beside the plan/ }).first()).toBeVisible()

  async function whole() {
    return (await request.get(`/api/pens/${made.id}`)).json()
  }
  /** Everything that is open, what was put in among it, is done up to and with this step, a while ago. */
  async function workAll(upTo: string) {
    const { events, plan } = await whole()
    const open = replay(plan, events).steps
    const left = open.slice(0, open.findIndex(one => one.step.id === upTo) + 1).filter(one => one.status === 'open')
    const answer = await request.post('/api/events', {
      data: {
        events: left.map(({ step }, index) => ({
          id: crypto.randomUUID(), pen: made.id, kind: 'done', barrels: step.barrels, device: 'test', payload: { step: step.id },
          at: new Date(Date.now() - (left.length - index) * 20).toISOString(),
        })),
      },
    })
    expect(answer.status()).toBe(200)
  }
})

test('a paper bought since the pen was planned can be sanded with, and stands in its record', async ({ page, pen, request }) => {
  const made = await pen({ name: 'A new paper' })
  await workTo(request, made, step => step.kind === 'clean', 60 * 10)
  expect((await request.put('/api/shelf', { data: { item: 'P-280', there: true } })).ok()).toBe(true)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText(/Blow off|Wipe/)
  await page.keyboard.press('e')
  const sheet = page.getByRole('region', { name: 'What else was done?' })
  await sheet.getByRole('group', { name: 'Sanded again with' }).getByRole('button', { name: /^P280/ }).click()
  // Coarser than the last grit: that one has to follow.
  await expect(title(page)).toHaveText(/^P\d+$/)
  const item = { id: 'P-280', scale: 'P', mark: 280 }
  await expect
    .poll(async () => (await kept(request, made)).events.at(-1))
    .toMatchObject({ kind: 'extra', payload: { work: 'sand', with: 'P-280', item } })
  const { steps } = await kept(request, made)
  expect(steps.some(step => 'abrasive' in step && step.abrasive.id === 'P-280')).toBe(false)
  await page.goto(`/pens/${made.id}/record`)
  await expect(page.getByRole('row', { name: /P280.*beside the plan/ })).toBeVisible()
  await request.put('/api/shelf', { data: { item: 'P-280', there: false } })
})
