import { decimal, formatSpan, millilitres } from '#core/format'
import type { Figure, Mark } from '#core/figures'

const DIGITS: Partial<Record<Figure['unit'], number>> = { '×': 2, 'µm': 1 }

/** A figure with its unit, in the turner's units. */
export function figureText({ value, unit }: Figure): string {
  const { units, inMoney } = useWorkshop()
  if (unit === 's') return formatSpan(value)
  if (unit === 'mm') return units.length(value)
  if (unit === '°C') return units.temperature(value)
  if (unit === 'N') return units.force(value)
  if (unit === 'g') return units.mass(value)
  if (unit === 'money') return inMoney(value)
  if (unit === 'ml') return millilitres(value)
  if (unit === 'm/min') return units.speed(value)
  return `${decimal(value, DIGITS[unit] ?? 0)}${unit ? ` ${unit}` : ''}`
}

const MARKS: Record<Mark, string> = {
  pub: 'published',
  trade: 'common practice, no source',
  mem: 'recalled from memory',
  model: 'Oxlip’s own starting value',
}

/** Where a figure comes from, in one line. */
export function sourceText({ origin, mark, note }: Figure): string {
  const from
    = origin === 'worked out'
      ? 'worked out'
      : origin === 'yours'
        ? 'yours'
        : origin === 'measured'
          ? 'measured'
          : mark
            ? MARKS[mark]
            : 'default'
  return note ? `${from}: ${note}` : from
}
