import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020.js'
import addFormats from 'ajv-formats'
import { parse } from 'csv-parse/sync'
import { expect, test } from '../stand'

const shipped = JSON.parse(readFileSync('schemas/record.schema.json', 'utf8')) as object

test('every demo pen’s record holds to the JSON Schema that ships with it', async ({ request }) => {
  const ajv = new Ajv({ allErrors: true })
  addFormats(ajv)
  const validate = ajv.compile(shipped)
  const pens = (await (await request.get('/api/pens')).json()).pens as { pen: { id: string, mark: string } }[]
  for (const { pen } of pens) {
    const answer = await request.get(`/api/pens/${pen.id}/record.json`)
    expect(answer.headers()['content-disposition']).toBe(`attachment; filename="oxlip-${pen.mark}.json"`)
    const saved = await answer.json()
    expect(validate(saved), JSON.stringify(validate.errors)).toBe(true)
    expect(validate({ ...saved, stray: 1 })).toBe(false)
  }
})

test('the CSV survives a round trip through an independent parser, with names that look like formulas or hold commas', async ({
  request,
  pen,
}) => {
  const made = await pen({ name: '=1+1, "quoted"' })
  const event = (kind: string, payload: object, seconds: number) => ({
    id: randomUUID(),
    pen: made.id,
    kind,
    barrels: ['only'],
    device: 'test',
    payload,
    // An evening before any other pen's: what is entered on others in between is no time of this one.
    at: new Date(Date.parse('2019-03-05T18:00:00Z') + seconds * 1000).toISOString(),
  })
  await request.post('/api/events', {
    data: {
      events: [
        event('begin', { step: 'cut' }, 0),
        event('done', { step: 'cut' }, 65),
        event('defect', { kind: 'chip', barrel: 'only', fromTip: 12.5, size: 0.6, step: 'cut' }, 70),
        event('measure', { barrel: 'only', fromTip: 0, diameter: 10.4, step: 'turn' }, 80),
        event('check', { step: 'cut', check: 'witness', answer: 'no' }, 81),
      ],
    },
  })
  const text = await (await request.get(`/api/pens/${made.id}/record.csv`)).text()
  const rows = parse(text, { columns: true }) as Record<string, string>[]
  const saved = await (await request.get(`/api/pens/${made.id}/record.json`)).json()
  expect(saved).toMatchObject({ measured: [{ diameter: 10.4, step: 'turn' }], checks: [{ check: 'witness', answer: 'no' }] })
  expect(rows).toHaveLength(saved.steps.length)
  expect(rows[1]).toMatchObject({
    mark: made.mark,
    pen: '\'=1+1, "quoted"',
    step: 'Cut',
    status: 'done',
    hands_on_s: '65',
    timing: 'measured',
    defects: 'chip, only barrel, 12.5 mm from the tip end, 0.6 mm, open',
  })
  expect(text.endsWith('\r\n')).toBe(true)
})
