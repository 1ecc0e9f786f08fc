import { assemblyOf, barrelNames, cutSticks, storyStick, usualCut, type CutHabits } from '../../core/barrel'
import type { Board } from '../../core/bench'
import { capital, day as dayOf, formatSpan } from '../../core/format'
import { stepWords } from '../../core/plan'
import type { UnitWords } from '../../core/units'
import type { Pen } from '../../contract'
import { cautionsFor, type OwnCautions } from '../../reference'
import { drawPen } from './drawing'
import type { Sheet } from './sheet'
import { table, type Column } from './table'
import { tag } from './tag'

/** What the papers of one pen are made from. */
export interface PaperPen {
  /** Its row. */
  pen: Pen
  /** What follows from its plan and its log. */
  board: Board
  /** The units its turner reads. */
  units: UnitWords
  /** What its turner minds at kinds of steps. */
  cautions?: OwnCautions
}

/** Mark, name, fitting and wood at the top of a paper. */
export function penHead(sheet: Sheet, { pen, board: { state: { plan } } }: PaperPen): void {
  const { fitting, material, method } = plan.inputs
  const wide = tag(sheet, pen.mark, sheet.margin, sheet.at(), 16)
  const x = sheet.margin + wide + 4
  const ends = sheet.words(pen.name, { x, y: sheet.at(), size: 17, face: 'head' })
  const below = sheet.words([fitting.name, material.name, method.name].join(', '), { x, y: ends + 0.5 })
  const why = [pen.reason, pen.due && `due ${dayOf(pen.due)}`].filter(Boolean).join(', ')
  sheet.to((why ? sheet.words(why, { x, y: below }) : below) + 3)
}

/** The job card: cut, drill, turn-to, and every step with a box to tick. */
export function jobCard(sheet: Sheet, paper: PaperPen): void {
  const { board: { state, traced }, units } = paper
  const { plan } = state
  penHead(sheet, paper)
  const { fitting, material, wishes } = plan.inputs
  const drawn = { fitting, colour: material.colour, ...(wishes.shapes ? { shapes: wishes.shapes } : {}) }
  sheet.to(sheet.at() + drawPen(sheet, drawn, { x: sheet.margin, y: sheet.at(), width: 120 }) + 4)
  const barrels = traced.size.barrels
  const columns: Column[] = [{ width: 44 }, ...barrels.map(({ barrel }) => ({ title: capital(barrelNames[barrel.id]), width: 60 }))]
  const per = (label: string, say: (one: (typeof barrels)[number], index: number) => string) => [label, ...barrels.map(say)]
  table(sheet, columns, [
    per('Cut length', (_, index) => units.length(traced.stick.pieces[index]?.length.value ?? 0, 1)),
    per('Square, at least', one => units.length(one.section.side.value, 1)),
    per('Bit', one => `${units.length(one.drilling.bit.value)}, from ${one.drilling.from}`),
    per('Depth', one => `${units.length(one.drilling.depth.value, 1)} in ${one.drilling.bites} bites`),
    per('Speed of the bit', one => `${one.drilling.slow.value} to ${one.drilling.fast.value} rev/min`),
    per('Tube', one => units.length(one.barrel.tubeLength, 1)),
    per('Turn to, tip end', one => endWords(one.ends[0], units)),
    per('Turn to, clip end', one => endWords(one.ends[1], units)),
  ])
  sheet.space(3)
  sheet.words(`${formatSpan(traced.handsOn.value)} with hands on it; ${formatSpan(traced.untilHandOver.value)} until it may go.`)
  sheet.space(2)
  traced.steps.forEach((one, index) => {
    const words = stepWords(plan, one, units, traced)
    sheet.needs(12)
    const top = sheet.at()
    sheet.box(sheet.margin, top + 0.6, 3.6, 3.6, { line: '#1c2b24' })
    if (state.steps[index]?.status === 'done') sheet.line([sheet.margin, top + 0.6], [sheet.margin + 3.6, top + 4.2], 0.4, '#1c2b24')
    const title = sheet.words(words.title, { x: sheet.margin + 6, y: top, width: 128, face: 'bold' })
    const how = sheet.words(words.how, { x: sheet.margin + 6, y: title, width: 128, size: 9 })
    const wait = one.wait ? `after ${formatSpan(one.wait.length.value)}` : ''
    sheet.words(wait, { x: sheet.margin + 136, y: top, width: 26, align: 'right', size: 9 })
    sheet.words(formatSpan(one.handsOn.value), { x: sheet.margin + 163, y: top, width: 19, align: 'right', size: 9 })
    sheet.to(how + 1.4)
  })
  sheet.space(2)
  const cautions = [...new Set(plan.steps.flatMap(step => cautionsFor(step, plan.inputs.material, paper.cautions).map(one => one.short)))]
  for (const one of [...cautions, 'The product’s label, its safety data sheet and local rules stand above this card.']) {
    sheet.needs(6)
    sheet.words(`! ${one}`, { size: 9, colour: '#a23a2a' })
  }
}

