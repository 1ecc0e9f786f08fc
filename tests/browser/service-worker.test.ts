import { readFileSync } from 'node:fs'
import { createContext, runInContext } from 'node:vm'
import { must } from '../../core/sure'

const ORIGIN = 'http://127.0.0.1:1'
const LIST = `${ORIGIN}/api/pens?workshop=a`

/** What the server does about a question: it answers after so long, or is away. */
type Server = (address: string) => { after: number, status: number, text: string } | 'away'

/** The worker as a browser runs it, with caches in memory and a server that does as it is told. */
class Browser {
  readonly kept = new Map<string, Response>()
  /** Addresses that were given up, since nobody waited for them any longer. */
  readonly givenUp: string[] = []
  private readonly listeners = new Map<string, (event: unknown) => void>()

  constructor(private readonly server: Server) {
    const cache = {
      put: async (key: string, answer: Response) => void this.kept.set(key, answer),
      match: async (key: string) => this.kept.get(key)?.clone(),
    }
    const self = {
      location: { origin: ORIGIN },
      PROGRAM: { build: 'b', files: [] },
      addEventListener: (name: string, does: (event: unknown) => void) => this.listeners.set(name, does),
    }
    const fetched = (request: Request, { signal }: { signal: AbortSignal }) => this.fetch(request.url, signal)
    runInContext(readFileSync('public/sw.js', 'utf8'), createContext({
      self, importScripts: () => undefined, caches: { open: async () => cache }, fetch: fetched, setTimeout, URL,
      AbortController, Response, Request, Headers,
    }))
  }

  private fetch(address: string, signal: AbortSignal): Promise<Response> {
    const does = this.server(address)
    if (does === 'away') return Promise.reject(new TypeError('Failed to fetch'))
    return new Promise((resolve, reject) => {
      const timer = setTimeout(() => resolve(new Response(does.text, { status: does.status })), does.after)
      signal.addEventListener('abort', () => {
        clearTimeout(timer)
        this.givenUp.push(address)
        reject(new Error('Aborted'))
      })
    })
  }

  /** What a page is answered, and whether it is told that it was kept. */
  async ask(address = LIST): Promise<{ text: string, status: number, kept: boolean } | 'away'> {
    let answer: Promise<Response> | undefined
    const respondWith = (given: Promise<Response>) => {
      answer = given
    }
    must(this.listeners.get('fetch'), 'the worker hears of questions')({ request: new Request(address), respondWith })
    const settled = must(answer, 'it answers').then(
      async one => ({ text: await one.text(), status: one.status, kept: one.headers.has('x-oxlip-kept') }), () => 'away' as const)
    await jest.advanceTimersByTimeAsync(60_000)
    return settled
  }
}

const soon = (text: string) => ({ after: 50, status: 200, text })

describe('the service worker', () => {
  beforeEach(() => jest.useFakeTimers())
  afterEach(() => jest.useRealTimers())

  it('gives the server’s answer, unmarked, and keeps it', async () => {
    const browser = new Browser(() => soon('new'))
    expect(await browser.ask()).toEqual({ text: 'new', status: 200, kept: false })
    expect(await must(browser.kept.get(LIST), 'it is kept').text()).toBe('new')
  })

  const bad: [string, ReturnType<Server>][] = [
    ['is away', 'away'],
    ['answers after half a minute', { after: 30_000, status: 200, text: 'late' }],
    ['has no database', { after: 50, status: 503, text: 'away' }],
  ]
  it.each(bad)('gives the kept answer, marked, where the server %s, and goes on keeping it', async (_, does) => {
    let now: ReturnType<Server> = soon('kept')
    const browser = new Browser(() => now)
    await browser.ask()
    now = does
    expect(await browser.ask()).toEqual({ text: 'kept', status: 200, kept: true })
    expect(await browser.ask()).toEqual({ text: 'kept', status: 200, kept: true })
    now = soon('again')
    expect(await browser.ask()).toEqual({ text: 'again', status: 200, kept: false })
  })

  it('leaves no slow question standing in the way of others once the kept answer was given', async () => {
    let now: ReturnType<Server> = soon('kept')
    const browser = new Browser(() => now)
    await browser.ask()
    now = { after: 30_000, status: 200, text: 'late' }
    await browser.ask()
    expect(browser.givenUp).toEqual([LIST])
  })

  it('waits for a slow answer where none is kept, and tells what went wrong where there is none', async () => {
    const asked = (status: number, after: number) => new Browser(() => ({ after, status, text: 'late' })).ask()
    expect(await asked(200, 30_000)).toEqual({ text: 'late', status: 200, kept: false })
    expect(await asked(503, 50)).toEqual({ text: 'late', status: 503, kept: false })
    expect(await new Browser(() => 'away').ask()).toBe('away')
  })
})
