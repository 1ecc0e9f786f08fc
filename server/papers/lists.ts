import { forHelper } from '../../core/evening'
import { roughSpan } from '../../core/format'
import { orderSum } from '../../core/orders'
import type { ListedOrder, ListedPen } from '../../contract'
import type { KeptPlan } from '../../schemas'
import type { Sheet } from './sheet'
import { table } from './table'
import { timesIn, type Times } from './times'

/** How money is written, given in minor units. */
type InMoney = (minor: number) => string

/** The price list for a fair: every finished pen that is here, by its mark. */
export function priceList(sheet: Sheet, pens: readonly ListedPen[], inMoney: InMoney, workshop: string): void {
  sheet.words(workshop, { size: 17, face: 'head' })
  sheet.space(3)
  const columns = [
    { title: 'Mark', width: 18, bold: true as const }, { title: 'Pen', width: 60 }, { title: 'Wood', width: 34 },
    { title: 'Fitting', width: 36 },
    { title: 'Price', width: 22, align: 'right' as const, bold: true as const },
  ]
  const asked = (minor: number | null) => (minor === null ? '' : inMoney(minor))
  table(sheet, columns, pens.map(({ pen, summary }) => [pen.mark, pen.name, summary.material.name, summary.fitting.name, asked(pen.asked)]))
}

/** A receipt of an order: its pens with their prices, what was paid beforehand, and what is still to be paid. */
export function receipt(sheet: Sheet, { order, name, pens }: ListedOrder, inMoney: InMoney, workshop: string, day: string): void {
  sheet.words(workshop, { size: 17, face: 'head' })
  sheet.space(2)
  sheet.words(`Receipt for order ${order.number}, ${day}`, { face: 'bold' })
  if (name) sheet.words(`For ${name}`)
  sheet.space(4)
  const rows = order.lines.map((line, index) => {
    const found = pens.find(one => one.pen.id === line.pen)
    const wished = line.wish || `Pen ${index + 1}`
    const what = found ? `${found.pen.name}, ${found.summary.fitting.name} in ${found.summary.material.name}` : wished
    const extra = [line.refill && `refill: ${line.refill}`, line.packing].filter(Boolean).join(', ')
    return [found?.pen.mark ?? '', extra ? `${what} (${extra})` : what, line.price === null ? '' : inMoney(line.price)]
  })
  table(sheet, [{ title: 'Mark', width: 18 }, { title: 'What', width: 128 }, { title: 'Price', width: 32, align: 'right' }], rows)
  const { asked, open } = orderSum(order.lines.map(line => line.price), order.deposit)
  const sum = (label: string, minor: number) => {
    sheet.needs(8)
    const y = sheet.at() + 1.5
    sheet.words(label, { x: sheet.margin + 90, y, width: 56, align: 'right', face: 'bold' })
    sheet.to(sheet.words(inMoney(minor), { x: sheet.margin + 150, y, width: 32, align: 'right', face: 'bold' }))
  }
  sum('In all', asked)
  if (order.deposit) {
    sum('Paid beforehand', order.deposit)
    sum('Still to be paid', open)
  }
}

/** The coming evenings in which something is done, with boxes to tick, and what is promised, day by day. */
export function eveningSheet(sheet: Sheet, plan: KeptPlan, { clock, weekday }: Times): void {
  sheet.words('The coming evenings', { size: 17, face: 'head' })
  const own = plan.evenings.map(one => ({ ...one, whose: '' }))
  const busy = [...own, ...(plan.helps ?? []).map(one => ({ ...one, whose: forHelper(plan.helper) }))]
    .filter(one => one.groups.length)
    .sort((a, b) => Date.parse(a.from) - Date.parse(b.from))
  for (const { from, to, groups, whose } of busy) {
    sheet.space(3)
    sheet.needs(20)
    sheet.words(`${weekday(new Date(from))}, ${clock(new Date(from))} to ${clock(new Date(to))}${whose}`, { size: 12, face: 'head' })
    for (const { at, seconds, title, marks } of groups) {
      sheet.needs(8)
      const y = sheet.at() + 1
      sheet.box(sheet.margin, y + 0.4, 3.4, 3.4, { line: '#1c2b24' })
      sheet.words(clock(new Date(at)), { x: sheet.margin + 6, y, width: 14, size: 9.5 })
      const ends = sheet.words(title, { x: sheet.margin + 21, y, width: 90, face: 'bold', size: 9.5 })
      const marked = sheet.words(marks.join(' '), { x: sheet.margin + 113, y, width: 46, size: 9.5 })
      sheet.words(roughSpan(seconds), { x: sheet.margin + 160, y, width: 22, align: 'right', size: 9.5 })
      sheet.to(Math.max(ends, marked) + 0.5)
    }
  }
  if (!busy.length) sheet.words('Nothing is laid into the coming evenings.')
  const days = [...new Set(plan.promised.map(one => one.day))].sort()
  if (!days.length) return
  sheet.space(4)
  sheet.needs(20)
  sheet.words('Promised', { size: 12, face: 'head' })
  for (const day of days) {
    const pens = plan.promised.filter(one => one.day === day).map(({ mark, name }) => `${mark} ${name}`)
    // A day is the same day by every clock.
    sheet.words(`${timesIn('UTC').weekday(new Date(day))}: ${pens.join(', ')}`)
  }
}
