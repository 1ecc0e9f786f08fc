import fc from 'fast-check'
import jsQR from 'jsqr'
import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { boardOf } from '../../core/bench'
import { unitWords } from '../../core/units'
import type { ListedOrder, ListedPen, Pen } from '../../contract'
import { care, fittings, materials, methods } from '../../reference'
import { eventAt, methodOf, planFor } from '../../tests/support/inputs'
import { facePaths, faces, facesIn, pagesOf, pictureOf, textOf, wordsIn, type PlacedWord } from '../../tests/support/pdf'
import { penSvg } from './drawing'
import { handOverCard, ownText } from './hand-over'
import { labelSheet, labelSheets, type LabelSheet } from './labels'
import { eveningSheet, priceList, receipt } from './lists'
import { jobCard, storyPaper } from './of-pen'
import type { Faces } from './faces'
import { printable, sheetOf, type Paper, type Sheet } from './sheet'
import { timesIn } from './times'

const made = new Date('2019-12-01T10:00:00.000Z')
const paper = (draw: (sheet: Sheet) => void, change: Partial<Paper> = {}): Promise<Buffer> => {
  const sheet = sheetOf({ title: 'A paper', faces, made, ...change })
  draw(sheet)
  return sheet.end()
}
const plan = planFor('damson', 'twist-7', { method: methodOf('ca-thin-first') })
const pen: Pen = {
  id: randomUUID(), mark: 'C2', name: 'Damson, “north hedge”', reason: 'Harvest supper', due: '2019-12-05', fitting: 'twist-7',
  material: 'damson', method: 'ca-thin-first', tool: 'skew', film: 'gloss', blank: null, sizing: {}, maker: null, classId: null,
  asked: 3850, planVersion: 1, version: 1, createdAt: made.toISOString(),
}
const units = unitWords('metric')
const inMoney = (minor: number) => `£${(minor / 100).toFixed(2)}`
const board = boardOf(plan, [eventAt(0, 1, { kind: 'done', payload: { step: plan.steps[0]!.id } })])
/** The words of a text with single blanks. */
const flat = (text: string) => text.replace(/\s+/g, ' ')

/** Which signs none of the files of a face has, as a program that is not ours reads them. */
function missingIn(face: keyof Faces, codes: readonly number[]): number[] {
  const input = JSON.stringify({ files: facePaths(face), codes })
  const said = JSON.parse(execFileSync('node', ['tests/rules/font-signs.mjs'], { input, encoding: 'utf8' })) as number[][]
  const there = new Set(said.flat())
  return codes.filter(code => !there.has(code))
}

