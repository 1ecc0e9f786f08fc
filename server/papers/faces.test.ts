import fc from 'fast-check'
import { printedSigns, unprinted } from '../../reference'
import { faces } from '../../tests/support/pdf'
import { fontOf } from './faces'

/** What every face has, as the files that ship say. */
function signsOfAll(): Set<number> {
  const [first = [], ...others] = [faces.plain, faces.bold, faces.head].map(files => files.flatMap(file => fontOf(file).characterSet))
  const rest = others.map(signs => new Set(signs))
  // Below the blank and at the very end are no signs.
  return new Set(first.filter(sign => sign >= 0x20 && sign < 0xffff && rest.every(signs => signs.has(sign))))
}

it('the signs that papers are said to have are those of the files', () => {
  const said = printedSigns.flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, index) => first + index))
  expect(new Set(said)).toEqual(signsOfAll())
})
it('what no face has is told, each sign once; blanks, and what joins or turns letters, is not', () => {
  expect(unprinted(['Ελιά, Яблоня, Źródło', 'Mỹ, naïve café', '£ 20–30, 12 µm', 'nai\u0308ve'])).toEqual([])
  expect(unprinted(['Quince 木梨', '木 and \u{1f333}\u200d\u{1f333}\t\n'])).toEqual(['木', '梨', '\u{1f333}'])
})
it('whatever is written, a sign is told exactly where some face lacks it (property)', () => {
  const all = signsOfAll()
  const codes = fc.integer({ min: 0x21, max: 0xffff }).filter(code => code < 0xd800 || code > 0xdfff)
  const anySign = codes.map(code => String.fromCodePoint(code))
  fc.assert(fc.property(anySign, (sign) => {
    const shows = /[^\s\p{Cf}]/u.test(sign)
    expect(unprinted([sign]).length > 0).toBe(shows && [...sign.normalize('NFC')].some(one => !all.has(one.codePointAt(0)!)))
  }), { numRuns: 2000 })
})
