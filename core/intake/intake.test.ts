import fc from 'fast-check'
import { CellError, dayIn, guessColumns, guessDecimal, guessOrder, listedIn, meantBy, namedBy, numberIn, unitOver, yesIn } from '.'

it.each([
  ['1.5', 'point', 1.5], ['1,5', 'point', 1.5], ['1,500', 'point', 1500], ['1,500', 'comma', 1.5], ['1.500', 'comma', 1500],
  ['1.5', 'comma', 1.5], ['1.234,5', 'comma', 1234.5], ['1.234,5', 'point', 1234.5], ['1,234.5', 'comma', 1234.5],
  ['12 345', 'point', 12_345], ['1’234.50', 'point', 1234.5], [' 7 ', 'comma', 7], ['.5', 'point', 0.5], ['1 234,5', 'comma', 1234.5],
] as const)('%s with a decimal %s is %d', (text, sign, value) => {
  expect(numberIn(text, sign)).toBe(value)
})
it.each(['-3', '1,2,3', '12..5', 'seven', '', '1.23.45', '3 mm'])('%s is no figure', (text) => {
  expect(() => numberIn(text, 'point')).toThrow(CellError)
})
it('a figure that is written as a country does is read as it was meant (property, by the runtime’s own way of writing)', () => {
  const written = (locale: string) => new Intl.NumberFormat(locale, { maximumFractionDigits: 3 })
  fc.assert(fc.property(fc.integer({ min: 0, max: 99_999_999 }), (thousandths) => {
    const value = thousandths / 1000
    expect(numberIn(written('en').format(value), 'point')).toBe(value)
    expect(numberIn(written('de').format(value), 'comma')).toBe(value)
    expect(numberIn(written('fr').format(value), 'comma')).toBe(value)
  }))
})
it('which sign a sheet uses is seen from what cannot be the other', () => {
  expect(guessDecimal(['7', '1,500', '2.5'])).toBe('point')
  expect(guessDecimal(['7', '1.500', '2,5'])).toBe('comma')
  expect(guessDecimal(['0,125'])).toBe('comma')
  expect(guessDecimal(['1,234,567'])).toBe('point')
  // A thousand, or a bit more than one: nobody can tell.
  expect(guessDecimal(['1,234', '12', 'elm'])).toBeNull()
})

it.each([
  ['2026-12-24', '2026-12-24'], ['2026/1/4', '2026-01-04'], ['24.12.2026', '2026-12-24'], ['4.1.26', '2026-01-04'],
  ['24/12/2026', '2026-12-24'], ['24 Dec 2026', '2026-12-24'], ['December 24, 2026', '2026-12-24'], ['2026-12-24 18:30', '2026-12-24'],
  ['2026-12-24T18:30:00Z', '2026-12-24'], ['04/12/2026', '2026-12-04'], ['1-2-99', '1999-02-01'],
])('%s is the day %s where the day comes first', (text, day) => {
  expect(dayIn(text, 'day first')).toBe(day)
})
it('strokes and hyphens follow the sheet’s order, points always have the day first', () => {
  expect([dayIn('04/12/2026', 'month first'), dayIn('4-12-26', 'month first')]).toEqual(['2026-04-12', '2026-04-12'])
  expect(dayIn('4.12.2026', 'month first')).toBe('2026-12-04')
  for (const wrong of ['24/12/2026', '31 Feb 2026', '2026-02-30', 'soon', '', '1.2', '2026', '12/12/202', '3000-01-01'])
    expect(() => dayIn(wrong, 'month first')).toThrow(CellError)
})
it('every day there is is read from each of the ways it is written (property)', () => {
  fc.assert(fc.property(fc.date({ min: new Date('1980-01-01'), max: new Date('2079-12-31'), noInvalidDate: true }), (date) => {
    const [year = '', month = '', day = ''] = date.toISOString().slice(0, 10).split('-')
    for (const text of [`${day}.${month}.${year}`, `${day}/${month}/${year}`, `${Number(day)}-${Number(month)}-${year.slice(2)}`])
      expect(dayIn(text, 'day first')).toBe(`${year}-${month}-${day}`)
    expect(dayIn(`${month}/${day}/${year}`, 'month first')).toBe(`${year}-${month}-${day}`)
  }))
})
it('the order of day and month is seen from a day past the twelfth; where none is, or they contradict, it is not sure', () => {
  expect(guessOrder(['01/02/2026', '24/02/2026'])).toEqual({ order: 'day first', isSure: true, isOpen: true })
  expect(guessOrder(['01/02/2026', '02/24/2026'])).toEqual({ order: 'month first', isSure: true, isOpen: true })
  expect(guessOrder(['01/02/2026'])).toEqual({ order: 'day first', isSure: false, isOpen: true })
  expect(guessOrder(['24/02/2026', '02/24/2026'])).toMatchObject({ isSure: false })
  expect(guessOrder(['2026-02-01', '1.2.2026'])).toMatchObject({ isOpen: false })
})

