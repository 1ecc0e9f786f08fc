import { must, nth } from '.'

it('gives what is there, a nought and a false too', () => {
  expect([nth([7, 0], 1), nth(new Float64Array([0.5]), 0), must(false, 'said')]).toEqual([0, 0.5, false])
})

it('tells at once what is not, with the place and the reason', () => {
  expect(() => nth(['a'], 1)).toThrow('No entry 1 in a list of 1.')
  expect(() => nth(['a'], -1)).toThrow('No entry -1')
  expect(() => must([].at(-1), 'a plan has a step')).toThrow('a plan has a step')
  expect(() => must(null, 'the pen is known')).toThrow('the pen is known')
})
