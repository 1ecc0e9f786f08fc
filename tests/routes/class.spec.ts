import { randomUUID } from 'node:crypto'
import { expect, test as base, type APIRequestContext } from '@playwright/test'
import type { ClassPage, Pen, StoredEvent, WholePen, WorkshopList } from '../../contract'
import type { Plan } from '../../core/plan'
import { startStand, type Stand } from '../../scripts/lib/stand'
import { chance } from '../support/chance'
import { deviceOf, somebody } from '../support/door'

const test = base.extend<{ stand: Stand }>({
  // Playwright reads what a fixture needs from this pattern.
  // eslint-disable-next-line no-empty-pattern
  stand: async ({}, use) => {
    const stand = await startStand({ isShared: true })
    await use(stand)
    await stand.end()
  },
  baseURL: ({ stand }, use) => use(stand.address),
})

/** So many pupils for so long, s; each does something about this often, s. */
const [PUPILS, LONG, EACH] = [30, 600, 40]
const BEGAN = Date.parse('2026-11-23T18:00:00.000Z')

interface Sent { id: string, pen: string, by: string }
/** One pupil: a phone that goes on and off the network, and somebody who mostly waits for the teacher. */
interface Pupil {
  device: APIRequestContext
  person: string
  pen: Pen
  plan: Plan
  done: number
  hasty: boolean
  kept: object[]
  sent: Sent[]
}

