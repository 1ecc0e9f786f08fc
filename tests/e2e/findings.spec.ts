import type { Pen, WholePen } from '../../contract'
import type { NewPen } from '../../schemas'
import { expect, test } from '../stand'
import { season, workToEnd } from '../support/season'

// Only the demo’s pens and those that are made here.
test.use({ only: 'findings' })

const tools = ['skew', 'gouge'] as const

test('a question cannot be told yet, says how many pens more it takes, and is told once they are there; every number opens', async ({
  page, request,
}) => {
  test.setTimeout(120_000)
  const gougeChips = ({ tool }: Partial<NewPen>) => ({ chip: tool === 'gouge' ? 1 : 0 })
  await season(request, { pens: 6, letter: 'V', made: index => ({ tool: tools[index % 2]! }), rate: gougeChips })
  await page.goto('/findings?of=chip&by=tool')
  await expect(page.getByText(/^from \d+ pens finished or given up$/)).toBeVisible()
  const answer = page.getByRole('region', { name: /cannot be told yet: about \d+ pens? more of each would tell/ })
  await expect(answer).toBeVisible()
  await expect(page.getByText('Nothing does.')).toBeVisible()

  // A gouge chips, and an oak takes its time.
  await season(request, {
    pens: 56, letter: 'W', made: index => ({ tool: tools[index % 2]!, material: index % 4 < 2 ? 'apple' : 'oak' }),
    rate: ({ tool }) => ({ chip: tool === 'gouge' ? 0.75 : 0.05 }), pace: ({ material }) => (material === 'oak' ? 1.6 : 1),
  })
  await page.reload()
  const told = page.getByRole('region', { name: /^Gouge: \d+ of \d+, the others \d+ of \d+: .* more .*; sure\.$/ })
  await expect(told).toBeVisible()
  const out = page.getByRole('region', { name: 'What stands out' })
  await expect(out.getByRole('button', { name: /Chip, tear-out, turning tool: gouge/ })).toBeVisible()
  await expect(out).toContainText('Leave it out on the next pens')
  // The number opens to its pens, all of which have it.
  const [, hits] = /^Gouge: (\d+) of/.exec((await told.getByRole('heading').textContent())!)!
  await told.getByRole('button', { name: new RegExp(`^${hits} of \\d+ pens, gouge$`) }).click()
  await expect(told.getByRole('list', { name: 'Pens behind this number' }).getByRole('listitem')).toHaveCount(Number(hits))
  // Another question, put together from its parts, stands in the address.
  await page.getByRole('combobox', { name: 'Of what' }).click()
  await page.getByRole('option', { name: 'Minutes in all' }).click()
  await page.getByRole('combobox', { name: 'By what' }).click()
  await page.getByRole('option', { name: 'wood or resin' }).click()
  await expect(page.getByRole('region', { name: /^(Oak|Apple): \d+ min (more|less) than the others .*sure\.$/ })).toBeVisible()
  await page.getByRole('combobox', { name: 'Among which', exact: true }).click()
  await page.getByRole('option', { name: 'by turning tool' }).click()
  await expect(page).toHaveURL(/of=minutes&by=wood&among=tool:/)
  // Half of the pens were turned with either tool.
  const some = page.getByRole('region', { name: /^(Oak|Apple): \d+ min (more|less) than the others/ })
  const counts = async () => (await some.getByRole('button').allTextContents()).map(Number).filter(Boolean)
  await expect.poll(async () => Math.max(...await counts())).toBeLessThan(20)
  await page.getByRole('combobox', { name: 'Among which, 2' }).click()
  await page.getByRole('option', { name: 'by finish' }).click()
  await expect(page).toHaveURL(/among=tool:[^&]+&among=method:/)
  await page.reload()
  await expect(page.getByRole('combobox', { name: 'Of which value, 2' })).toBeVisible()
  await expect(page.getByRole('region', { name: /^(Oak|Apple): \d+ min (more|less) than the others/ })).toBeVisible()
  await page.getByRole('combobox', { name: 'Among which', exact: true }).click()
  await page.getByRole('option', { name: 'take this away' }).click()
  await expect(page).toHaveURL(/of=minutes&by=wood&among=method:[^&]+$/)
})

