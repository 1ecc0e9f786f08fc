import type { FindingAnswer } from '#contract'
import { decimal } from '#core/format'
import type { AskedOf, Trait } from '#core/findings'
import { differenceWords, figureWords, inHundred, overWords, sureWords, valueLabel } from './finding-words'

/** One group of an answer, as it is drawn. */
export interface AnswerRow {
  /** The value of the trait. */
  value: string
  /** The same as it is read. */
  label: string
  /** How many pens. */
  of: number
  /** On how many it was so; absent where how much is asked. */
  hits?: number
  /** Where it lies on the scale. */
  at: number
  /** The interval it lies in. */
  range?: { low: number, high: number } | undefined
  /** Where it would be expected among all groups. */
  pulled?: number
  /** The rate or the figure, in words. */
  says: string
  /** How it differs from the others. */
  more?: string
}

/** Values that have an order of their own stand in it, others by how many pens there are. */
const ORDERED: readonly Trait[] = ['coats', 'hour']

/** The groups of an answer, as they are drawn. */
export function answerRows(of: AskedOf, by: Trait, answer: FindingAnswer): AnswerRow[] {
  const rows = answer.kind === 'rate' ? rateRows(by, answer) : figureRows(of, by, answer)
  return ORDERED.includes(by) ? rows.sort((a, b) => Number(a.value) - Number(b.value)) : rows
}

const rateRows = (by: Trait, { groups, differences }: Extract<FindingAnswer, { kind: 'rate' }>): AnswerRow[] =>
  groups.map(({ value, counted: { hits, of }, rate, pulled }): AnswerRow => {
    const found = differences.find(one => one.value === value)
    const isTold = found && groups.length > 2 && found.sureness !== 'not yet'
    return {
      value, label: valueLabel(by, value), of, hits, at: rate.value, range: rate, pulled, says: inHundred(rate.value),
      ...(isTold ? { more: differenceWords(found) } : {}),
    }
  })

const figureRows = (of: AskedOf, by: Trait, { groups }: Extract<FindingAnswer, { kind: 'figure' }>): AnswerRow[] =>
  groups.map(({ value, of: pens, middle, median, sureness, over, more }): AnswerRow => ({
    value, label: valueLabel(by, value), of: pens, at: middle, range: median, says: figureWords(of, middle),
    ...(groups.length > 2 && over && sureness !== 'not yet'
      ? { more: `${overWords(of, over.value)}, ${sureWords(sureness, more)}` }
      : {}),
  }))

/** The scale that all groups are drawn on. */
export interface AnswerScale {
  /** Its left end. */
  from: number
  /** Its right end. */
  to: number
  /** Where all pens together lie; absent where how much is asked. */
  all?: number
  /** How its ends are written. */
  words: (value: number) => string
}

/** Rates from none to as many as are needed, figures from nought. */
export function answerScale(answer: FindingAnswer): AnswerScale {
  if (answer.kind === 'rate') {
    const { hits, of } = answer.all
    return { from: 0, to: 1, ...(of ? { all: hits / of } : {}), words: value => decimal(100 * value) }
  }
  const most = Math.max(1, ...answer.groups.map(one => Math.max(one.middle, one.median?.high ?? 0)))
  const step = 10 ** Math.floor(Math.log10(most))
  return { from: 0, to: Math.ceil(most / step) * step, words: value => decimal(value) }
}

/** What is to be known to read an answer. */
export function answerNotes(answer: FindingAnswer): string {
  const fixed = 'Sure: less than 1 in 100 by chance alone; likely: less than 1 in 10.'
  const bars = 'Bars: where it lies 95 times in 100.'
  if (answer.kind === 'rate')
    return `${bars} Dashed: all pens. Brass: drawn towards what all have, the more so the fewer pens there are. ${fixed}`
  const latest = answer.latest ? ` Asked of the latest ${answer.latest} pens.` : ''
  return `${bars} Told is the pen in the middle, with as many above it as below.${latest} ${fixed}`
}
