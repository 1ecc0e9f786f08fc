import { grainOf, productRoles, type ShelfAbrasive } from '../shelf'
import type { BenchEvent, Entry } from './event'

type Kind = 'text' | 'text or null' | 'text or nothing' | 'number' | 'number or null' | 'texts' | 'item'

/** What the payload of each kind of entry must have to be gone by. What else may be in it is looked at where it is used. */
const FIELDS: { readonly [K in Entry['kind']]: Readonly<Record<string, Kind>> } = {
  begin: { step: 'text' },
  done: { step: 'text' },
  skip: { step: 'text' },
  defect: { kind: 'text', barrel: 'text', fromTip: 'number', size: 'number', step: 'text or null' },
  check: { step: 'text', check: 'text', answer: 'text' },
  look: { step: 'text', answer: 'text' },
  touch: { step: 'text', felt: 'text' },
  measure: { barrel: 'text', fromTip: 'number', diameter: 'number', step: 'text' },
  coat: { product: 'text', step: 'text or null', item: 'item' },
  extra: { work: 'text', with: 'text or null', step: 'text or null', item: 'item' },
  wait: { step: 'text', seconds: 'number' },
  press: { step: 'text', part: 'text', verdict: 'text', left: 'number or null', out: 'number or null' },
  remark: { text: 'text', step: 'text or null', photo: 'text or nothing' },
  time: { step: 'text', seconds: 'number or null' },
  answer: { defect: 'text', question: 'text', answer: 'text' },
  judge: { defect: 'text', cause: 'text or null' },
  away: { how: 'text', why: 'text' },
  made: { minutes: 'number or null', coats: 'number or null', defects: 'texts', words: 'text' },
  leave: {
    how: 'text', price: 'number or null', place: 'text or null', customer: 'text or null', order: 'text or null', with: 'texts',
    words: 'text',
  },
  return: { why: 'text', paid: 'number or null', words: 'text' },
  gate: { gate: 'text', how: 'text' },
  photo: { defect: 'text', photo: 'text' },
  repair: { defect: 'text', way: 'text', step: 'text or null' },
  settle: { defect: 'text', how: 'text' },
  undo: { entries: 'texts' },
}

const isText = (value: unknown): value is string => typeof value === 'string'
const isNumber = (value: unknown): boolean => typeof value === 'number' && Number.isFinite(value)
const IS: Readonly<Record<Kind, (value: unknown) => boolean>> = {
  'text': isText,
  'text or null': value => value === null || isText(value),
  'text or nothing': value => value === undefined || isText(value),
  'number': isNumber,
  'number or null': value => value === null || isNumber(value),
  'texts': value => Array.isArray(value) && value.every(isText),
  'item': value => value === undefined || isItem(value),
}

/** An abrasive whose grain is known, or a product of a known role. */
function isItem(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || !isText((value as { id?: unknown }).id)) return false
  if (!('scale' in value)) return productRoles.some(role => role === (value as { role?: unknown }).role)
  try {
    return Number.isFinite(grainOf(value as ShelfAbrasive))
  } catch {
    return false
  }
}

/** The same table laid out once: a log of ten years is gone through at every entry. */
const CHECKS: ReadonlyMap<string, readonly (readonly [string, (value: unknown) => boolean])[]> = new Map(
  Object.entries(FIELDS).map(([kind, fields]) => [kind, Object.entries(fields).map(([name, is]) => [name, IS[is]] as const)]),
)

/**
 * Whether an entry says what its kind must say. One that does not, of an old form or damaged, counts for nothing, so that it harms no
 * other entry; it stays in the log as it is.
 */
export function isReadable(event: BenchEvent): boolean {
  const { kind, payload, at, barrels } = event as { kind: unknown, payload: unknown, at: unknown, barrels: unknown }
  if (!isText(kind) || !CHECKS.has(kind) || !isText(at) || Number.isNaN(Date.parse(at)) || !Array.isArray(barrels)) return false
  if (typeof payload !== 'object' || payload === null) return false
  const said = payload as Record<string, unknown>
  return (CHECKS.get(kind) ?? []).every(([name, is]) => is(said[name]))
}