it('a job card has every step with its box, what to cut and turn to, and the cautions, as another program reads it', async () => {
  const pdf = await paper(sheet => jobCard(sheet, { pen, board, units }))
  const text = flat(textOf(pdf))
  for (const words of ['Damson, “north hedge”', 'C2', 'Harvest supper, due 5 Dec 2019', 'Cut length', 'Lower barrel', 'Upper barrel'])
    expect(text).toContain(words)
  const { traced } = board
  for (const piece of traced.stick.pieces) expect(text).toContain(units.length(piece.length.value, 1))
  for (const end of traced.ends) expect(text).toContain(units.length(end.diameter.value))
  for (const title of ['Glue', 'Turn to size', 'Thin CA', 'Check and hand over']) expect(text).toContain(title)
  expect(text).toContain('Clamp the blank, never hold it. Eye protection.')
  expect(facesIn(pdf)).toMatch(/Atkinson.*yes/s)
  expect(pagesOf(pdf)).toMatchObject({ pages: expect.any(Number), width: expect.closeTo(210, 1), height: expect.closeTo(297, 1) })
})
it('every pen of every wood, fitting and method has its papers: no sign of them is missing in the faces', async () => {
  const used: Record<keyof Faces, Set<number>> = { plain: new Set(), bold: new Set(), head: new Set() }
  /** A sheet that notes every sign that is set. */
  const watched = (sheet: Sheet): Sheet => ({
    ...sheet,
    words: (text, setting) => {
      for (const sign of printable(text))
        if (sign >= ' ') used[setting?.face ?? 'plain'].add(sign.codePointAt(0)!)
      return sheet.words(text, setting)
    },
  })
  for (const [index, method] of methods.entries()) {
    const [material, fitting] = [materials[(index * 5) % materials.length]!, fittings[index % fittings.length]!]
    const own = boardOf(planFor(material.id, fitting.id, { method }), [])
    for (const system of ['metric', 'inch64'] as const) {
      await paper((sheet) => {
        const told = { board: own, units: unitWords(system) }
        jobCard(watched(sheet), { pen, ...told })
        sheet.page()
        storyPaper(watched(sheet), told, {})
        handOverCard(watched(sheet), { pen, board: own, story: '', words: '', workshop: 'Harrow Lane' })
      })
    }
  }
  for (const [name, codes] of Object.entries(used)) {
    const asked = [...codes].sort((a, b) => a - b)
    expect(asked.length).toBeGreaterThan(5)
    expect([name, missingIn(name as keyof Faces, asked)]).toEqual([name, []])
  }
})
it('lengths are at full size: the line to hold a rule against, and the barrels of the board', async () => {
  const pdf = await paper(sheet => storyPaper(sheet, { board, units }, {}))
  const dpi = 254
  const { width, height, grey } = pictureOf(pdf, dpi)
  // Ten dots a mm: the longest row of dark dots before the stick is the line of 50 mm.
  const longest = (from: number, to: number) => {
    let best = 0
    for (let y = from; y < to; y++) {
      let run = 0
      for (let x = 0; x < width; x++) {
        run = grey[y * width + x]! < 90 ? run + 1 : 0
        best = Math.max(best, run)
      }
    }
    return best / 10
  }
  expect(height).toBeGreaterThan(2900)
  expect(longest(200, 340)).toBeCloseTo(50, 0)
  // A story stick says where each cut goes.
  expect(flat(textOf(pdf))).toContain('witness line')
})
it('the card that goes with a pen says how it is kept, not how it is made, and its code reads as the pen’s own text', async () => {
  const handed = { pen, board, story: 'From the old hedge,\nplanted in 1910.', words: 'Made slowly.', workshop: 'The bench at Harrow Lane' }
  const pdf = await paper(sheet => handOverCard(sheet, handed), { size: [105, 148], margin: 8 })
  const text = flat(textOf(pdf))
  for (const words of ['Damson, “north hedge”', 'planted in 1910.', 'Made slowly.', 'The bench at Harrow Lane, C2', ...care['CA film']])
    expect(text).toContain(words)
  expect(text).not.toMatch(/Eye protection|accelerator|Glove|ventilat/i)
  const { width, height, grey } = pictureOf(pdf, 300)
  const rgba = new Uint8ClampedArray(grey.length * 4)
  grey.forEach((value, index) => rgba.set([value, value, value, 255], index * 4))
  const read = jsQR(rgba, width, height)!
  expect(Buffer.from(read.binaryData).toString('utf8')).toBe(ownText(handed))
  expect(ownText(handed)).not.toMatch(/https?:|www/)
  expect(ownText({ ...handed, story: 'x'.repeat(2000) })).toHaveLength(400)
  expect(pagesOf(pdf)).toMatchObject({ pages: 1, width: expect.closeTo(105, 1) })
})
it('labels lie on their sheet and go on from the place that is said, over as many sheets as it takes (property)', async () => {
  await fc.assert(fc.asyncProperty(
    fc.constantFrom(...Object.keys(labelSheets).map(Number) as LabelSheet[]),
    fc.integer({ min: 1, max: 30 }),
    fc.integer({ min: 1, max: 10 }),
    async (kind, count, from) => {
      const labels = Array.from({ length: count }, (_, at) => ({ mark: `L${at + 1}`, name: `Pen ${at + 1}`, made: 'Apple', more: '' }))
      const pdf = await paper(sheet => labelSheet(sheet, labels, kind, from), { margin: 0 })
      expect(pagesOf(pdf).pages).toBe(Math.ceil((count + from - 1) / kind))
      const text = textOf(pdf)
      for (const { mark } of labels) expect(text).toMatch(new RegExp(`\\b${mark}\\b`))
    },
  ), { numRuns: 12 })
})
it('on a label long names and reasons are cut to their room, and nothing stands over anything else', async () => {
  const many = (sign: string, count: number) => Array.from({ length: count }, (_, at) => `${sign}${at}word`).join(' ')
  for (const kind of Object.keys(labelSheets).map(Number) as LabelSheet[]) {
    const { columns, rows, width, height } = labelSheets[kind]
    const labels = Array.from({ length: kind }, () => ({ mark: 'W888', name: many('n', 12), made: many('m', 20), more: many('r', 25) }))
    const pdf = await paper(sheet => labelSheet(sheet, labels, kind), { margin: 0 })
    const words = wordsIn(pdf)
    expect(words.filter(({ word }) => word === 'r0word')).toHaveLength(kind)
    expect(words.filter(({ word }) => word === '...').length).toBeGreaterThanOrEqual(2 * kind)
    const [left, top] = [(210 - columns * width) / 2, (297 - rows * height) / 2]
    const at = ({ left: x, top: y }: PlacedWord) => Math.floor((x - left) / width) + columns * Math.floor((y - top) / height)
    for (let label = 0; label < kind; label++) {
      const own = words.filter(one => at(one) === label)
      const [x, y] = [left + (label % columns) * width, top + Math.floor(label / columns) * height]
      for (const one of own) {
        expect(one.right).toBeLessThan(x + width)
        expect(one.bottom).toBeLessThan(y + height)
      }
      const lows = ['n', 'm', 'r'].map(sign => own.filter(one => one.word.startsWith(sign)))
      const [name, made, more] = lows.map(all => ({
        first: Math.min(...all.map(one => one.top)), last: Math.max(...all.map(one => one.bottom)),
      }))
      expect(made!.first).toBeGreaterThan(name!.last - 1)
      expect(more!.first).toBeGreaterThan(made!.last - 1)
    }
  }
})
it('a receipt adds up (worked by hand), a price list has every pen, the evening’s sheet every piece of work', async () => {
  const row = { pen, summary: { fitting: { name: 'Twist' }, material: { name: 'Damson' } } } as ListedPen
  const line = { id: randomUUID(), material: null, fitting: null, method: null, refill: 'black', packing: 'sleeve', wish: '' }
  const order = {
    order: {
      id: randomUUID(), number: 7, kind: 'order', customer: null, promised: null, deposit: 1000, remark: '', calledOff: false,
      handed: false, version: 1, made: made.toISOString(),
      lines: [{ ...line, pen: pen.id, price: 3850 }, { ...line, pen: null, wish: 'One with a flat clip', price: 4025 }],
    },
    name: 'The bell ringer', pens: [row], planned: {},
  } satisfies ListedOrder
  const told = flat(textOf(await paper(sheet => receipt(sheet, order, inMoney, 'Harrow Lane', '1 December 2019'))))
  // 38.50 + 40.25 = 78.75; 10.00 of it is paid.
  for (const words of [
    'Receipt for order 7, 1 December 2019', 'For The bell ringer', 'Damson, “north hedge”, Twist in Damson (refill: black, sleeve) £38.50',
    'One with a flat clip (refill: black, sleeve) £40.25', 'In all £78.75', 'Paid beforehand £10.00', 'Still to be paid £68.75',
  ]) expect(told).toContain(words)

  const many = Array.from({ length: 90 }, (_, index) => ({ ...row, pen: { ...pen, mark: `D${index + 1}`, asked: index ? 3000 : null } }))
  const list = await paper(sheet => priceList(sheet, many, inMoney, 'Harrow Lane'))
  expect(textOf(list).match(/\bD\d+\b/g)).toEqual(many.map(one => one.pen.mark))
  expect(textOf(list).match(/£30\.00/g)).toHaveLength(89)
  // Its head stands on every page.
  expect(textOf(list).match(/Fitting/g)).toHaveLength(pagesOf(list).pages)

  const group = { at: '2019-12-01T19:05:00.000Z', seconds: 610, title: 'Glue the tube', marks: ['C2', 'B4'] }
  const long = { ...group, at: '2019-12-01T19:20:00.000Z', seconds: 148 * 60, title: 'Sand' }
  const kept = {
    day: '2019-12-01', madeAt: made.toISOString(), waits: [], blocks: [],
    promised: ['C2', 'B4', 'A1'].map((mark, at) => ({ mark, name: `Damson ${mark}`, day: at ? '2019-12-05' : '2019-12-24' })),
    evenings: [
      { from: '2019-12-01T19:00:00.000Z', to: '2019-12-01T21:30:00.000Z', groups: [group, long] },
      { from: '2019-12-02T19:00:00.000Z', to: '2019-12-02T21:30:00.000Z', groups: [] },
    ],
  }
  const evening = flat(textOf(await paper(sheet => eveningSheet(sheet, kept, timesIn('UTC')))))
  expect(evening).toContain('Sunday 1 December, 19:00 to 21:30')
  expect(evening).toContain('19:05 Glue the tube C2 B4 10 min')
  // As the page says it: of what is planned for hours nobody knows the minute.
  expect(evening).toContain('19:20 Sand C2 B4 2 h 30 min')
  expect(evening).not.toContain('2 December')
  expect(evening).toMatch(/Promised Thursday 5 December: B4 Damson B4, A1 Damson A1 Tuesday 24 December: C2 Damson C2 $/)
  const none = { ...kept, evenings: kept.evenings.slice(1), promised: [] }
  const empty = flat(textOf(await paper(sheet => eveningSheet(sheet, none, timesIn('UTC')))))
  expect(empty).toBe('The coming evenings Nothing is laid into the coming evenings. ')
  // Who helps has hours of their own, in their place between the others.
  const helps = [{ from: '2019-12-01T18:00:00.000Z', to: '2019-12-01T19:00:00.000Z', groups: [{ ...group, title: 'Drill' }] }]
  const both = flat(textOf(await paper(sheet => eveningSheet(sheet, { ...kept, helps }, timesIn('UTC')))))
  expect(both).toMatch(/18:00 to 19:00, for whoever helps 19:05 Drill .*19:00 to 21:30 19:05 Glue the tube/)
  const named = flat(textOf(await paper(sheet => eveningSheet(sheet, { ...kept, helps, helper: 'Rowan' }, timesIn('UTC')))))
  expect(named).toMatch(/18:00 to 19:00 · Rowan 19:05 Drill/)
})
it('the same paper made again at the same time is the same file; nothing in it names a machine or a folder', async () => {
  const draw = (sheet: Sheet) => jobCard(sheet, { pen, board, units })
  const [one, two] = [await paper(draw), await paper(draw)]
  expect(one.equals(two)).toBe(true)
  expect(one.toString('latin1')).not.toMatch(/node_modules|\/home|\/work|\/tmp/)
})
it('a drawing is an SVG at full size whose title tells what it is, whatever the name', () => {
  const { fitting, material } = plan.inputs
  const svg = penSvg({ fitting, colour: material.colour }, 'C2, <b> & "co"')
  expect(svg).toContain('<title>C2, &#60;b&#62; &#38; &#34;co&#34;</title>')
  const long = fitting.barrels.reduce((sum, one) => sum + one.tubeLength, 0)
  expect(Number(/width="([\d.]+)mm"/.exec(svg)![1])).toBeGreaterThan(long)
  expect(svg.match(/<path /g)!.length).toBeGreaterThan(fitting.barrels.length)
})
it('signs that no face has stand in words', () => {
  expect(printable('→ ≤ 3 µm ✓')).toBe('to at most  3 µm yes')
})
it('names in other letters stand on paper as they are written: Latin with its marks, Greek, Cyrillic, marks kept apart too', async () => {
  const names = ['Łucja Dvořáková', 'Ţîrlea İnanç', 'Ελένη', 'Жуковская', 'Nguyễn Hồng', 'Ağaoğlu']
  for (const face of ['plain', 'bold', 'head'] as const) {
    const pdf = await paper(sheet => names.forEach(name => sheet.words(name.normalize('NFD'), { face, align: 'center' })))
    for (const name of names) expect(textOf(pdf).normalize('NFC')).toContain(name)
    // A sign that is missing would be the empty box of its face, which reads as nothing.
    const codes = [...names.join('')].map(sign => sign.codePointAt(0)!)
    expect(missingIn(face, codes)).toEqual([])
  }
})
it('words stand in the middle and at the right where they should, in whatever letters', async () => {
  const dark = async (align: 'center' | 'right') => {
    const pdf = await paper(sheet => sheet.words('Łódź Жук', { x: 20, y: 20, width: 100, size: 20, align, face: 'bold' }))
    const { width, grey } = pictureOf(pdf, 254)
    const columns = [...grey].flatMap((value, at) => (value < 90 ? [(at % width) / 10] : []))
    return { from: columns.reduce((least, one) => Math.min(least, one)), to: columns.reduce((most, one) => Math.max(most, one)) }
  }
  const middle = await dark('center')
  expect((middle.from + middle.to) / 2).toBeCloseTo(70, 0)
  expect((await dark('right')).to).toBeCloseTo(120, 0)
})
