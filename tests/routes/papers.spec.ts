import type { OrderPage } from '../../contract'
import { expect, test } from '../stand'
import { facesIn, textOf } from '../support/pdf'

test('papers come from the built server in the faces that ship, of the pen that is asked for; what is no paper is told', async ({
  request, pen,
}) => {
  const made = await pen({ name: 'On paper for Łucja, Ελένη and Жук', reason: 'For the shelf' })
  const at = (path: string) => request.get(`/api/pens/${made.id}/${path}`)
  for (const [paper, says] of [
    ['job-card.pdf', 'On paper for Łucja, Ελένη and Жук'],
    ['job-card.pdf', 'Check and hand over'], ['story-stick.pdf', 'What goes where'], ['label.pdf?sheet=10&from=3', 'For the shelf'],
    ['hand-over.pdf?words=Turned+slowly.', 'Turned slowly.'],
  ] as const) {
    const answer = await at(`papers/${paper}`)
    expect([paper, answer.status(), answer.headers()['content-type']]).toEqual([paper, 200, 'application/pdf'])
    const pdf = await answer.body()
    expect(textOf(pdf)).toContain(says)
    expect(facesIn(pdf)).toMatch(/Atkinson|Bricolage/)
  }
  const svg = await at('drawing.svg')
  expect([svg.headers()['content-type'], (await svg.text()).slice(0, 4)]).toEqual(['image/svg+xml', '<svg'])
  for (const path of ['papers/other.pdf', 'papers/constructor', 'papers/label.pdf?sheet=7', 'papers/label.pdf?from=0'])
    expect([path, [404, 422].includes((await at(path)).status())]).toEqual([path, true])
  const { orders } = (await (await request.get('/api/orders')).json()) as OrderPage
  const receipt = await request.get(`/api/orders/${orders[0]!.order.id}/receipt.pdf`)
  expect(textOf(await receipt.body())).toMatch(/Receipt for order 1, .*In all\s+£532\.00/s)
  const labels = await request.get(`/api/papers/labels.pdf?${orders[0]!.pens.map(one => `pens=${one.pen.id}`).join('&')}`)
  for (const { pen: { mark } } of orders[0]!.pens) expect(textOf(await labels.body())).toContain(mark)
  expect((await request.get('/api/papers/labels.pdf')).status()).toBe(422)
  expect(textOf(await (await request.get('/api/papers/prices.pdf')).body())).toContain('Harrow Lane')
  // The evenings are drawn as they stand on the screen of whoever asks, by their clock, not by the server’s.
  const day = new Date().toISOString().slice(0, 10)
  const group = { at: '2019-07-01T18:05:00.000Z', seconds: 300, title: 'Drill', marks: ['B2'] }
  const evening = { from: '2019-07-01T18:00:00.000Z', to: '2019-07-01T20:30:00.000Z', groups: [group] }
  const kept = { day, madeAt: new Date().toISOString(), evenings: [evening], waits: [], promised: [], blocks: [] }
  const drawn = (zone: string) => request.post(`/api/papers/evenings.pdf?zone=${zone}`, { data: kept })
  const evenings = async (zone: string) => (await drawn(zone)).body()
  expect(textOf(await evenings('Europe/London'))).toMatch(/Monday 1 July, 19:00 to 21:30\s+19:05\s+Drill/)
  expect(textOf(await evenings('Pacific/Auckland'))).toContain('Tuesday 2 July, 06:00 to 08:30')
  expect((await drawn('Nowhere/Here')).status()).toBe(422)
})
