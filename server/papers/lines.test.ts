import fc from 'fast-check'
import { faces } from '../../tests/support/pdf'
import { linesOf, runsOf } from './lines'

/** A sign is as long as one. */
const signs = ({ text }: { text: string }) => [...text].length
const lines = (text: string, width: number) =>
  linesOf(text, faces.plain, width, signs).map(({ runs }) => runs.map(run => run.text).join(''))

it('a line ends after a blank or a dash between words, not within figures; a word that is too long is cut', () => {
  expect(lines('Turn to size, then sand', 13)).toEqual(['Turn to size,', 'then sand'])
  expect(lines('a two-barrel twist', 6)).toEqual(['a two-', 'barrel', 'twist'])
  expect(lines('wait 10-15 min', 7)).toEqual(['wait', '10-15', 'min'])
  expect(lines('at -5 °C', 5)).toEqual(['at -5', '°C'])
  expect(lines('Donaudampf', 4)).toEqual(['Dona', 'udam', 'pf'])
  expect(lines('one\n\ntwo', 9)).toEqual(['one', '', 'two'])
  // A number stays with its unit, between which stands a blank that does not end a line.
  expect(lines('film 75\u202fµm', 8)).toEqual(['film', '75\u202fµm'])
})
it('no line is too long, and no sign is lost but the blanks at its end (property)', () => {
  const word = fc.string({ unit: fc.constantFrom('a', 'ł', 'Ж', 'ω', '-', '5', ' '), maxLength: 60 })
  fc.assert(fc.property(word, fc.integer({ min: 1, max: 20 }), (text, width) => {
    const found = linesOf(text, faces.plain, width, signs)
    for (const { length, runs } of found) {
      expect(length).toBeLessThanOrEqual(width)
      expect(length).toBe(runs.reduce((sum, run) => sum + signs(run), 0))
    }
    const said = found.flatMap(({ runs }) => runs.map(run => run.text)).join('')
    expect(said.replace(/ /g, '')).toBe(text.replace(/ /g, ''))
  }))
})
it('a sign is set in the first file that has it, in the reading face where it can be', () => {
  expect(runsOf('Pen 3', faces.plain)).toEqual([{ file: 0, text: 'Pen 3' }])
  expect(runsOf('Dvořák', faces.plain)).toEqual([{ file: 0, text: 'Dvo' }, { file: 1, text: 'ř' }, { file: 0, text: 'ák' }])
  const [greek] = runsOf('Ελένη', faces.head)
  expect(greek).toEqual({ file: expect.any(Number), text: 'Ελένη' })
  expect(greek!.file).toBeGreaterThan(0)
  // What no file has is left to the first, which shows an empty box.
  expect(runsOf('漢', faces.plain)).toEqual([{ file: 0, text: '漢' }])
})
