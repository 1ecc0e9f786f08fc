import { eventAt, idOf, methodOf, planFor } from '../../tests/support/inputs'
import { boardOf } from './board'
import type { Entry, Made } from './event'
import { mayGo } from './may-go'
import { project } from './projection'
import { record } from './record'
import { story } from './story'

const plan = planFor('damson', 'click-8', { method: methodOf('ca-medium-only') })
const DAY = 86_400
const made = (change: Partial<Made> = {}): Entry =>
  ({ kind: 'made', payload: { minutes: 95, coats: 9, defects: ['bleed'], words: 'From the paper book', ...change } })

it('a pen that was made before is finished when it was; its steps are over, and nothing is waited for or told of them', () => {
  const board = boardOf(plan, [eventAt(0, 1, made())])
  expect([board.state.finished, board.state.next, board.state.waits, board.state.coats]).toEqual([true, null, [], { on: 9, planned: 9 }])
  const told = record(board.state, board.traced)
  expect([told.handsOn, told.ended]).toEqual([95 * 60, eventAt(0, 1, made()).at])
  expect(mayGo(board, eventAt(60, 2, made()).at)).toBeNull()
  expect(story(told, board.state)).toMatchObject([{ happenings: [{ kind: 'made', made: { words: 'From the paper book' } }] }])
})
it('it tells what was written down of it, and nothing that was not: no step, no grit, no bottle, no wait', () => {
  const { summary, facts, told } = project(plan, [eventAt(0, 1, made())])
  expect([summary.stage, summary.stepsDone, summary.handsOnLeft]).toEqual(['finished', summary.stepsPlanned, 0])
  expect(facts).toEqual([])
  expect(told).toMatchObject({ finished: true, scrapped: false, defects: ['bleed'], figures: { minutes: 95 }, mends: 0 })
  expect(told!.traits).toMatchObject({ wood: plan.inputs.material.name, method: plan.inputs.method.name, coats: '9' })
  for (const trait of ['tool', 'shape', 'first grit', 'applicator', 'air'] as const) expect(told!.traits[trait]).toBeUndefined()
  const bare = project(plan, [eventAt(0, 1, made({ minutes: null, coats: null, defects: [] }))])
  expect([bare.told!.figures, bare.told!.traits.coats, bare.told!.defects]).toEqual([{}, undefined, []])
})
it('it can be sold, come back to be mended, and be mended as any other', () => {
  const leave: Entry = {
    kind: 'leave', payload: { how: 'sold', price: 4200, place: null, customer: null, order: null, with: [], words: '' },
  }
  const repair: Entry = { kind: 'return', payload: { why: 'repair', paid: null, words: '' } }
  const log = [eventAt(0, 1, made()), eventAt(0, 2, leave), eventAt(30 * DAY, 3, repair)]
  expect(project(plan, log.slice(0, 2)).summary).toMatchObject({ stage: 'finished', gone: { price: 4200 } })
  expect(boardOf(plan, log).state.next?.id).toBe(`check.${idOf(3)}`)
})
it('taken back, the pen is planned; what was entered of a step stands beside it', () => {
  const undo: Entry = { kind: 'undo', payload: { entries: [idOf(1)] } }
  expect(project(plan, [eventAt(0, 1, made()), eventAt(60, 2, undo)]).summary).toMatchObject({ next: expect.anything(), stepsDone: 0 })
  const done = eventAt(-60, 4, { kind: 'done', payload: { step: 'cut' } })
  const { facts } = project(plan, [done, eventAt(0, 1, made())])
  expect(facts.filter(one => one.kind === 'step').map(one => one.about)).toEqual(['cut'])
})
