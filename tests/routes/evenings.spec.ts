import { randomUUID } from 'node:crypto'
import ICAL from 'ical.js'
import type { EveningsKept, WorkshopList } from '../../contract'
import type { KeptPlan, Pin } from '../../schemas'
import { expect, test } from '../stand'

test.use({ only: 'evenings kept' })

const pinOf = (pen: string, change: Partial<Pin> = {}): Pin =>
  ({ id: randomUUID(), pen, kind: 'first', step: null, at: null, group: null, weight: null, ...change })
const planOf = (change: Partial<KeptPlan> = {}): KeptPlan => ({
  day: '2019-03-30', madeAt: '2019-03-30T18:00:00.000Z', evenings: [], waits: [], promised: [], blocks: [], ...change,
})

test('hours are kept day by day, taken back, and refused where they cannot be', async ({ request }) => {
  const put = (data: unknown) => request.put('/api/evenings/hours', { data })
  const spans = [{ from: '19:00', to: '21:30' }, { from: '22:00', to: '24:00' }]
  expect(await (await put({ who: 'turner', day: '5', spans })).json()).toEqual([{ who: 'turner', day: '5', spans }])
  await put({ who: 'helper', day: '2019-11-30', spans: [] })
  const { hours } = (await (await request.get('/api/evenings')).json()) as EveningsKept
  expect(hours).toEqual([{ who: 'helper', day: '2019-11-30', spans: [] }, { who: 'turner', day: '5', spans }])
  for (const [wrong, field] of [
    [{ who: 'turner', day: '8', spans: [] }, 'day'],
    [{ who: 'turner', day: '2019-02-30', spans: [] }, 'day'],
    [{ who: 'nobody', day: '5', spans: [] }, 'who'],
    [{ who: 'turner', day: '5', spans: [{ from: '21:30', to: '19:00' }] }, 'spans[0]'],
    [{ who: 'turner', day: '5', spans: [{ from: '7 pm', to: '21:00' }] }, 'spans[0].from'],
    [{ who: 'turner', day: '5', spans: [...spans].reverse() }, 'spans'],
  ] as const) {
    const answer = await put(wrong)
    expect(answer.status()).toBe(422)
    expect(Object.keys((await answer.json()).fields)).toContain(field)
  }
  expect(await (await put({ who: 'helper', day: '2019-11-30', spans: null })).json()).toHaveLength(1)
})

test('wishes are kept by their ids; one about a pen that is not there is refused', async ({ request, pen }) => {
  const made = await pen()
  const wish = pinOf(made.id)
  const put = (data: Pin) => request.put('/api/evenings/pins', { data })
  expect(await (await put(wish)).json()).toContainEqual(wish)
  const other = { ...wish, kind: 'not before' as const, at: '2019-11-30T19:00:00.000Z' }
  const kept = (await (await put(other)).json()) as Pin[]
  expect(kept.filter(one => one.id === wish.id)).toEqual([other])
  const lost = await put(pinOf(randomUUID()))
  expect(lost.status()).toBe(422)
  expect((await lost.json()).fields.pen).toMatch(/that is here/)
  expect(await (await request.delete(`/api/evenings/pins/${wish.id}`)).json()).toEqual([])
  expect((await request.delete(`/api/evenings/pins/${wish.id}`)).status()).toBe(200)
})

test('planned pens come with what they are worked out from, those due first; begun ones do not', async ({ request, pen }) => {
  const [later, sooner, begun] = [await pen({ due: '2031-12-07' }), await pen({ due: '2031-12-05' }), await pen({ due: '2031-12-01' })]
  const event = { id: randomUUID(), pen: begun.id, kind: 'done', payload: { step: 'parts' }, barrels: ['only'], device: 'x' }
  await request.post('/api/events', { data: { events: [{ ...event, at: new Date().toISOString() }] } })
  const { planned, more } = (await (await request.get('/api/evenings')).json()) as EveningsKept
  const ids = planned.map(one => one.pen.id)
  expect(ids.indexOf(sooner.id)).toBeGreaterThanOrEqual(0)
  expect(ids.indexOf(sooner.id)).toBeLessThan(ids.indexOf(later.id))
  expect(ids).not.toContain(begun.id)
  expect(planned.find(one => one.pen.id === later.id)!.plan!.steps.length).toBeGreaterThan(10)
  expect(more).toBe(0)
})

