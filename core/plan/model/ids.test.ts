import { mendId, stepId } from './ids'

it('each further mend of a defect counts on', () => {
  const first = mendId.first('d')
  const second = mendId.next(first, 'd')
  const tenth = Array.from({ length: 9 }).reduce<string>(now => mendId.next(now, 'd'), first)
  expect([first, second, tenth]).toEqual(['d', 'd.2', 'd.10'])
})
it('a step of a mend knows the work it is, and no other mend takes it for its own', () => {
  const id = stepId.ofMend('sand.p320', 'd.2')
  expect(id).toBe('sand.p320.d.2')
  expect(stepId.work({ id, mend: 'd.2' })).toBe('sand.p320')
  expect(stepId.work({ id: 'coat.3' })).toBe('coat.3')
  expect([stepId.isOf(id, 'd.2'), stepId.isOf(id, 'd'), stepId.isOf(id, '.2')]).toEqual([true, false, false])
})
it('the same work twice in one mend has two names', () => {
  expect(stepId.ofMend('coat.1', 'd', 2)).toBe('coat.1~2.d')
})
