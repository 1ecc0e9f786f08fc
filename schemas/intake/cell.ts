import { minorDigits } from '../../core/format'
import { CellError, dayIn, listedIn, numberIn, plainWord, unitOver, yesIn, type Named } from '../../core/intake'
import { parseLength, UnitError } from '../../core/units'
import type { Field, IntakeKnown, Value } from './field'
import type { Mapping } from './mapping'

/** Reads a cell of one column: what it says; undefined where it says nothing. Throws CellError. */
export type CellReader = (text: string) => Value | undefined

/** A word that names nothing known. */
export class UnknownWordError extends CellError {
  override name = 'UnknownWordError'
}

/** Letters and signs of money beside a figure. */
const MONEY = /[\p{L}\p{Sc}]/gu

/** A reader for the cells of a field, under a heading. */
export function readerOf(field: Field, head: string, mapping: Mapping, known: IntakeKnown): CellReader {
  const { decimal, days } = mapping
  switch (field.kind) {
    case 'text': return text => text
    case 'number': return text => numberIn(text, decimal)
    case 'length': {
      const unit = unitOver(head)
      return text => lengthIn(text, unit)
    }
    case 'money': {
      const whole = 10 ** minorDigits(known.currency)
      return text => Math.round(numberIn(text.replace(MONEY, ''), decimal) * whole)
    }
    case 'day': return text => dayIn(text, days)
    case 'yes': return text => answerIn(text)
    case 'one of': {
      const named = naming(field, mapping, known)
      return text => named(text) || undefined
    }
    case 'some of': {
      const named = naming(field, mapping, known)
      const byWord = namesOf(field.among?.(known) ?? [])
      return text => [...new Set(wordsIn(field, text, byWord).map(named).filter(Boolean))]
    }
  }
}

function lengthIn(text: string, unit: 'mm' | 'in'): number {
  try {
    // Sizes are kept to the hundredth of a millimetre, as a caliper shows them.
    return Math.round(parseLength(text, unit) * 100) / 100
  } catch (error) {
    throw error instanceof UnitError ? new CellError(error.message) : error
  }
}

function answerIn(text: string): boolean {
  const answer = yesIn(text)
  if (answer === undefined) throw new CellError(`“${text}” says neither yes nor no.`)
  return answer
}

/** What a word names, by its id: by its own name, or as it was said what it means; empty where it is passed over. */
function naming(field: Field, { words }: Mapping, known: IntakeKnown): (text: string) => string {
  const byWord = namesOf(field.among?.(known) ?? [])
  const said = words[field.field] ?? {}
  return (text) => {
    const word = plainWord(text)
    const id = (Object.hasOwn(said, word) ? said[word] : undefined) ?? byWord.get(word)
    if (id === undefined) throw new UnknownWordError(`“${text}” is not known here: say what it means.`)
    return id
  }
}

/** The words of a cell that name something: one, or as many as it lists where it does not name one with all of them. */
export const wordsIn = ({ kind }: Field, text: string, byWord: ReadonlyMap<string, string>): string[] =>
  kind === 'some of' && !byWord.has(plainWord(text)) ? listedIn(text) : [text]

/** Ids by the words that name them; of two with one name the first. */
export function namesOf(among: readonly Named[]): Map<string, string> {
  const byWord = new Map<string, string>()
  for (const { id, name } of among)
    for (const word of [plainWord(name), plainWord(id)]) if (!byWord.has(word)) byWord.set(word, id)
  return byWord
}