type SizedEnd = Board['traced']['size']['barrels'][number]['ends'][number]
const endWords = (end: SizedEnd | undefined, units: UnitWords): string => (end ? units.length(end.own ?? end.diameter.value) : '')

/** A line that must be so long on paper: whoever holds a rule against it knows whether the printer kept the size. */
function checkLine(sheet: Sheet, mm = 50): void {
  const [x, y] = [sheet.margin, sheet.at() + 2]
  sheet.line([x, y], [x + mm, y], 0.3, '#1c2b24')
  for (const at of [x, x + mm]) sheet.line([at, y - 2], [at, y + 2], 0.3, '#1c2b24')
  sheet.words(`${mm} mm: hold a rule against it. Where it is not, print without “fit to page”.`, { y: y + 2.5, size: 9 })
  sheet.to(y + 9)
}

/** The story stick and the assembly board at full size. */
export function storyPaper(
  sheet: Sheet, { board: { state: { plan } }, units }: Pick<PaperPen, 'board' | 'units'>, habits: CutHabits,
): void {
  const { fitting } = plan.inputs
  sheet.words(fitting.name, { size: 17, face: 'head' })
  checkLine(sheet)
  const stick = cutSticks(fitting, usualCut(false, habits))
  const [x, y] = [sheet.margin, sheet.at()]
  sheet.box(x, y, stick.total.value, 14, { fill: '#e5dfcf', line: '#55635a' })
  const marks = storyStick(fitting, stick)
  // The first goes down the farthest, so that no line crosses the words of another.
  marks.forEach(({ at, says }, index) => {
    const below = y + 18 + 4.4 * (marks.length - 1 - index)
    sheet.line([x + at, y - 1.5], [x + at, below], 0.25, '#1c2b24')
    sheet.words(`${units.length(at, 1)} ${says}`, { x: x + at + 1, y: below - 3.4, width: sheet.width - sheet.margin - x - at, size: 8.5 })
  })
  sheet.to(y + 24 + 4.4 * marks.length)
  sheet.words('What goes where', { size: 13, face: 'head' })
  sheet.space(2)
  let from = sheet.margin
  const middle = sheet.at() + 9
  for (const one of fitting.barrels) {
    const end = from + one.tubeLength
    const path = `M0 ${-one.tipEnd / 2}L${one.tubeLength} ${-one.clipEnd / 2}V${one.clipEnd / 2}L0 ${one.tipEnd / 2}Z`
    sheet.path(path, { x: from, y: middle, fill: '#e5dfcf', line: '#1c2b24' })
    sheet.words(barrelNames[one.id], { x: from, y: middle + 10, width: one.tubeLength + 10, size: 9 })
    from = end + 10
  }
  sheet.to(middle + 18)
  assemblyOf(fitting).forEach((part, index) => {
    const where = part.into ? `: ${barrelNames[part.into.barrel]}, ${part.into.end} end` : ''
    sheet.needs(6)
    sheet.words(`${index + 1}. ${part.name}${where}${part.tries ? '; to just short of its ring, then try' : ''}`)
  })
}
