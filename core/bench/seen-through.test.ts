import { eventAt, methodOf, planFor } from '../../tests/support/inputs'
import { repairRows } from '../../reference'
import type { DefectKind, RepairWay } from '../defects'
import { leastFilm, mendOptions, type Plan } from '../plan'
import { boardOf } from './board'
import type { BenchEvent, Entry } from './event'

/** An evening at the bench that goes wrong, entry by entry, as the bench takes it in. */
class Evening {
  private readonly log: BenchEvent[] = []
  constructor(private readonly plan: Plan) {}

  get board() {
    return boardOf(this.plan, this.log)
  }

  get next() {
    return this.board.state.next!
  }

  enter(entry: Entry): string {
    const event = eventAt(this.log.length * 3600, this.log.length + 1, entry)
    this.log.push(event)
    return event.id
  }

  /** Everything that is next is done, up to the first step of which this holds; to the end without one. */
  work(until: (step: Plan['steps'][number]) => boolean = () => false) {
    for (let step = this.board.state.next; step && !until(step); step = this.board.state.next) {
      this.enter({ kind: 'done', payload: { step: step.id } })
    }
  }

  note(kind: DefectKind, size = 0.8): string {
    return this.enter({ kind: 'defect', payload: { kind, barrel: 'only', fromTip: 12, size, step: this.next.id } })
  }

  /** A way that is offered here is chosen. */
  mend(defect: string, way: RepairWay) {
    const { state } = this.board
    const noted = state.defects.find(one => one.id === defect)!
    const tried = noted.mends.filter(one => one.failed).map(one => one.way)
    const situation = { defect: noted, key: 'look', underWay: this.next.id, turned: true, tried }
    expect(mendOptions(state.plan, repairRows, situation).map(one => one.way)).toContain(way)
    this.enter({ kind: 'repair', payload: { defect, way, step: this.next.id } })
  }

  outcome(defect: string) {
    const { status, mends } = this.board.state.defects.find(one => one.id === defect)!
    return { status, mends: mends.map(one => (one.failed ? `${one.way}, failed` : one.way)) }
  }
}
const begin = (method = 'ca-thin-first') => new Evening(planFor('apple', 'click-8', { method: methodOf(method) }))
const film = ({ board: { traced, state } }: Evening) => ({ is: traced.filmThinnest.value, wanted: leastFilm(state.plan.inputs).value })

describe('an evening that goes wrong is seen through to the end', () => {
  it('two sand-throughs, one after the other, each covered and levelled again', () => {
    const evening = begin()
    evening.work(step => step.kind === 'level')
    const first = evening.note('sand-through')
    evening.mend(first, 'more coats')
    evening.work(step => step.kind === 'level')
    const second = evening.note('sand-through')
    evening.mend(second, 'more coats')
    evening.work()
    expect(evening.outcome(first)).toEqual({ status: 'mended', mends: ['more coats'] })
    expect(evening.outcome(second)).toEqual({ status: 'mended', mends: ['more coats'] })
    expect(evening.board.state.finished).toBe(true)
    expect(film(evening).is).toBeGreaterThanOrEqual(film(evening).wanted - 0.01)
    // Levelled after the last coat that covers, or the cover would stand proud.
    const kinds = evening.board.state.plan.steps.map(step => step.kind)
    expect(kinds.lastIndexOf('level')).toBeGreaterThan(kinds.lastIndexOf('coat'))
  })

  it('a mend that did not hold, and another way that did', () => {
    const evening = begin()
    evening.work(step => step.kind === 'clean')
    const chip = evening.note('chip', 0.5)
    evening.mend(chip, 'thin CA')
    evening.work(step => step.kind === 'clean')
    expect(evening.outcome(chip).status).toBe('mended')
    evening.enter({ kind: 'settle', payload: { defect: chip, how: 'failed' } })
    expect(evening.outcome(chip)).toEqual({ status: 'open', mends: ['thin CA, failed'] })
    evening.mend(chip, 'shavings and CA')
    evening.work()
    expect(evening.outcome(chip)).toEqual({ status: 'mended', mends: ['thin CA, failed', 'shavings and CA'] })
    expect(evening.board.state.finished).toBe(true)
  })

  // Late in the ladder a chip is buried in about five coats more and levelled: common practice without source.
  it('a chip at the last grit: the ladder is finished, the chip buried in five coats more, and all of it levelled wet', () => {
    const evening = begin()
    const last = evening.board.state.plan.steps.findLast(step => step.kind === 'sand')!
    const planned = evening.board.state.plan.steps.filter(step => step.kind === 'coat').length
    evening.work(step => step.id === last.id)
    const chip = evening.note('chip')
    evening.mend(chip, 'bury')
    expect(evening.next.id).toBe(last.id)
    evening.work(step => step.kind === 'fill')
    const ahead = evening.board.state.plan.steps.slice(evening.board.state.plan.steps.findIndex(step => step.kind === 'fill'))
    expect(ahead.slice(0, 6).map(step => step.kind)).toEqual(['fill', 'coat', 'coat', 'coat', 'coat', 'coat'])
    evening.work()
    const { steps } = evening.board.state.plan
    expect(steps.filter(step => step.kind === 'coat')).toHaveLength(planned + 5)
    expect(steps.findLastIndex(step => step.kind === 'level')).toBeGreaterThan(steps.findLastIndex(step => step.kind === 'coat'))
    expect(evening.outcome(chip)).toEqual({ status: 'mended', mends: ['bury'] })
    // No grit is done a second time.
    const grits = steps.filter(step => step.kind === 'sand').map(step => step.kind === 'sand' && step.abrasive.id)
    expect(new Set(grits).size).toBe(grits.length)
  })

  it('ridges that the grit does not reach: the coarser grit that a no offers is an entry, and the levelling goes on after it', () => {
    const evening = begin('ca-medium-only')
    evening.work(step => step.kind === 'level')
    const level = evening.next
    evening.enter({ kind: 'check', payload: { step: level.id, check: 'shiny', answer: 'no' } })
    evening.enter({ kind: 'extra', payload: { work: 'level', with: 'P-220', step: level.id } })
    expect(evening.next.id).toBe(level.id)
    const before = evening.board.traced.steps.find(one => one.step.id === level.id)!.before.film
    const alone = begin('ca-medium-only')
    alone.work(step => step.kind === 'level')
    expect(before.unevenness).toBeLessThan(alone.board.traced.steps.find(one => one.step.id === level.id)!.before.film.unevenness)
    evening.work()
    expect(evening.board.state.finished).toBe(true)
  })
})
