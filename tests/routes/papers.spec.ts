import type { OrderPage } from '../../contract'
import { expect, test } from '../stand'
import { facesIn, textOf } from '../support/pdf'

test('papers come from the built server in the faces that ship, of the pen that is asked for; what is no paper is told', async ({
  request, pen,
}) => {
  const made = await pen({ name: 'On paper', reason: 'For the shelf' })
  const at = (path: string) => request.get(`/api/pens/${made.id}/${path}`)
  for (const [paper, says] of [
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
  const evenings = await request.get('/api/papers/evenings.pdf')
  expect([200, 404]).toContain(evenings.status())
})
