import { randomUUID } from 'node:crypto'
import { expect, type APIRequestContext } from '@playwright/test'
import type { BenchEvent } from '../../core/bench'
import type { DefectKind } from '../../core/defects'
import type { Pen, WholePen } from '../../contract'
import type { NewPen } from '../../schemas'
import { chance } from './chance'

/** How a season of pens is made. */
interface Season {
  /** How many. */
  pens: number
  /** Marks begin with this letter. */
  letter: string
  /** How one of them is made. */
  made: (index: number) => Partial<NewPen>
  /** How often a kind of defect is found on it. */
  rate: (made: Partial<NewPen>) => Partial<Record<DefectKind, number>>
  /** How much longer than planned its hands take. */
  pace?: (made: Partial<NewPen>) => number
  seed?: number
}

const HEADERS = { maxRetries: 2 }
const FIRST = Date.parse('2019-01-07T19:00:00.000Z')
const TWO_DAYS = 2 * 24 * 3600_000

/** Makes pens and works each to its end in the evenings of years gone by, with defects as often as is said. */
export async function season(request: APIRequestContext, { pens, letter, made, rate, pace = () => 1, seed = 7 }: Season): Promise<void> {
  const { uniform } = chance(seed)
  for (let index = 0; index < pens; index++) {
    const change = made(index)
    const data: NewPen = {
      mark: `${letter}${index + 1}`, name: `Windfall ${index + 1}`, reason: null, due: null, fitting: 'click-8', material: 'apple',
      method: 'ca-thin-first', tool: 'skew', film: 'gloss', ...change,
    }
    const answer = await request.post('/api/pens', { ...HEADERS, data })
    expect(answer.status()).toBe(201)
    const found = Object.entries(rate(change)).flatMap(([kind, often]) => (uniform() < often ? [kind as DefectKind] : []))
    await finish(request, (await answer.json()) as Pen, { from: FIRST + index * TWO_DAYS, pace: pace(change), found, seed: seed + index })
  }
}

/** Works pens to their end, each with what is found on it. */
export async function workToEnd(request: APIRequestContext, pens: readonly Pen[], found: (index: number) => readonly DefectKind[]) {
  for (const [index, pen] of pens.entries())
    await finish(request, pen, { from: FIRST - (index + 1) * TWO_DAYS, pace: 1, found: found(index), seed: index })
}

interface Evening {
  from: number
  pace: number
  found: readonly DefectKind[]
  seed: number
}

async function finish(request: APIRequestContext, pen: Pen, { from, pace, found, seed }: Evening): Promise<void> {
  const { normal } = chance(seed)
  const { plan } = (await (await request.get(`/api/pens/${pen.id}`, HEADERS)).json()) as WholePen
  const { steps } = plan!
  const barrels = [steps[0]!.barrels[0]!]
  let at = from
  const entry = (kind: string, payload: object): BenchEvent =>
    ({ id: randomUUID(), pen: pen.id, kind, payload, barrels, device: 'tablet', at: new Date(at).toISOString() }) as never
  const events = steps.map(({ id }) => {
    at += 1000 * pace * (60 + 20 * Math.abs(normal()))
    return entry('done', { step: id })
  })
  events.push(...found.map(kind => entry('defect', { kind, barrel: barrels[0], fromTip: 10, size: 1, step: null })))
  expect((await request.post('/api/events', { ...HEADERS, data: { events } })).status()).toBe(200)
}
