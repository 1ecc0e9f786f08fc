import { doneWords } from './class-words'

it('what is done of a pen: of one that is not coated nothing is said of coats', () => {
  expect(doneWords({ stepsDone: 12, stepsPlanned: 20, coats: { on: 3, planned: 6 } })).toBe('12 of 20 steps, 3 of 6 coats')
  expect(doneWords({ stepsDone: 2, stepsPlanned: 9, coats: { on: 0, planned: 0 } })).toBe('2 of 9 steps')
})