test('the calendar is read by a parser that is not ours, over a change to summer time, with alarms and whole days', async ({ request }) => {
  // In London clocks go forward on 31 March 2019: nineteen hours there is 19:00 UTC the day before and 18:00 after.
  const long = 'Sand with P240, and on to a remark; with commas, semicolons \\ and quite a lot of words that do not go into one line of it'
  const plan = planOf({
    evenings: [
      { from: '2019-03-30T19:00:00.000Z', to: '2019-03-30T21:30:00.000Z',
        groups: [{ at: '2019-03-30T19:00:00.000Z', seconds: 600, title: long, marks: ['A3', 'B1'] }] },
      { from: '2019-03-31T18:00:00.000Z', to: '2019-03-31T20:30:00.000Z',
        groups: [{ at: '2019-03-31T18:00:00.000Z', seconds: 60, title: 'Press', marks: ['A3'] }] },
      { from: '2019-04-01T18:00:00.000Z', to: '2019-04-01T20:30:00.000Z', groups: [] },
    ],
    waits: [{ mark: 'A3', title: 'ready after: Glue the tube', until: '2019-03-31T02:15:00.000Z' }],
    promised: [{ mark: 'A3', name: 'Pear, by the well', day: '2019-04-06' }],
  })
  expect((await request.put('/api/evenings/plan', { data: plan })).status()).toBe(200)
  const answer = await request.get('/api/evenings/calendar.ics')
  expect(answer.headers()['content-type']).toBe('text/calendar; charset=utf-8')
  const text = await answer.text()
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
  const events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map(one => new ICAL.Event(one))
  expect(events.map(one => one.startDate.isDate ? one.startDate.toString() : one.startDate.toJSDate().toISOString())).toEqual([
    '2019-03-30T19:00:00.000Z', '2019-03-31T18:00:00.000Z', '2019-03-31T02:15:00.000Z', '2019-04-06',
  ])
  expect(events[0]!.summary).toBe('At the lathe: A3 B1')
  expect(events[0]!.description).toContain(`${long}: A3 B1, 10 min`)
  expect(events[1]!.endDate.toJSDate().getTime() - events[1]!.startDate.toJSDate().getTime()).toBe(2.5 * 3600 * 1000)
  const alarm = events[2]!.component.getFirstSubcomponent('valarm')!
  expect([alarm.getFirstPropertyValue('action'), String(alarm.getFirstPropertyValue('trigger'))]).toEqual(['DISPLAY', 'PT0S'])
  expect(events[3]!.summary).toBe('A3 Pear, by the well is promised')
  expect(new Set(events.map(one => one.uid)).size).toBe(events.length)
  // Planned anew it is the same things under the same names.
  await request.put('/api/evenings/plan', { data: { ...plan, madeAt: '2019-03-30T19:30:00.000Z' } })
  const again = new ICAL.Component(ICAL.parse(await (await request.get('/api/evenings/calendar.ics')).text()) as never)
  expect(again.getAllSubcomponents('vevent').map(one => new ICAL.Event(one).uid)).toEqual(events.map(one => one.uid))
  // Whoever helps has evenings of their own beside them.
  await request.put('/api/evenings/plan', { data: { ...plan, helps: [{ ...plan.evenings[1], from: '2019-03-31T17:30:00.000Z' }] } })
  const both = new ICAL.Component(ICAL.parse(await (await request.get('/api/evenings/calendar.ics')).text()) as never)
    .getAllSubcomponents('vevent').map(one => new ICAL.Event(one))
  expect(both.filter(one => !events.some(({ uid }) => uid === one.uid)).map(one => [one.summary, one.startDate.toJSDate().toISOString()]))
    .toEqual([['Who helps: A3', '2019-03-31T17:30:00.000Z']])
  expect(both).toHaveLength(events.length + 1)
})

test('an evening keeps what it was to be first; a secret address opens its own workshop’s calendar, until it is taken away', async ({
  request,
}) => {
  const group = { at: '2019-05-01T18:00:00.000Z', seconds: 60, title: 'First thought', marks: ['A3'] }
  const evening = (title: string) =>
    [{ from: '2019-05-01T18:00:00.000Z', to: '2019-05-01T20:00:00.000Z', groups: [{ ...group, title }] }]
  for (const title of ['First thought', 'Second thought'])
    await request.put('/api/evenings/plan', { data: planOf({ day: '2019-05-01', evenings: evening(title) }) })
  const begins = '2019-05-01T18:00:00.000Z'
  const shown = ['turn', 'coat.1'].map(step => ({ pen: randomUUID(), step }))
  const last = shown.map(one => ({ ...one, begins, ends: begins }))
  await request.put('/api/evenings/plan', { data: planOf({ day: '2019-05-01', evenings: evening('Second thought'), blocks: last }) })
  const kept = (await (await request.get('/api/evenings')).json()) as EveningsKept
  expect(kept.shown).toEqual(shown)
  const { past } = kept
  expect(past[0]).toMatchObject({ day: '2019-05-01', first: { evenings: [{ groups: [{ title: 'First thought' }] }] } })

  const secret = async () => ((await (await request.post('/api/evenings/calendar')).json()) as { calendar: string }).calendar
  const first = await secret()
  const read = (key: string) => request.get(`/api/calendar/${key}.ics`)
  expect(await (await read(first)).text()).toContain('Second thought')
  const { workshops, opens } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const other = workshops.find(one => one.id !== opens)!
  const elsewhere = ((await (await request.post(`/api/evenings/calendar?workshop=${other.id}`)).json()) as { calendar: string }).calendar
  expect(await (await read(elsewhere)).text()).not.toContain('thought')
  const second = await secret()
  expect((await read(first)).status()).toBe(404)
  expect((await read(second)).status()).toBe(200)
  await request.delete('/api/evenings/calendar')
  expect((await read(second)).status()).toBe(404)
  expect((await read('')).status()).toBe(404)
})
