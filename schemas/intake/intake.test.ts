import fc from 'fast-check'
import { stringify } from 'csv-stringify/sync'
import { fittings, materials, methods, products } from '../../reference'
import {
  guessKind, guessMapping, intakeKind, intakeKinds, judgeSheet, MOST_ROWS, readSheet, SheetError, textOf, unknownWords,
  type IntakeKnown, type IntakeName,
} from '.'

const known: IntakeKnown = {
  fittings, methods, products, blanks: [], places: [{ id: '00000000-0000-4000-8000-000000000001', name: 'Winter fair in the barn' }],
  currency: 'GBP', today: '2026-11-27',
}
const bytes = (text: string) => new TextEncoder().encode(text)
/** A sheet as it is guessed, without anything said of it. */
function taken(name: IntakeName, text: string) {
  const sheet = readSheet(text)
  const { mapping, areDaysSure } = guessMapping(intakeKind(name), sheet, known)
  return { sheet, mapping, areDaysSure, rows: judgeSheet(intakeKind(name), sheet, mapping, known) }
}

it('a sheet of blanks in anybody’s columns comes in as it was meant', () => {
  const { rows, mapping } = taken('blanks', 'Wood;Name of blank;How many;Length (in);Width;Price\r\nPear;Old pear;3;5 1/4;19,5;£2,40\r\n'
    + 'Apple tree;From the gate;;5;;\r\n')
  expect(mapping.decimal).toBe('comma')
  expect(rows.map(row => row.faults)).toEqual([[], []])
  expect(rows[0]!.wanted).toMatchObject({
    blank: { name: 'Old pear', material: 'pear', count: 3, length: 133.35, width: 19.5 }, price: 240,
  })
  expect(rows[1]!.wanted).toMatchObject({ blank: { material: 'apple', count: 1, length: 127, width: null }, price: null })
})
it('each fault stands at its cell, in words, and hinders no other row', () => {
  const table = 'name,wood,width,count,damp\nBough,Mirabelle,12,two,yes\n,pear,19,1.5,perhaps\nKnot,pear,19,2,no\n'
  const { rows, mapping } = taken('blanks', table)
  const said = rows.map(({ number, faults }) => [number, ...faults.map(({ field, column }) => `${field}@${column}`)])
  expect(said).toEqual([[2, 'material@1', 'count@3'], [3, 'name@0', 'damp@4', 'count@3'], [4]])
  expect(rows[0]!.faults[0]!.says).toBe('“Mirabelle” is not known here: say what it means.')
  const twice = readSheet('name,wood\na,Mirabelle\nb,mirabelle\n')
  expect(unknownWords(intakeKind('blanks'), twice, { ...mapping, columns: { name: 0, material: 1 } }, known))
    .toEqual(new Map([['material', [{ word: 'mirabelle', text: 'Mirabelle', rows: 2 }]]]))
})
it('what a word means is said once; a cell is put right; what no column says is said for all', () => {
  const kind = intakeKind('blanks')
  const sheet = readSheet('name,wood\nBough,Mirabelle\nTwig,Pear\n')
  const { mapping } = guessMapping(kind, sheet, known)
  const said = { ...mapping, words: { material: { mirabelle: 'plum' } }, all: { count: '4' }, cells: { '3:0': 'Fine twig' } }
  const rows = judgeSheet(kind, sheet, said, known)
  expect(rows.flatMap(row => row.faults)).toEqual([])
  expect(rows.map(row => row.wanted)).toMatchObject([
    { blank: { material: 'plum', count: 4 } }, { blank: { material: 'pear', name: 'Fine twig', count: 4 } },
  ])
})
it('a fitting with two barrels, what no lathe could make at its cell', () => {
  const heads = 'Name,Drill,Tube length,Tube outside,Tip end,Clip end,Upper tube length,Upper tip end,Upper clip end,Sets'
  const { rows } = taken('fittings', `${heads}\nTwist,7,52,6.8,9,10,52,10,11,3\nWrong,7,52,6.8,9,6,,,,\n`)
  expect(rows[0]!.faults).toEqual([])
  expect(rows[0]!.wanted).toMatchObject({
    fitting: { barrels: [{ id: 'lower', tubeLength: 52 }, { id: 'upper', tubeOuter: 6.8, clipEnd: 11 }], sets: 3, bushings: 'not known' },
  })
  expect(rows[1]!.faults.map(({ field, column }) => [field, column])).toEqual([['clipEnd', 5]])
})
it('past work: the day it was finished, its minutes, coats and defects, and how it went', () => {
  const { name } = fittings[0]!
  const head = 'Pen;Style;Wood;Finish;Made;Minutes;Coats;Problems;Sold on;Sold for;Where'
  const row = `Plum twist;${name};Plum;${methods[0]!.name};24/12/2025;95;9;Chip, tear-out;03/01/2026;42,50;Winter fair`
  const late = row.replace('24/12/2025', '24/12/2027').replace('Chip, tear-out', 'ridges and crack')
  const { areDaysSure, ...right } = taken('past', [head, row, late].join('\n'))
  expect(areDaysSure).toBe(true)
  expect(right.rows[0]!.faults).toEqual([])
  expect(right.rows[0]!.wanted).toMatchObject({
    on: '2025-12-24', made: { minutes: 95, coats: 9, defects: ['chip'], words: '' },
    leave: { how: 'sold', on: '2026-01-03', price: 4250, place: known.places[0]!.id },
  })
  expect(right.rows[1]!.values.defects).toEqual(['ridges', 'crack'])
  expect(right.rows[1]!.faults).toMatchObject([{ field: 'on', column: 4, says: expect.stringMatching(/^Lies ahead/) }])
})
it('two pens in the making have one mark only once; no mark is none yet', () => {
  const { id } = fittings[0]!
  const row = (mark: string) => `${mark},Pen,${id},pear,${methods[0]!.id}`
  const { rows } = taken('pens', ['Mark,Name,Fitting,Material,Finish', row('c4'), row(''), row('C4'), row('')].join('\n'))
  expect(rows.map(one => one.faults.map(fault => fault.says))).toEqual([[], [], ['C4 is that of row 2 already.'], []])
})
it('what a sheet holds is seen from its headings', () => {
  const cell: Record<string, string> = { text: 'a', number: '1', length: '8', money: '2', day: '2026-01-02', yes: 'yes' }
  for (const kind of intakeKinds) {
    const needed = kind.fields.filter(one => one.needed || ['sets', 'count', 'size', 'due', 'left'].includes(one.field))
    const text = [needed.map(one => one.says), needed.map(one => cell[one.kind] ?? 'pear')].map(one => one.join(';')).join('\n')
    expect(guessKind(intakeKinds, readSheet(text))).toBe(kind.name)
  }
})

