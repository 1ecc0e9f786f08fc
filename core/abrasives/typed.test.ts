import { AbrasiveError } from './grain'
import { typedLadder } from './typed'

const there = [
  { scale: 'P' as const, mark: 150 },
  { scale: 'P' as const, mark: 400 },
  { scale: 'pad' as const, mark: 1800 },
  { scale: 'CAMI' as const, mark: 400 },
  { scale: 'micron' as const, mark: 9 },
]
const marks = (text: string) => typedLadder(text, there).map(one => `${one.scale} ${one.mark}`)

it('reads a ladder as turners write it, a bare number as P paper, in the order typed', () => {
  expect(marks('150 400 pad 1800 film 9')).toEqual(['P 150', 'P 400', 'pad 1800', 'micron 9'])
  expect(marks('P400, p150; CAMI 400 · film 9µm')).toEqual(['P 400', 'P 150', 'CAMI 400', 'micron 9'])
  expect(marks('  ')).toEqual([])
})
it.each([
  ['150 rough', /“rough” is no grit/],
  ['150 320', /P320 is not on the shelf/],
  ['pad 150', /pad 150 is not on the shelf/],
])('says of “%s” what is wrong', (text, says) => {
  expect(() => marks(text)).toThrow(AbrasiveError)
  expect(() => marks(text)).toThrow(says)
})
