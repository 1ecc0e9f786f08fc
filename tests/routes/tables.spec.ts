import { randomUUID } from 'node:crypto'
import { parse } from 'csv-parse/sync'
import { expect, test } from '../stand'
import { season } from '../support/season'

test('tables are read by a parser that is not ours: pens, defects, diameters and times, in either way of writing', async ({
  request, pen,
}) => {
  const made = await pen({ name: '=1+1; "quoted", apple' })
  const at = (second: number) => new Date(Date.parse('2019-11-30T18:00:00.000Z') + 1000 * second).toISOString()
  const event = (kind: string, payload: object, second: number) =>
    ({ id: randomUUID(), pen: made.id, kind, payload, barrels: ['only'], device: 'tablet', at: at(second) })
  await request.post('/api/events', {
    data: {
      events: [
        event('begin', { step: 'cut' }, 0), event('done', { step: 'cut' }, 65.5),
        event('defect', { kind: 'chip', barrel: 'only', fromTip: 12.5, size: 0.6, step: 'cut' }, 70),
        event('measure', { barrel: 'only', fromTip: 1.5, diameter: 10.25, step: 'turn' }, 80),
      ],
    },
  })
  const table = async (name: string, dialect: 'point' | 'comma') => {
    const answer = await request.get(`/api/tables/${name}.csv?dialect=${dialect}`)
    expect(answer.headers()['content-disposition']).toBe(`attachment; filename="oxlip-${name}.csv"`)
    const reading = { columns: true, bom: true, delimiter: dialect === 'comma' ? ';' : ',' } as const
    const rows = parse(await answer.text(), reading) as Record<string, string>[]
    return rows.filter(row => row.mark === made.mark)
  }
  const name = '\'=1+1; "quoted", apple'
  expect(await table('pens', 'point'))
    .toMatchObject([{ pen: name, stage: 'in work', fitting: '8 mm one-barrel click', hands_on_min: '1.1' }])
  expect(await table('pens', 'comma')).toMatchObject([{ pen: name, stage: 'in work', hands_on_min: '1,1' }])
  expect(await table('defects', 'point')).toMatchObject([
    {
      pen: name, at_utc: at(70), defect: 'chip', barrel: 'only', from_tip_mm: '12.5', size_mm: '0.6', status: 'open', cause: '', mends: '',
    },
  ])
  expect(await table('diameters', 'comma')).toMatchObject([{ at_utc: at(80), from_tip_mm: '1,5', diameter_mm: '10,25', step: 'turn' }])
  expect(await table('times', 'point')).toMatchObject([{ work: 'cut', step: 'cut', hands_on_s: '65.5', timing: 'measured' }])
  expect((await request.get('/api/tables/secrets.csv')).status()).toBe(404)
  expect((await request.get('/api/tables/pens.csv?dialect=other')).status()).toBe(422)
  expect((await request.get(`/api/tables/pens.csv?workshop=${randomUUID()}`)).status()).toBe(410)
})

test('an answer of findings as a table: counts, rates with their intervals, what is less written as less', async ({ request }) => {
  await season(request, {
    pens: 8, letter: 'V', made: index => ({ tool: index % 2 ? 'skew' : 'gouge', name: 'For the table' }),
    rate: ({ tool }) => ({ void: tool === 'gouge' ? 1 : 0 }),
  })
  const text = await (await request.get('/api/findings/answer.csv?of=void&by=tool&among=fitting:8%20mm%20one-barrel%20click')).text()
  const rows = parse(text, { columns: true }) as Record<string, string>[]
  const [gouge, skew] = ['gouge', 'skew'].map(value => rows.find(one => one.value === value)!)
  expect(Number(gouge!.so_on)).toBeGreaterThanOrEqual(4)
  expect(skew!.so_on).toBe('0')
  expect(Number(gouge!.rate)).toBeCloseTo(Number(gouge!.so_on) / Number(gouge!.pens), 9)
  expect(Number(gouge!.rate_low)).toBeLessThan(Number(gouge!.rate))
  expect(Number(skew!.over_the_others)).toBeLessThan(0)
  const other = await (await request.get('/api/findings/answer.csv?of=minutes&by=tool&dialect=comma')).text()
  const minutes = parse(other, { columns: true, delimiter: ';', bom: true }) as Record<string, string>[]
  expect(minutes.every(one => /^\d+(,\d+)?$/.test(one.middle!))).toBe(true)
})