test('two ways are tried out to their end: drawn by lot, planned so, and told once all pens are over', async ({ page, request, pen }) => {
  test.setTimeout(90_000)
  const pens: Pen[] = []
  for (const name of ['Tried one', 'Tried two', 'Tried three', 'Tried four']) pens.push(await pen({ name }))
  await page.goto('/findings?of=chip&by=tool')
  await page.getByRole('button', { name: 'Try two ways out' }).click()
  const form = page.getByRole('form', { name: 'Try two ways out' })
  await expect(form.getByText(/^\d+ would find what is there four times in five\.$/)).toBeVisible()
  await form.getByRole('spinbutton').fill('2')
  await form.getByRole('button', { name: 'Begin' }).click()
  const trial = page.getByRole('article', { name: /^Chip, tear-out: (skew or gouge|gouge or skew)$/ })
  await expect(trial).toContainText('0 of 4 pens are over')
  const drawn: string[] = []
  for (const { id, mark, name } of pens) {
    const [, way] = /The next pen: (skew|gouge), as the lot has it/.exec((await trial.textContent())!)!
    drawn.push(way!)
    await trial.getByRole('combobox', { name: 'Give it to' }).click()
    await page.getByRole('option', { name: `${mark} ${name}` }).click()
    await expect(page.getByText(`${mark} is planned with: ${way}.`)).toBeVisible()
    await expect.poll(async () => ((await (await request.get(`/api/pens/${id}`)).json()) as WholePen).pen.tool).toBe(way)
  }
  expect([...drawn].sort()).toEqual(['gouge', 'gouge', 'skew', 'skew'])
  await expect(trial).toContainText('What came of it is told once all are over.')
  await workToEnd(request, pens, index => (drawn[index] === 'gouge' ? ['chip'] : []))
  await page.reload()
  await expect(trial).toContainText('4 of 4 pens are over')
  await expect(trial).toContainText('Gouge: 2 of 2, the others 0 of 2: 100 in 100 more')
})

test('pens like one are found in the log, say in what they differ, and one is made like that one', async ({ page, request, pen }) => {
  const alike = { material: 'quince', tool: 'round carbide' } as const
  await season(request, { pens: 1, letter: 'Y', made: () => ({ ...alike, method: 'ca-medium-only' }), rate: () => ({ chip: 1 }) })
  const made = await pen({ ...alike, method: 'ca-thin-first' })
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('button', { name: 'Pens like this one' }).click()
  const like = page.getByRole('region', { name: 'Pens like this one' }).getByRole('listitem').filter({ hasText: 'Y1' })
  await expect(like).toContainText('chip, tear-out')
  await like.getByRole('button', { name: /otherwise in .*finish/ }).click()
  await expect(like).toContainText('counts 3')
  await like.getByRole('button', { name: 'Make it like Y1' }).click()
  await expect(page.getByText('Made like Y1. The plan follows.', { exact: true })).toBeVisible()
  const now = (await (await request.get(`/api/pens/${made.id}`)).json()) as WholePen
  expect(now.pen.method).toBe('ca-medium-only')
  expect(now.plan!.inputs.wishes.ladder!.length).toBeGreaterThan(1)
})

