import { randomUUID } from 'node:crypto'
import type { BenchEvent, Entry } from '../../core/bench'
import { onDatabase } from '../../tests/database/suite'
import { appendEvents } from './append'
import { readLearnt } from './learnt'
import { createPen } from './pens'
import { readPlan } from './plans'

const database = onDatabase()
const START = Date.parse('2026-11-23T18:00:00.000Z')

it('the turner’s own pace at a kind of step is learnt from what was timed, and what had to be mended there', async () => {
  const knex = database()
  const pens = []
  for (const mark of ['A1', 'A2', 'A3']) {
    const pen = await createPen(knex, {
      mark, name: mark, reason: null, due: null,
      fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew', film: 'gloss',
    })
    pens.push(pen)
    const steps = (await readPlan(knex, pen)).steps
    let seconds = 0
    const event = (entry: Entry): BenchEvent => ({
      ...entry, id: randomUUID(), pen: pen.id, barrels: ['only'], device: 'bench', at: new Date(START + seconds * 1000).toISOString(),
    })
    // Cutting takes three minutes, thrice the planned one; all else an uneven time of its own.
    const log = steps.slice(0, steps.findIndex(step => step.kind === 'turn') + 1).map((step, index) => {
      seconds += step.kind === 'cut' ? 180 : 70 + 13 * index
      return event({ kind: 'done', payload: { step: step.id } })
    })
    if (mark === 'A2')
      log.push(event({ kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 10, size: 0.5, step: 'turn' } }))
    await appendEvents(knex, log)
  }
  const { paces } = await readLearnt(knex)
  expect(paces?.cut?.steps).toBe(3)
  expect(paces?.cut?.factor).toBeCloseTo(Math.exp((3 * Math.log(3)) / 7), 6)
  // One of three had a chip found at turning; twenty others count as one in fifty.
  expect(paces?.turn?.mends).toBeCloseTo((1 + 0.4) / 23, 6)
  expect(paces?.cut?.mends).toBeCloseTo(0.4 / 23, 6)
  expect(paces?.coat).toBeUndefined()
})
