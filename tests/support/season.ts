import { randomUUID } from 'node:crypto'
import { expect, type APIRequestContext } from '@playwright/test'
import type { BenchEvent } from '../../core/bench'
import type { DefectKind } from '../../core/defects'
import { stepWaits, trace } from '../../core/plan'
import type { Pen, WholePen } from '../../contract'
import type { NewPen, Workshop } from '../../schemas'
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
  /** By how much more its coats build than planned; measured before the first and after the last. */
  builds?: (made: Partial<NewPen>) => number
  /** The air it is planned for. */
  air?: (index: number) => { celsius: number, humidity: number }
  seed?: number
}

const HEADERS = { maxRetries: 2 }
const FIRST = Date.parse('2019-01-07T19:00:00.000Z')
const TWO_DAYS = 2 * 24 * 3600_000

/** Makes pens and works each to its end in the evenings of years gone by, with defects as often as is said. */
export async function season(request: APIRequestContext, told: Season): Promise<void> {
  const { pens, letter, made, rate, pace = () => 1, builds, air, seed = 7 } = told
  const { uniform } = chance(seed)
  for (let index = 0; index < pens; index++) {
    const change = made(index)
    const data: NewPen = {
      mark: `${letter}${index + 1}`, name: `Windfall ${index + 1}`, reason: null, due: null, fitting: 'click-8', material: 'apple',
      method: 'ca-thin-first', tool: 'skew', film: 'gloss', ...change,
    }
    if (air) await setAir(request, air(index))
    const answer = await request.post('/api/pens', { ...HEADERS, data })
    expect(answer.status()).toBe(201)
    const found = Object.entries(rate(change)).flatMap(([kind, often]) => (uniform() < often ? [kind as DefectKind] : []))
    await finish(request, (await answer.json()) as Pen, {
      from: FIRST + index * TWO_DAYS, pace: pace(change), found, seed: seed + index, ...(builds ? { builds: builds(change) } : {}),
    })
  }
}

/** Works pens to their end, each with what is found on it. */
export async function workToEnd(request: APIRequestContext, pens: readonly Pen[], found: (index: number) => readonly DefectKind[]) {
  for (const [index, pen] of pens.entries())
    await finish(request, pen, { from: FIRST - (index + 1) * TWO_DAYS, pace: 1, found: found(index), seed: index })
}

async function setAir(request: APIRequestContext, air: { celsius: number, humidity: number }): Promise<void> {
  const { celsius: _, humidity: __, ...kept } = (await (await request.get('/api/workshop', HEADERS)).json()) as Workshop
  expect((await request.put('/api/workshop', { ...HEADERS, data: { ...kept, air } })).status()).toBe(200)
}

interface Evening {
  from: number
  pace: number
  found: readonly DefectKind[]
  seed: number
  builds?: number
}

async function finish(request: APIRequestContext, pen: Pen, { from, pace, found, seed, builds }: Evening): Promise<void> {
  const { normal } = chance(seed)
  const { plan } = (await (await request.get(`/api/pens/${pen.id}`, HEADERS)).json()) as WholePen
  const { steps } = plan!
  const barrels = [steps[0]!.barrels[0]!]
  let at = from
  const entry = (kind: string, payload: object): BenchEvent =>
    ({ id: randomUUID(), pen: pen.id, kind, payload, barrels, device: 'tablet', at: new Date(at).toISOString() }) as never
  const films = new Map(trace(plan!).steps.map(({ step, before, after }) => [step.id, after.film.mean - before.film.mean]))
  const coats = steps.filter(step => step.kind === 'coat')
  const events: BenchEvent[] = []
  let diameter = 11
  const measure = (step: string) => events.push(entry('measure', { barrel: barrels[0], fromTip: 5, diameter, step }))
  for (const step of steps) {
    // Where it matters how long waits were, they are kept, a little longer or shorter.
    const wait = builds === undefined ? 0 : Math.max(0, ...stepWaits(plan!, step, plan!.inputs.climate).map(one => one.length.value))
    at += 1000 * (wait * (1.2 + 0.2 * normal()) + pace * (60 + 20 * Math.abs(normal())))
    if (builds !== undefined && step === coats[0]) measure(step.id)
    if (builds !== undefined && step.kind === 'coat') diameter += 0.002 * builds * Math.abs(1 + 0.2 * normal()) * films.get(step.id)!
    at += 1
    events.push(entry('done', { step: step.id }))
    at += 1
    if (builds !== undefined && step.kind === 'coat') measure(step.id)
  }
  events.push(...found.map(kind => entry('defect', { kind, barrel: barrels[0], fromTip: 10, size: 1, step: null })))
  expect((await request.post('/api/events', { ...HEADERS, data: { events } })).status()).toBe(200)
}
