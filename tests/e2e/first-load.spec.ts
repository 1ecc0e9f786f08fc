import type { Page } from '@playwright/test'
import { expect, test } from '../stand'
import { doneUpTo } from '../support/bench'

// Pens of other tests would come to the end of their waits while the page is drawn.
test.use({ only: 'first-load' })

/** Script until the first picture, bytes as they come over the line. */
const MOST_SCRIPT = 200_000
/** Files of script until then: a browser asks for six at a time. */
const MOST_FILES = 20
/** How much may move while a page is drawn (the sum of the browser’s layout shifts). */
const MOST_MOVED = 0.02

interface Drawn {
  moved: number
  /** What moved, from where to where. */
  what: string[]
  script: number
  files: string[]
  faces: string[]
}

/** Opens a page cold and tells what it took until its heading stood, and what moved until it was at rest. */
async function open(page: Page, path: string, heading: string): Promise<Drawn> {
  await page.addInitScript(() => {
    const self = globalThis as unknown as { moved: { by: number, what: string }[] }
    interface Shift { value: number, sources: { node: Element | null, previousRect: DOMRect, currentRect: DOMRect }[] }
    self.moved = []
    new PerformanceObserver((list) => {
      for (const { value, sources } of list.getEntries() as unknown as Shift[]) {
        const at = ({ x, y, width, height }: DOMRect) => [x, y, width, height].map(Math.round).join(' ')
        const whose = (node: Element | null) => node?.className ?? node?.textContent
        const what = sources.map(one => `${whose(one.node)}: ${at(one.previousRect)} to ${at(one.currentRect)}`).join('; ')
        self.moved.push({ by: value, what })
      }
    }).observe({ type: 'layout-shift', buffered: true })
  })
  await page.goto(path)
  await page.locator(heading).first().waitFor()
  const loaded = () => page.evaluate(() => performance.getEntriesByType('resource').map((one) => {
    const { name, encodedBodySize, initiatorType } = one as PerformanceResourceTiming
    return { name: name.replace(location.origin, ''), bytes: encodedBodySize, by: initiatorType }
  }))
  const first = await loaded()
  await page.waitForLoadState('networkidle', { timeout: 3000 }).catch(() => undefined)
  const moved = await page.evaluate(() => (globalThis as unknown as { moved: { by: number, what: string }[] }).moved)
  const script = first.filter(one => one.name.endsWith('.js') && !one.name.includes('worker'))
  return {
    moved: moved.reduce((sum, one) => sum + one.by, 0),
    what: moved.map(one => one.what),
    script: script.reduce((sum, one) => sum + one.bytes, 0),
    files: first.map(one => one.name),
    faces: first.filter(one => one.name.endsWith('.woff2')).map(one => `${one.name.replace(/^.*\/([a-z-]+)-latin.*$/, '$1')} by ${one.by}`),
  }
}

test('the bench and the work screen come light, in their own faces, and nothing moves', async ({ page, context, request, pen }) => {
  // Nothing waits on it, so that nothing comes to its end while the page is drawn.
  const made = await pen()
  await doneUpTo(request, made, 'turn')
  for (const [path, heading] of [['/', 'h1'], [`/pens/${made.id}/work`, '.title']] as const) {
    const fresh = path === '/' ? page : await context.newPage()
    const drawn = await open(fresh, path, heading)
    expect(drawn.moved, `${path} ${drawn.what.join(', ')}`).toBeLessThan(MOST_MOVED)
    const scripts = drawn.files.filter(one => one.endsWith('.js'))
    expect(drawn.script, `${path} ${scripts.join(' ')}`).toBeLessThan(MOST_SCRIPT)
    expect(scripts.length, `${path} ${scripts.join(' ')}`).toBeLessThanOrEqual(MOST_FILES)
    // The faces come with the page, not when the first heading asks for them.
    for (const face of ['bricolage-grotesque', 'atkinson-hyperlegible-next']) expect(drawn.faces, path).toContain(`${face} by link`)
    await context.clearCookies()
  }
})

test('what the server answers is compressed', async ({ stand }) => {
  const ask = async (path: string, accepts: string) => {
    const answer = await fetch(`${stand.address}${path}`, { headers: { 'accept-encoding': accepts } })
    return { how: answer.headers.get('content-encoding'), text: await answer.text(), type: answer.headers.get('content-type') }
  }
  const plain = await ask('/api/bench', 'identity')
  const small = await ask('/api/bench', 'gzip')
  expect([plain.how, small.how]).toEqual([null, 'gzip'])
  expect(JSON.parse(small.text)).toEqual(JSON.parse(plain.text))
  expect(small.type).toContain('application/json')
  expect((await ask('/api/health', 'gzip')).how).toBeNull()
  const [script] = /\/_nuxt\/[\w-]+\.js/.exec((await ask('/', 'identity')).text)!
  expect((await ask(script, 'br')).how).toBe('br')
  expect((await ask(script, 'gzip')).how).toBe('gzip')
})
