import { AbrasiveError } from './grain'
import { typedLadder } from './typed'

const there = [
  { scale: 'P' as const, mark: 150 },
  { scale: 'P' as const, mark: 400 },
  { scale: 'pad' as const, mark: 1800 },
  { scale: 'CAMI' as const, mark: 400 },
  { scale: 'micron' as const, mark: 9 },
]
const marks = (text: string) => typedLadder(text, there).abrasives.map(one => `${one.scale} ${one.mark}`)

it('reads a ladder as turners write it, a bare number as P paper, in the order typed', () => {
  expect(marks('150 400 pad 1800 film 9')).toEqual(['P 150', 'P 400', 'pad 1800', 'micron 9'])
  expect(marks('P400, p150; CAMI 400 · film 9µm')).toEqual(['P 400', 'P 150', 'CAMI 400', 'micron 9'])
  expect(marks('  ')).toEqual([])
})
it.each([
  ['150 rough', /“rough” is not the name of a grit/],
  ['150 320', /P320 is not on the shelf/],
  // There is no such pad: what comes nearest to the paper of that number is said [mem of makers’ charts].
  ['600 pad', /There is no pad 600\. P600 is paper; what comes nearest to it there is pad 1500\./],
  ['CAMI 100', /CAMI 100 is not on the shelf/],
  ['150 pad', /There is no pad 150\. P150 is paper/],
  ['150 9999', /The P scale has no 9999\. Nearest: 2000 and 2500/],
  ['400 cami pad', /A number is missing at the end/],
  ['F220', /F grades are for bonded wheels/],
  ['#400', /JIS grades/],
])('says of “%s” what is wrong', (text, says) => {
  expect(() => marks(text)).toThrow(AbrasiveError)
  expect(() => marks(text)).toThrow(says)
})

it('a scale may stand after its number too', () => expect(marks('150 9 film')).toEqual(['P 150', 'micron 9']))
it('tells how it took a bare number that is there in more than one scale, or in another one only', () => {
  const taken = (text: string, among = there) => typedLadder(text, among).taken
  expect(taken('150 P400 pad 1800')).toEqual([])
  expect(taken('400')).toEqual(['400 as P400, not CAMI 400'])
  expect(taken('1800')).toEqual(['1800 as pad 1800'])
  expect(taken('400', there.filter(one => one.scale !== 'P'))).toEqual(['400 as CAMI 400'])
})