test('thirty pupils and a teacher for ten minutes: nothing is lost or twice, and who was too early is seen', async ({
  stand, request,
}) => {
  test.setTimeout(240_000)
  const { workshops } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const workshop = workshops.find(one => one.kind === 'own')!.id
  const asked = `workshop=${workshop}`
  const teacher = await deviceOf(stand, request, workshop, await somebody(request, workshop, 'owner'))
  const people = []
  for (let index = 0; index < PUPILS; index++) people.push(await somebody(request, workshop, 'pupil'))
  const made = await teacher.post(`/api/classes?${asked}`, {
    data: {
      id: randomUUID(), name: 'Saturday', fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
      people: people.map(one => one.id),
      work: { looks: ['turn', 'sand'], cautions: ['Shield on'], tools: [], clearing: [], free: [], criteria: ['Shape'] },
    },
  })
  expect(made.status()).toBe(201)
  const { id } = (await made.json()) as { id: string }
  const look = async () => (await (await teacher.get(`/api/classes/${id}?${asked}`)).json()) as ClassPage
  const { seats } = await look()
  expect(seats).toHaveLength(PUPILS)
  const pupils: Pupil[] = []
  for (const [index, person] of people.entries()) {
    const { pen } = seats.find(one => one.person === person.id)!.pen
    const device = await deviceOf(stand, request, workshop, person)
    const { plan } = (await (await device.get(`/api/pens/${pen.id}?${asked}`)).json()) as WholePen
    pupils.push({ device, person: person.id, pen, plan: plan!, done: 0, hasty: index % 10 === 3, kept: [], sent: [] })
  }
  const { uniform } = chance(30)
  const gates = new Map<string, Set<string>>(pupils.map(one => [one.pen.id, new Set()]))
  const enter = (pupil: Pupil, seconds: number, kind: string, payload: object) => {
    const entry = {
      id: randomUUID(), pen: pupil.pen.id, kind, payload, barrels: kind === 'done' ? ['only'] : [], device: 'phone',
      at: new Date(BEGAN + seconds * 1000 + pupil.sent.length).toISOString(),
    }
    pupil.kept.push(entry)
    pupil.sent.push({ id: entry.id, pen: pupil.pen.id, by: pupil.person })
  }
  const teach: Sent[] = []
  for (let second = 0; second < LONG; second += EACH / 2) {
    await Promise.all(pupils.map(async (pupil) => {
      const next = pupil.plan.steps[pupil.done]
      if (!next || uniform() < 0.3) return
      const seen = gates.get(pupil.pen.id)!
      if (next.kind !== 'parts' && !seen.has('cautions')) {
        enter(pupil, second, 'gate', { gate: 'cautions', how: 'agreed' })
        seen.add('cautions')
      } else if (['turn', 'sand'].includes(next.kind) && !seen.has(next.kind) && !pupil.hasty) {
        if (!seen.has(`${next.kind} asked`)) enter(pupil, second, 'gate', { gate: next.kind, how: 'asked' })
        seen.add(`${next.kind} asked`)
      } else {
        enter(pupil, second, 'done', { step: next.id })
        pupil.done += 1
      }
      // One phone in four is off the network just now; what is sent may be sent twice, since the answer got lost.
      if (uniform() < 0.25) return
      for (let times = uniform() < 0.2 ? 2 : 1; times > 0; times--) {
        const answer = await pupil.device.post(`/api/events?${asked}`, { data: { events: pupil.kept } })
        expect(answer.status()).toBe(200)
      }
      pupil.kept = []
    }))
    const waiting = (await look()).seats.filter(one => one.standing?.held?.what === 'look' && one.standing.held.since)
    if (!waiting.length) continue
    const events = waiting.map(({ pen, standing }) => ({
      id: randomUUID(), pen: pen.pen.id, kind: 'gate', barrels: [], device: 'teacher’s phone',
      payload: { gate: standing!.held!.what === 'look' ? (standing!.held as { gate: string }).gate : '', how: 'seen' },
      at: new Date(BEGAN + (second + 5) * 1000).toISOString(),
    }))
    expect((await teacher.post(`/api/events?${asked}`, { data: { events } })).status()).toBe(200)
    for (const one of events) {
      gates.get(one.pen)!.add(one.payload.gate)
      teach.push({ id: one.id, pen: one.pen, by: 'teacher' })
    }
  }
  for (const pupil of pupils) if (pupil.kept.length) await pupil.device.post(`/api/events?${asked}`, { data: { events: pupil.kept } })

  const after = await look()
  for (const pupil of pupils) {
    const { events } = (await (await teacher.get(`/api/pens/${pupil.pen.id}?${asked}`)).json()) as { events: StoredEvent[] }
    const own = events.filter(one => one.by === pupil.person).map(one => one.id)
    expect(own.sort()).toEqual(pupil.sent.map(one => one.id).sort())
    expect(events.length).toBe(own.length + teach.filter(one => one.pen === pupil.pen.id).length)
    const seat = after.seats.find(one => one.person === pupil.person)!
    expect(seat.pen.summary.stepsDone).toBe(pupil.done)
    const past = ['turn', 'sand'].filter(kind => pupil.plan.steps.slice(0, pupil.done).some(step => step.kind === kind))
    expect(seat.standing!.early.map(one => one.gate).sort()).toEqual(pupil.hasty ? past.sort() : [])
  }
  expect(pupils.some(one => one.hasty && one.done > 8)).toBe(true)
  expect(teach.length).toBeGreaterThan(PUPILS / 2)
  // None of them helps another, says what a teacher says, or changes what is the class’s.
  const [first, second] = pupils as [Pupil, Pupil]
  const tried = (pen: string, payload: object) => first.device.post(`/api/events?${asked}`, {
    data: { events: [{ id: randomUUID(), pen, kind: 'gate', payload, barrels: [], device: 'x', at: '2026-11-23T19:00:00.000Z' }] },
  })
  expect((await tried(first.pen.id, { gate: 'turn', how: 'seen' })).status()).toBe(422)
  expect((await tried(second.pen.id, { gate: 'turn', how: 'asked' })).status()).toBe(422)
  const change = await first.device.patch(`/api/pens/${first.pen.id}?${asked}`, { data: { version: 1, material: 'pear' } })
  expect(change.status()).toBe(403)
  expect(await change.json()).toMatchObject({ message: expect.stringContaining('Ask your teacher') })
})
