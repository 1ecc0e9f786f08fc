import { day, trimmed } from '#core/format'
import type { UnitWords } from '#core/units'
import type { Field, IntakeKnown, Value } from '#schemas/intake'

/** What a row says in a field, as it is shown. */
export function valueWords(
  { kind, among }: Field, value: Value | undefined, known: IntakeKnown, units: UnitWords, inMoney: (minor: number) => string,
): string {
  if (value === undefined) return ''
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return kind === 'money' ? inMoney(value) : kind === 'length' ? units.length(value) : trimmed(value, 2)
  if (kind === 'day' && typeof value === 'string') return day(value)
  const names = new Map(among?.(known).map(({ id, name }) => [id, name]))
  return [value].flat().map(one => names.get(one) ?? one).join(', ')
}