const utf16 = (text: string, isLittle: boolean, hasMark: boolean) => {
  const buffer = new DataView(new ArrayBuffer((text.length + (hasMark ? 1 : 0)) * 2))
  if (hasMark) buffer.setUint16(0, 0xFEFF, isLittle)
  for (let index = 0; index < text.length; index++)
    buffer.setUint16((index + (hasMark ? 1 : 0)) * 2, text.charCodeAt(index), isLittle)
  return new Uint8Array(buffer.buffer)
}
it('a file is read in whatever way its letters are written', () => {
  const table = 'name;count\nBirnbaum groß;2\n'
  for (const isLittle of [true, false]) for (const hasMark of [true, false])
    expect(textOf(utf16(table, isLittle, hasMark)).replace('\uFEFF', '')).toBe(table)
  expect(textOf(bytes(table))).toBe(table)
  expect(textOf(Uint8Array.from([...table].map(one => one.charCodeAt(0))))).toBe(table)
})
it.each<[string, Uint8Array, RegExp]>([
  ['a workbook', Uint8Array.from([0x50, 0x4B, 3, 4, 9, 9]), /workbook/],
  ['an older workbook', Uint8Array.from([0xD0, 0xCF, 0x11, 0xE0]), /workbook/],
  ['a picture', Uint8Array.from([0x89, 0x50, 0x4E, 0x47, 0, 1, 2, 3, 0, 0, 1]), /no text/],
  ['a huge file', new Uint8Array(10_000_001), /10 MB/],
])('%s is told what it is', (_, file, says) => {
  expect(() => textOf(file)).toThrow(says)
})
it.each<[string, string, RegExp]>([
  ['nothing', '\n \n', /empty/],
  ['headings alone', 'name,count\n', /one row only/],
  ['an open quotation mark', 'name,count\n"Bough,2\nTwig,3\n', /quotation mark/],
  ['a row that is too wide', 'name,count\nBough,2,3\n', /^Row 2 has more cells/],
  ['200,000 rows', `name,count\n${'Bough,2\n'.repeat(200_000)}`, /more than 5,000 rows/],
  ['a cell that is a bomb', `name,count\n"${'x'.repeat(5000)}",2\n`, /^Row 2 has a cell longer/],
  ['too many columns', `${'a,'.repeat(300)}a\n1\n`, /301 columns/],
])('%s is told in words', (_, text, says) => {
  expect(() => readSheet(text)).toThrow(SheetError)
  expect(() => readSheet(text)).toThrow(says)
})
it('what another program writes is read cell for cell (property, by an independent writer)', () => {
  // Separators stand in quotation marks, or not at all: nobody could tell which parts cells otherwise.
  const cells = (isQuoted: boolean) =>
    fc.stringMatching(isQuoted ? /^[a-z0-9]([a-z0-9 ,;"\n]{0,12}[a-z0-9])?$/ : /^[a-z0-9]([a-z0-9 "\n]{0,12}[a-z0-9])?$/)
  const anyTable = fc.boolean().chain((isQuoted) => {
    const cell = cells(isQuoted)
    return fc.tuple(fc.array(fc.tuple(cell, cell, cell), { minLength: 2, maxLength: 20 }), fc.constant(isQuoted))
  })
  fc.assert(fc.property(
    anyTable, fc.constantFrom(',', ';', '\t'),
    ([rows, isQuoted], delimiter) => {
      const { heads, rows: read } = readSheet(stringify(rows, { delimiter, quoted: isQuoted }))
      expect([heads, ...read.map(row => row.cells)]).toEqual(rows)
    },
  ), { numRuns: 60 })
})
it('whatever stands in a sheet, it is judged and nothing is thrown (property)', () => {
  const strange = ['1,5', '24.12.2025', 'pear', '__proto__', 'constructor', '£3', '-1', '1/2']
  const cell = fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom(...strange))
  fc.assert(fc.property(
    fc.constantFrom(...intakeKinds), fc.array(fc.array(cell, { minLength: 14, maxLength: 14 }), { minLength: 1, maxLength: 4 }),
    (kind, cells) => {
      const sheet = { heads: kind.fields.map(one => one.says), rows: cells.map((row, index) => ({ number: index + 2, cells: row })) }
      const columns = Object.fromEntries(kind.fields.map(({ field }, column) => [field, column]))
      const { mapping } = guessMapping(kind, sheet, known)
      for (const { values, faults } of judgeSheet(kind, sheet, { ...mapping, columns }, known))
        for (const { field, needed } of kind.fields)
          if (needed && values[field] === undefined) expect(faults.map(one => one.field)).toContain(field)
    },
  ), { numRuns: 200 })
})
it('all rows that fit come in: the most that are taken are judged', () => {
  const text = `name,wood,count\n${Array.from({ length: MOST_ROWS }, (_, index) => `Bough ${index},pear,${index % 9}\n`).join('')}`
  expect(taken('blanks', text).rows.filter(row => !row.faults.length)).toHaveLength(MOST_ROWS)
})
it('every material, fitting, finish and product is found by its own name', () => {
  for (const [kind, field, all] of [['blanks', 'material', materials], ['bottles', 'item', products]] as const) {
    const sheet = readSheet(`a;b\n${all.map(one => `x;${one.name}`).join('\n')}\n`)
    const { mapping } = guessMapping(intakeKind(kind), sheet, known)
    const rows = judgeSheet(intakeKind(kind), sheet, { ...mapping, columns: { name: 0, [field]: 1 } }, known)
    expect(rows.map(row => row.values[field])).toEqual(all.map(one => one.id))
  }
})
