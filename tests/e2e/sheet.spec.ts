import type { Page } from '@playwright/test'
import type { WorkshopList } from '../../contract'
import { expect, test } from '../stand'

test.use({ only: 'sheet' })

/** A file as a program writes it, in two bytes a letter with the mark of that. */
const file = (name: string, text: string, encoding: BufferEncoding = 'utf8') => {
  const mark = Buffer.from(encoding === 'utf16le' ? [0xFF, 0xFE] : [])
  return { name, mimeType: 'text/csv', buffer: Buffer.concat([mark, Buffer.from(text, encoding)]) }
}
const choose = (page: Page, chosen: ReturnType<typeof file>) => page.getByLabel('Choose a CSV file').setInputFiles(chosen)
const PAST = [
  'Pen;Style;Timber;Finish;Made;Minutes;Coats;Problems;Sold for',
  'Old plum;twist-7;Plum;Oil;24/12/2018;95;3;ridges;42,50',
  'Quince of the gate;twist-7;Quince wood;Oil;13/11/2018;;;;',
  'Bog pen;twist-7;Bog oak;Oil;14/11/2018;eighty;;;',
].join('\r\n')

test('a sheet of old pens in anybody’s columns: words said once, a cell put right, taken in, looked up, undone as one', async ({
  page, request,
}) => {
  const { workshops } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const own = workshops.find(one => one.kind === 'own')!.id
  await page.addInitScript(id => sessionStorage.setItem('oxlip-workshop', id), own)
  await page.goto('/shelf/backup')
  await page.getByRole('link', { name: 'Take a spreadsheet in' }).click()
  // As an older program writes it: two bytes a letter, commas in figures.
  await choose(page, file('pens.csv', PAST, 'utf16le'))
  await expect(page.getByRole('combobox', { name: 'What it holds' })).toHaveText('Pens made before')
  await expect(page.getByRole('combobox', { name: 'Figures are written' })).toHaveText('1,5')
  await expect(page.getByRole('combobox', { name: 'What “Timber” says' })).toHaveText('Material *')
  const first = page.getByRole('region', { name: 'The first rows as they would come in' })
  await expect(first.getByRole('row', { name: /Old plum.*24 Dec 2018.*95.*42\.50/ })).toBeVisible()
  // A guess is there for one word; for the other it is said.
  await expect(page.getByRole('button', { name: 'What “Quince wood” means' })).toHaveText(/Quince/)
  await page.getByRole('button', { name: 'What “Bog oak” means' }).click()
  await page.getByRole('option', { name: 'White oak' }).click()
  // The list gives the focus back when it closes: what is typed before that would go astray.
  await expect(page.getByRole('button', { name: 'What “Bog oak” means' })).toHaveText(/White oak/)
  await expect(page.getByRole('option')).toHaveCount(0)
  await expect(page.getByRole('heading', { name: '1 row with something wrong' })).toBeVisible()
  await expect(page.getByText('“eighty” is not one number.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take 3 rows in' })).toBeDisabled()
  const cell = page.getByLabel('Minutes of work in row 4')
  await cell.fill('80')
  await expect(cell).toHaveValue('80')
  await cell.press('Tab')
  await expect(page.getByText('with something wrong')).toHaveCount(0)
  expect((await (await request.get(`/api/pens?workshop=${own}`)).json()).pens).toEqual([])
  await page.getByRole('button', { name: 'Take 3 rows in' }).click()
  await expect(page.getByText('Pens made before, 3 rows')).toBeVisible()

  await page.getByRole('link', { name: 'Pens', exact: true }).click()
  await page.getByRole('link', { name: /Old plum/ }).click()
  await expect(page.getByText('Finished before its log was kept here')).toBeVisible()
  await expect(page.getByText('1 h 35 min', { exact: true })).toBeVisible()
  await expect(page.getByText(/Sold/).first()).toBeVisible()

  await page.goto('/shelf/sheet')
  await page.getByRole('button', { name: 'Undo: Pens made before, 3 rows' }).click()
  await expect(page.getByText('Undone.', { exact: true })).toBeVisible()
  expect((await (await request.get(`/api/pens?workshop=${own}`)).json()).pens).toEqual([])
})

test('a cell that is typed while the sheet is read anew keeps what is typed, and counts', async ({ page }) => {
  // What the worker answers comes when the test lets it.
  await page.addInitScript(() => {
    const waiting: (() => void)[] = []
    const held = Object.assign(window, { holds: false, let: () => {
      held.holds = false
      for (const one of waiting.splice(0)) one()
    } })
    window.Worker = class extends Worker {
      override set onmessage(told: (event: MessageEvent) => void) {
        super.onmessage = event => (held.holds ? waiting.push(() => told(event)) : told(event))
      }
    }
  })
  const holds = (is: boolean) => page.evaluate((one) => {
    const held = window as unknown as { holds: boolean, let: () => void }
    if (one) held.holds = true
    else held.let()
  }, is)
  await page.goto('/shelf/sheet')
  const rows = ['Blank\tWood\tHow many', 'Bough\tPear\tfew', 'Twig\tApple\tmany', 'Log\tPlum\t2', 'Stick\tPlum\t9']
  await page.getByLabel('Cells of a sheet').fill(rows.join('\n'))
  await page.getByRole('button', { name: 'Read what is pasted' }).click()
  const cell = (row: number) => page.getByRole('textbox', { name: new RegExp(`in row ${row}$`) })
  await cell(2).waitFor()
  await holds(true)
  await cell(2).fill('3')
  await cell(2).press('Tab')
  await cell(3).fill('4')
  await holds(false)
  await expect(page.getByRole('heading', { name: '1 row with something wrong' })).toBeVisible()
  await expect(cell(3)).toHaveValue('4')
  await cell(3).press('Tab')
  await expect(page.getByText('with something wrong')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Take 4 rows in' })).toBeEnabled()
})

test('what is no table is told in words; rows with faults are left out when that is said, the others come in', async ({
  page, request,
}) => {
  const { workshops } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const own = workshops.find(one => one.kind === 'own')!.id
  await page.addInitScript(id => sessionStorage.setItem('oxlip-workshop', id), own)
  await page.goto('/shelf/sheet')
  await choose(page, { name: 'pens.xlsx', mimeType: 'text/csv', buffer: Buffer.from([0x50, 0x4B, 3, 4, 0, 0]) })
  await expect(page.getByRole('alert')).toHaveText(/This is a workbook, not a table/)
  await choose(page, file('many.csv', `name,count\n${'Bough,2\n'.repeat(200_000)}`))
  await expect(page.getByRole('alert')).toHaveText(/more than 5,000 rows/)
  await page.getByLabel('Cells of a sheet').fill('Blank\tWood\tHow many\nBough from the gate\tPear\t3\nTwig\tApple\tfew\n')
  await page.getByRole('button', { name: 'Read what is pasted' }).click()
  await expect(page.getByRole('combobox', { name: 'What it holds' })).toHaveText('Blanks')
  await page.getByLabel('Leave the row with something wrong out').check()
  await page.getByRole('button', { name: 'Take 1 row in' }).click()
  await expect(page.getByText('Blanks, 1 row', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Blanks' }).click()
  await expect(page.getByText('Bough from the gate')).toBeVisible()
  await expect(page.getByText('Twig')).toHaveCount(0)
})
