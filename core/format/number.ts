/** How the workshop writes numbers: a decimal point, no commas between thousands but in money, and a true minus. */
const LOCALE = 'en-GB'

const written = new Map<string, Intl.NumberFormat>()

function numberFormat(least: number, most: number, grouped = false): Intl.NumberFormat {
  const key = `${least} ${most} ${grouped}`
  const known = written.get(key)
    ?? new Intl.NumberFormat(LOCALE, {
      minimumFractionDigits: least,
      maximumFractionDigits: most,
      useGrouping: grouped,
      // What rounds to nought has no sign.
      signDisplay: 'negative',
    })
  written.set(key, known)
  return known
}

const minus = (text: string): string => text.replace('-', '−')

/** A number with just so many digits after the point, 0 to 20: `8.30`. */
export const decimal = (value: number, digits = 0): string => minus(numberFormat(digits, digits).format(value))

/** A number with at most so many digits after the point and no noughts that say nothing: `8.3`, `7`. */
export const trimmed = (value: number, most: number): string => minus(numberFormat(0, most).format(value))

/** A depth or thickness in µm, without its unit: a tenth counts below ten and is noise above it. */
export const micrometres = (um: number): string => decimal(um, um < 10 ? 1 : 0)

/** A volume in ml with its unit, as closely as a bottle can be read: `0.04 ml`, `3.2 ml`, `28 ml`. */
export const millilitres = (ml: number): string => `${decimal(ml, ml < 1 ? 2 : ml < 10 ? 1 : 0)} ml`

/** A part of a whole (0 to 1) in whole percent: `62 %`. */
export const share = (part: number): string => `${decimal(100 * part)} %`

/** An amount of money, given in minor units of a currency (ISO 4217): `£1,204.50`; without one in hundredths, `1,204.50`. */
export function money(minor: number, currency?: string | null): string {
  if (!currency) return minus(numberFormat(2, 2, true).format(minor / 100))
  return minus(currencyFormat(currency).format(minor / 10 ** minorDigits(currency)))
}

/** How many places a currency (ISO 4217) is written with: 2 for most, 0 or 3 for some; 2 without one. */
export const minorDigits = (currency?: string | null): number =>
  (currency ? currencyFormat(currency).resolvedOptions().maximumFractionDigits : undefined) ?? 2

function currencyFormat(currency: string): Intl.NumberFormat {
  const known = written.get(currency) ?? new Intl.NumberFormat(LOCALE, { style: 'currency', currency, signDisplay: 'negative' })
  written.set(currency, known)
  return known
}

/** The currencies there are, by their codes (ISO 4217), as this machine knows them. */
export const currencies = (): readonly string[] => Intl.supportedValuesOf('currency')

/** A currency in words: `GBP, British pound`. */
export function currencyName(currency: string): string {
  const name = new Intl.DisplayNames(LOCALE, { type: 'currency' }).of(currency)
  return name && name !== currency ? `${currency}, ${name}` : currency
}

const plural = new Intl.PluralRules(LOCALE)
const joined = new Intl.ListFormat(LOCALE, { type: 'conjunction' })

/** A count with its noun: `1 coat`, `3 coats`. `many` where an s does not do. */
export const counted = (count: number, one: string, many = `${one}s`): string => `${count} ${plural.select(count) === 'one' ? one : many}`

/** Things told one after the other: `P320`, `P320 and P600`, `P320, P400 and P600`. */
export const list = (items: readonly string[]): string => joined.format(items)
