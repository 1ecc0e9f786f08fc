import { spawn } from 'node:child_process'
import { expect, test } from '../stand'
import { freePort } from '../../scripts/lib/ports'

test('a page that opens while the database is away says so, and is there by itself when it is back', async ({ page, stand, request }) => {
  await stand.killDatabase()
  try {
    for (const path of ['/api/pens', '/api/bench', '/api/workshops', '/api/live'])
      expect((await request.get(path)).status(), path).toBe(503)
    await page.goto('/')
    await expect(page.getByText('The database does not answer')).toBeVisible()
  } finally {
    await stand.startDatabase()
  }
  await expect(page.getByRole('heading', { name: /on the bench/ })).toBeVisible()
  await expect(page.getByText('The database does not answer')).toHaveCount(0)
  await expect(page.getByText('not connected')).toHaveCount(0)
})

test('a screen that finds the server slow shows what it has, says so, and goes on by itself', async ({ page, stand }) => {
  await page.goto('/')
  const heading = page.getByRole('heading', { name: /on the bench/ })
  await expect(heading).toBeVisible()
  await expect(page.getByText('not connected')).toHaveCount(0)
  stand.freeze(true)
  try {
    await expect(page.getByText(/not connected|not fresh/)).toBeVisible()
    await expect(heading).toBeVisible()
    await page.getByRole('link', { name: 'Pens', exact: true }).first().click()
    await expect(page.getByText('Not to be had just now')).toHaveCount(0)
  } finally {
    stand.freeze(false)
  }
  await expect(page.getByRole('link', { name: /Apple|Pear/ }).first()).toBeVisible()
  await expect(page.getByText(/not connected|not fresh/)).toHaveCount(0)
})

test('a log that nobody takes any more does not stop the server', async ({ stand }) => {
  const port = await freePort()
  const address = `http://127.0.0.1:${port}`
  const own = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, NITRO_PORT: String(port), NITRO_HOST: '127.0.0.1', OXLIP_DATABASE_URL: stand.databaseUrl, OXLIP_DEMO: '0' },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  const ended = new Promise(resolve => own.once('exit', resolve))
  const health = () => fetch(`${address}/api/health`, { signal: AbortSignal.timeout(5000) }).then(answer => answer.status, () => 0)
  try {
    await expect.poll(health, { timeout: 60_000 }).toBe(200)
    own.stdout.destroy()
    own.stderr.destroy()
    await stand.killDatabase()
    for (let time = 0; time < 5; time++) expect((await fetch(`${address}/api/pens`)).status).toBe(503)
    await stand.startDatabase()
    await expect.poll(health).toBe(200)
  } finally {
    own.kill('SIGTERM')
    await ended
  }
})
