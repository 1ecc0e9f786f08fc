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

/** Makes pens and works each to its end in the evenings of years gone by, with defects as often as is said. */
export async function season(request: APIRequestContext, { pens, letter, made, rate, pace = () => 1, seed = 7 }: Season): Promise<Pen[]> {
  const { uniform, normal } = chance(seed)
  const all: Pen[] = []
  for (let index = 0; index < pens; index++) {
    const change = made(index)
    const data: NewPen = {
      mark: `${letter}${index + 1}`, name: `Windfall ${index + 1}`, reason: null, due: null, fitting: 'click-8', material: 'apple',
      method: 'ca-thin-first', tool: 'skew', film: 'gloss', ...change,
    }
    const answer = await request.post('/api/pens', { ...HEADERS, data })
    expect(answer.status()).toBe(201)
    const pen = (await answer.json()) as Pen
    const { plan } = (await (await request.get(`/api/pens/${pen.id}`, HEADERS)).json()) as WholePen
    let at = Date.parse('2019-01-07T19:00:00.000Z') + index * 2 * 24 * 3600_000
    const barrels = [plan!.steps[0]!.barrels[0]!]
    const entry = (kind: string, payload: object): BenchEvent =>
      ({ id: randomUUID(), pen: pen.id, kind, payload, barrels, device: 'tablet', at: new Date(at).toISOString() }) as never
    const own = pace(change)
    const events = plan!.steps.map(({ id }) => {
      at += 1000 * own * (60 + 20 * Math.abs(normal()))
      return entry('done', { step: id })
    })
    for (const [kind, often] of Object.entries(rate(change))) {
      if (uniform() < often) events.push(entry('defect', { kind, barrel: barrels[0], fromTip: 10, size: 1, step: null }))
    }
    expect((await request.post('/api/events', { ...HEADERS, data: { events } })).status()).toBe(200)
    all.push(pen)
  }
  return all
}