test('in pictures: a figure from pen to pen with its bounds, and defects where they lie on the barrel', async ({
  page, request,
}) => {
  await season(request, { pens: 10, letter: 'Q', made: () => ({}), rate: () => ({ bleed: 1 }) })
  await page.goto('/findings/pictures')
  const course = page.getByRole('region', { name: 'From pen to pen' })
  await expect(course.getByRole('status')).toHaveText(/^\d+ min on the mean; by chance it goes from \d+ min to \d+ min\. (Beyond that|None lies)/)
  await expect(course.getByRole('img', { name: /^Minutes in all, pen by pen: / })).toBeVisible()
  await course.getByText('As a table').click()
  await expect(course.getByRole('row', { name: /^Q10/ })).toContainText(/\d+ min/)
  const places = page.getByRole('region', { name: 'Where on the barrel' })
  await places.getByRole('combobox', { name: 'Which defect' }).click()
  await page.getByRole('option', { name: 'Colour bleed' }).click()
  const strip = places.getByRole('article').filter({ hasText: '8 mm one-barrel click' })
  await expect(strip.locator('svg .fault').nth(9)).toBeAttached()
  // All of them lie 10 mm from the tip.
  const [, tip, middle, clip] = await strip.getByRole('row').nth(1).locator('th, td').allTextContents()
  expect(Number(tip)).toBeGreaterThanOrEqual(10)
  expect([middle, clip]).toEqual(['0', '0'])
})

test('in pictures: times by step, film beside what was planned, waits beside the air; each as a table too', async ({ page, request }) => {
  const air = (index: number) => ({ celsius: 16 + index, humidity: 70 })
  await season(request, { pens: 2, letter: 'U', made: () => ({}), rate: () => ({}), builds: () => 2, air })
  await page.goto('/findings/pictures')
  const picture = (name: string) => page.getByRole('region', { name })
  const times = picture('Times by step')
  await expect(times.getByRole('img', { name: /^How long each kind of step takes/ })).toBeVisible()
  await times.getByText('As a table').click()
  await expect(times.getByRole('row', { name: /^Turning \d+ steps? / })).toBeVisible()
  const film = picture('Film, built and planned')
  await expect(film.getByRole('status'))
    .toContainText(/^\d+ measurements: \d+ µm built on the mean, \d+ µm planned\. Further off than by half: \d+\.$/)
  await film.getByText('As a table').click()
  await expect(film.getByRole('row', { name: /^U2 .* µm built, .* µm planned$/ }).first()).toBeVisible()
  const waits = picture('Waits and the air')
  await waits.getByRole('combobox', { name: 'Which wait' }).click()
  await page.getByRole('option', { name: 'Cures to hand over' }).click()
  await waits.getByText('As a table').click()
  await expect(waits.getByRole('row', { name: /^U2 / }).first()).toContainText('17.0 °C, 70 %')
  await expect(waits.getByRole('img', { name: /^How long it waited, by the air/ })).toBeVisible()
})

test('what was learnt is shown with what is usual, and counts for nothing once it is set aside', async ({ page, request }) => {
  await season(request, { pens: 2, letter: 'X', made: () => ({}), rate: () => ({}), pace: () => 2 })
  await page.goto('/findings')
  await page.getByRole('link', { name: 'What Oxlip learnt of you' }).click()
  const row = page.getByRole('region', { name: 'Pace', exact: true }).getByRole('row', { name: /Coats/ })
  await expect(row).toContainText(/× \d+\.\d\d/)
  const paces = async () => (await (await request.get('/api/learnt')).json()).hands.paces as object
  expect(await paces()).toHaveProperty('coat')
  // Another device that looks at it too sees that it is set aside, without being asked.
  const other = await page.context().newPage()
  await other.goto('/findings/hands')
  await expect(other.getByRole('button', { name: 'Set aside: Coats' })).toBeVisible()
  await row.getByRole('button', { name: 'Set aside: Coats' }).click()
  await expect(row.getByRole('button', { name: 'Take in again: Coats' })).toBeVisible()
  await expect(other.getByRole('button', { name: 'Take in again: Coats' })).toBeVisible()
  await other.close()
  expect(await paces()).not.toHaveProperty('coat')
  await page.reload()
  await row.getByRole('button', { name: 'Take in again: Coats' }).click()
  await expect(row.getByRole('button', { name: 'Set aside: Coats' })).toBeVisible()
  expect(await paces()).toHaveProperty('coat')
})
