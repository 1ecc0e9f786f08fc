import { mixed, number, object, setLocale, string, type AnyObject, type ObjectSchema, type ObjectShape, type ValidationError } from 'yup'
import { messages } from './messages'

// Here and not in a module imported for its effect alone, which the server's bundler would drop.
setLocale(messages)

/** An object that must be there and takes its own fields and no others. */
export const exact = <S extends ObjectShape>(shape: S) => object(shape).noUnknown().strict().required()

/** The same, but it may be absent. */
export const perhaps = <S extends ObjectShape>(shape: S) => object(shape).noUnknown().strict().default(undefined)

/**
 * An object judged as a whole, once each of its fields is what it should be: `judge` answers whether it is sound, or what is wrong at its
 * fields.
 */
export const judged = <T extends object>(
  schema: ObjectSchema<T, AnyObject>, judge: (value: T) => boolean | ValidationError, says = '',
): ObjectSchema<T, AnyObject> =>
  schema.test('whole', says, (value: unknown) => !value || !schema.isValidSync(value) || judge(value as T))

/** The value of a table under a word that came in; undefined for words that only its prototype knows. */
export const under = <T>(table: Record<string, T>, name: unknown): T | undefined =>
  typeof name === 'string' && Object.hasOwn(table, name) ? table[name] : undefined

/** The number of a version, as the database counts. */
export const version = () => number().integer().min(1).max(2_147_483_647)

const MONEY = 'Should lie between 0 and 1,000,000.00.'
/** An amount of money, in minor units of the workshop’s currency. */
export const minor = () => number().integer().min(0, MONEY).max(100_000_000, MONEY)

/** An id in its one spelling, lower case, so that ids compare as text. */
export const uuid = () => string().matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/, 'Should be an id (UUID in lower case).')

/** One of a fixed set of words. */
export const word = <const T extends string | number>(...words: readonly T[]) =>
  mixed<T>((value): value is T => words.includes(value as T))
    .typeError(`Choose one of: ${words.join(', ')}.`)
    .oneOf(words)

/** A moment as ISO 8601 in UTC with milliseconds, so that moments compare as text. */
export const moment = () =>
  string().test(
    'moment',
    'Should be a time like 2026-11-23T19:42:00.000Z.',
    value => value === undefined || value === null || (/^[12]\d{3}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/.test(value) && isSame(value)),
  )

const isSame = (value: string): boolean => {
  const parsed = new Date(value)
  return !Number.isNaN(parsed.getTime()) && parsed.toISOString() === value
}

/** A calendar day, `2026-12-05`, or nothing. */
export const day = () =>
  string()
    .nullable()
    .test(
      'day',
      'Should be a day like 2026-12-05.',
      value => value === undefined || value === null || (/^[12]\d{3}-\d\d-\d\d$/.test(value) && isSame(`${value}T00:00:00.000Z`)),
    )

/** Whether a name is one of a time zone that this machine knows. */
function isZone(name: string | undefined): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name ?? 'UTC' }))
  } catch {
    return false
  }
}

/** The time zone of whoever asks, by its name. */
export const zone = () => string().max(60).test('zone', 'Should be the name of a time zone, like Europe/London.', isZone)

/** One line of text that a person typed. Control characters, which PostgreSQL and CSV choke on, are refused. */
export const line = (most: number) =>
  string()
    .max(most)
    .test(
      'line',
      'Use letters, figures and signs on one line.',
      value =>
        // eslint-disable-next-line no-control-regex
        value === undefined || value === null || !/[\u0000-\u001f\u007f]/.test(value),
    )
