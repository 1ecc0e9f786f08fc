import { nth } from '../core/sure'
import { randomUUID } from 'node:crypto'
import { replay, type BenchEvent, type Entry } from '../core/bench'
import { planFor } from '../tests/support/inputs'
import { show } from './measure'

/**
 * A log of so many entries of two devices: steps done over and over, measurings, looks, checks, undos, a defect with its mend now and
 * then.
 */
function longLog(count: number): BenchEvent[] {
  const plan = planFor('apple', 'twist-7')
  const start = Date.now() - count * 1000
  const log: BenchEvent[] = []
  for (let index = 0; index < count; index++) {
    const step = nth(plan.steps, index % plan.steps.length).id
    const entry: Entry
      = index % 11 === 0
        ? { kind: 'measure', payload: { barrel: 'lower', fromTip: index % 50, diameter: 8 + (index % 3) / 10, step } }
        : index % 17 === 0 && log.length
          ? { kind: 'undo', payload: { entries: [log[log.length - 1 - (index % 5)]?.id ?? nth(log, 0).id] } }
          : index % 2500 === 40
            ? { kind: 'defect', payload: { kind: 'chip', barrel: 'upper', fromTip: 12, size: 0.8, step } }
            : { kind: 'done', payload: { step } }
    log.push({
      ...entry,
      id: randomUUID(),
      pen: 'p',
      barrels: ['lower'],
      at: new Date(start + index * 1000).toISOString(),
      device: index % 3 ? 'shelf' : 'tablet',
      ...(index % 3 ? {} : { ahead: 0 }),
    })
    const last = nth(log, log.length - 1)
    if (last.kind === 'defect')
      log.push({
        kind: 'repair',
        payload: { defect: last.id, way: 'shavings and CA', step: 'clean' },
        id: randomUUID(),
        pen: 'p',
        barrels: ['upper'],
        at: new Date(start + index * 1000 + 1).toISOString(),
        device: 'shelf',
      })
  }
  return log
}

/** Replaying a log of 10,000 entries, wanted under 50 ms. */
export function replayBench(): void {
  const plan = planFor('apple', 'twist-7')
  const log = longLog(10_000)
  const shuffled = [...log].sort(() => Math.random() - 0.5)
  for (let round = 0; round < 5; round++) replay(plan, log)
  const time = (events: BenchEvent[]) =>
    Array.from({ length: 40 }, () => {
      const start = performance.now()
      replay(plan, events)
      return performance.now() - start
    })
  show('replay of 10,000 entries, in order, wanted under 50 ms', time(log))
  show('replay of 10,000 entries, shuffled', time(shuffled))
}
