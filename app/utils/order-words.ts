import { addSeconds, format } from 'date-fns'
import { counted } from '#core/format'
import type { BroughtBefore, ListedOrder, ListedPen } from '#contract'
import type { Gone, Return } from '#core/bench'
import { standingOf, type OrderStanding, type OrderedPen, type Trouble } from '#core/orders'

/** A day as the clock on the wall has it, YYYY-MM-DD. */
const dayOf = (at: Date): string => format(at, 'yyyy-MM-dd')

/** The day a pen can be ready at the earliest: the time of hands that is left alone, and the wait that runs. */
function earliestOf({ summary: { handsOnLeft, wait, stage } }: ListedPen, now: Date): string | null {
  if (stage === 'given up' || stage === 'set aside') return null
  const hands = addSeconds(now, handsOnLeft)
  return dayOf(wait && new Date(wait.until) > hands ? new Date(wait.until) : hands)
}

/** How an order stands now. */
export function orderStanding({ order, pens, planned }: ListedOrder, now: Date): OrderStanding {
  const known = new Map(pens.map(one => [one.pen.id, one]))
  const asked = order.lines.map((line, index): OrderedPen => {
    const one = known.get(line.pen ?? '')
    if (!one) return { name: `Pen ${index + 1}`, stage: null, gone: false, planned: null, earliest: null }
    const ready = planned[one.pen.id]
    return {
      name: one.pen.mark,
      stage: one.summary.stage,
      gone: one.summary.gone !== undefined,
      planned: ready === undefined ? null : dayOf(new Date(ready)),
      earliest: earliestOf(one, now),
    }
  })
  return standingOf({ promised: order.promised ?? null, calledOff: order.calledOff, pens: asked }, dayOf(now))
}

const HOW: Record<OrderStanding['how'], string> = {
  'called off': 'Called off',
  'handed over': 'Handed over',
  'ready': '✓ Ready to hand over',
  'late': '◆ Late',
  'cannot be kept': '◆ Cannot be kept',
  'in danger': '◆ In danger',
  'on its way': 'On its way',
}
/** How an order stands, in a word or two. */
export const standingWords = ({ how }: OrderStanding): string => HOW[how]

/** Whether it needs somebody. */
export const isTroubled = ({ how }: OrderStanding): boolean => how === 'late' || how === 'cannot be kept' || how === 'in danger'

const WHAT: Record<Trouble['what'], (day: string) => string> = {
  'planned too late': day => `by the evenings as they are planned it is ready on ${day}`,
  'cannot be ready': day => `it cannot be ready before ${day}`,
  'given up': () => 'it was given up',
  'set aside': () => 'it is set aside',
  'no pen': () => 'no pen is started for it',
}
/** What is wrong with one pen of an order. */
export const troubleWords = ({ pen, what, day }: Trouble): string => `${pen}: ${WHAT[what](day ? dayWords(day) : '')}.`

const KINDS = { order: 'Order', gift: 'Gift', stock: 'For stock' } as const
/** What an order is called: what it is, its number, whom it is for. */
export const orderName = ({ order: { kind, number }, name }: ListedOrder): string =>
  `${KINDS[kind]} ${number}${name ? `, ${name}` : ''}`

/** Where and for how much a pen went, and what went with it. */
export function leavingWords(gone: Gone): string {
  const { inMoney } = useWorkshop()
  const at = useOrders().place(gone.place)
  return [
    gone.price === null ? '' : inMoney(gone.price), at?.name ?? '', gone.with.length ? `with ${gone.with.join(', ')}` : '', gone.words,
  ].filter(Boolean).join('; ')
}

/** What was paid back for a pen, and why it came back. */
export const returnWords = ({ paid, words }: Return): string =>
  [paid === null ? '' : `${useWorkshop().inMoney(paid)} paid back`, words].filter(Boolean).join('; ')

const NEAR: Record<NonNullable<BroughtBefore['by']>, string> = {
  'all': 'such pens brought',
  'fitting and material': 'of this fitting and material they brought',
  'fitting': 'pens of this fitting brought',
}
/** What pens like one brought, in one line; empty where none was sold. */
export function broughtWords({ by, brought }: BroughtBefore, inMoney: (minor: number) => string): string {
  if (!by || !brought) return ''
  const { pens, least, middle, most } = brought
  return least === most
    ? `${NEAR[by]} ${inMoney(middle)}, ${counted(pens, 'sale')}`
    : `${NEAR[by]} ${inMoney(least)} to ${inMoney(most)}, half of them ${inMoney(middle)} or more, ${counted(pens, 'sale')}`
}
