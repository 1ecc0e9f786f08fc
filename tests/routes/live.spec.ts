import { randomUUID } from 'node:crypto'
import { expect, test } from '../stand'

/** Reads server-sent events until enough messages of entries came, or the time is up. */
async function hear(
  address: string,
  after: number,
  enough: (steps: string[]) => boolean,
  during: () => Promise<unknown>,
): Promise<{ steps: string[], greeted: boolean, rows: { pen: { id: string }, summary: { stepsDone: number } }[] }> {
  const stop = new AbortController()
  const timer = setTimeout(() => stop.abort(), 8000)
  const answer = await fetch(`${address}/api/live?after=${after}`, { signal: stop.signal })
  expect(answer.headers.get('content-type')).toContain('text/event-stream')
  const [steps, reader, decoder] = [[] as string[], answer.body!.getReader(), new TextDecoder()]
  const rows: { pen: { id: string }, summary: { stepsDone: number } }[] = []
  let [text, greeted, begun] = ['', false, false]
  try {
    while (!enough(steps)) {
      const { value, done } = await reader.read()
      if (done) break
      text += decoder.decode(value, { stream: true })
      const whole = text.split('\n\n')
      text = whole.pop()!
      for (const part of whole) {
        const message = JSON.parse(part.replace(/^data: /gm, '')) as {
          kind: string
          now?: string
          entries?: { payload: { step: string } }[]
          rows?: typeof rows
        }
        rows.push(...(message.rows ?? []))
        if (message.kind === 'pulse') greeted = Math.abs(Date.parse(message.now!) - Date.now()) < 5000
        if (message.kind === 'entries') steps.push(...message.entries!.map(one => one.payload.step))
      }
      if (!begun) {
        begun = true
        await during()
      }
    }
  } finally {
    clearTimeout(timer)
    stop.abort()
  }
  return { steps, greeted, rows }
}

test('live: what was missed comes first by its number, then what comes in, each once; a picture sent twice is kept once', async ({
  request,
  stand,
  pen,
}) => {
  const made = await pen()
  const send = (step: string, id = randomUUID()) =>
    request.post('/api/events', {
      data: {
        events: [{ id, pen: made.id, kind: 'done', barrels: ['only'], at: new Date().toISOString(), device: 'test', payload: { step } }],
      },
    })
  const { seq } = (await (await request.get('/api/bench')).json()) as { seq: number }
  await send('parts')
  const again = randomUUID()
  const heard = await hear(
    stand.address,
    seq,
    steps => steps.length >= 3,
    async () => {
      await send('cut', again)
      await send('cut', again)
      await send('drill')
    },
  )
  expect(heard).toMatchObject({ steps: ['parts', 'cut', 'drill'], greeted: true })
  // With the entries come the rows of their pens, so that no list is fetched anew.
  expect(heard.rows.at(-1)).toMatchObject({ pen: { id: made.id }, summary: { stepsDone: 3 } })
  const { pens } = (await (await request.get('/api/bench')).json()) as { pens: { pen: { id: string }, events: unknown[] }[] }
  expect(pens.find(one => one.pen.id === made.id)!.events).toHaveLength(3)

  const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAAEklEQVR4nGP4z8CAFWEXHbQSACj/P8Fu7N9hAAAAAElFTkSuQmCC', 'base64')
  const id = randomUUID()
  for (let times = 0; times < 2; times++)
    expect((await request.put(`/api/photos/${id}`, { data: png, headers: { 'content-type': 'image/png' } })).status()).toBe(200)
  expect((await request.get(`/api/photos/${id}`)).headers()['content-type']).toBe('image/webp')
  expect(
    (await request.put(`/api/photos/${randomUUID()}`, { data: 'no picture', headers: { 'content-type': 'image/png' } })).status(),
  ).toBe(415)
  expect((await request.post('/api/air', { data: { celsius: 99, humidity: 50 } })).status()).toBe(422)
})