const woods = [{ id: 'olive', name: 'Olive' }, { id: 'black-walnut', name: 'Black walnut' }, { id: 'walnut', name: 'Walnut' }]
it('a cell names a thing by its name, whatever the letters; what it may mean else is a guess where only one fits', () => {
  expect(namedBy(' OLIVE', woods)?.id).toBe('olive')
  expect(namedBy('Black-Walnut', woods)?.id).toBe('black-walnut')
  expect(namedBy('Olivé', woods)?.id).toBe('olive')
  expect(namedBy('Olive wood', woods)).toBeUndefined()
  expect(meantBy('Olive wood', woods)?.id).toBe('olive')
  expect(meantBy('Walnut (black)', woods)?.id).toBe('black-walnut')
  expect(meantBy('Oak', woods)).toBeUndefined()
  // One word that both have is not enough.
  expect(meantBy('Black cherry', woods)).toBeUndefined()
  expect(meantBy('Walnut or olive', woods)).toBeUndefined()
})
it('a cell can list several, and say yes or no', () => {
  expect(listedIn('chip; colour bleed, dull / haze and ridges')).toEqual(['chip', 'colour bleed', 'dull', 'haze', 'ridges'])
  expect(listedIn('sandy')).toEqual(['sandy'])
  expect(['Yes', 'x', '✓', 'n', '', 'perhaps'].map(yesIn)).toEqual([true, true, true, false, false, undefined])
})

const sought = [
  { field: 'name', heads: ['name', 'blank'], fits: () => true },
  { field: 'length', heads: ['length'], fits: (cell: string) => /^[\d.,]+$/.test(cell) },
  { field: 'count', heads: ['count', 'pieces', 'how many'], fits: (cell: string) => /^\d+$/.test(cell) },
]
it('columns are found by their headings, in any order, and only where their cells could be of it', () => {
  const rows = [['12', 'Plum burr', '130,5', 'shed'], ['3', 'Pear', '', 'loft']]
  expect([...guessColumns(['How many?', 'Name of the blank', 'Length (mm)', 'Where'], rows, sought)].sort())
    .toEqual([['count', 0], ['length', 2], ['name', 1]])
  expect(guessColumns(['Length'], [['long'], ['short'], ['12']], sought).has('length')).toBe(false)
  // Each column once, the better heading first.
  expect([...guessColumns(['Blank name', 'Blank'], [['a', 'b']], sought)]).toEqual([['name', 1]])
  expect(guessColumns([], [], sought).size).toBe(0)
})
it('a heading says whether its lengths are inches', () => {
  expect(['Length (in)', 'Length in', 'Length [inch]', 'Length (mm)', 'Length', 'Origin', 'Tube "'].map(unitOver))
    .toEqual(['in', 'in', 'in', 'mm', 'mm', 'mm', 'in'])
})
