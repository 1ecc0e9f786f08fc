import { array, number, string, ValidationError, type InferType } from 'yup'
import { uuid, day, exact, judged, line, moment, word } from './common'

/** Days of the week as ISO 8601 numbers them, Monday first. */
export const weekdays = ['1', '2', '3', '4', '5', '6', '7'] as const
/** Whose hours: the turner’s, or those of somebody who helps. */
export const whose = ['turner', 'helper'] as const

const clock = () => string().matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'Should be a time like 19:30.')
/** The end of a day is told as 24:00. */
const clockTo = () => string().matches(/^(([01]\d|2[0-3]):[0-5]\d|24:00)$/, 'Should be a time like 21:30.')

const ENDS = 'It should end after it begins.'
const spans = () =>
  array(judged(exact({ from: clock().required(), to: clockTo().required() }), ({ from, to }) => from < to, ENDS).required())
    .max(6, 'At most six stretches in a day.')
    .test(
      'order', 'Stretches should come one after the other.',
      all => !all || all.every((one, at) => !at || (all[at - 1]?.to ?? '') <= one.from),
    )

/** When hands are there on a day of the week, or on one day that is other than usual; `null` says: as usual again. */
export const hoursSchema = exact({
  who: word(...whose).required(),
  day: string()
    .required()
    .test('day', 'Should be a day of the week (1 to 7) or a day like 2026-12-05.',
      value => (weekdays as readonly unknown[]).includes(value) || (value.length > 1 && day().isValidSync(value))),
  spans: spans().nullable().defined(),
})
/** The same as it comes in. */
export type HoursChange = InferType<typeof hoursSchema>

/** What a turner can want of the order. */
export const pinKinds = ['first', 'not before', 'by', 'together', 'weight'] as const

/**
 * A wish: this first; not before a moment; begun by a moment; these in one go (all of one `group`); how much a promise counts (`weight`).
 * Without a step it is meant for the next one.
 */
export const pinSchema = exact({
  id: uuid().required(),
  pen: uuid().required(),
  kind: word(...pinKinds).required(),
  step: line(200).nullable().defined(),
  at: moment().nullable().defined(),
  group: uuid().nullable().defined(),
  weight: number().integer().min(1, 'Should lie between 1 and 9.').max(9, 'Should lie between 1 and 9.').nullable().defined(),
})
/** The same as it comes in. */
export type Pin = InferType<typeof pinSchema>

const MOST_BLOCKS = 2000

/** Hours of somebody with what is laid into them. */
const laidSchema = exact({
  from: moment().required(),
  to: moment().required(),
  groups: array(exact({
    at: moment().required(),
    seconds: number().min(0).max(1e7).required(),
    title: line(300).required(),
    marks: array(line(12).required()).max(200).required(),
  })).max(MOST_BLOCKS).required(),
})
/** The same as it comes in. */
export type Laid = InferType<typeof laidSchema>

/**
 * Evenings as they were planned: what is compared with what became of it, printed, and read by a calendar program. `helps`: the hours of
 * whoever helps, `helper` what they are called; plans of before have neither.
 */
export const keptPlanSchema = exact({
  day: day().required(),
  madeAt: moment().required(),
  evenings: array(laidSchema).max(100).required(),
  helps: array(laidSchema).max(100).optional(),
  helper: line(40).optional(),
  waits: array(exact({ mark: line(12).required(), title: line(300).required(), until: moment().required() })).max(MOST_BLOCKS).required(),
  promised: array(exact({ mark: line(12).required(), name: line(120).required(), day: day().required() })).max(500).required(),
  blocks: array(exact({
    pen: uuid().required(),
    step: line(200).required(),
    begins: moment().required(),
    ends: moment().required(),
  })).max(MOST_BLOCKS).required(),
})
/** The same as it comes in. */
export type KeptPlan = InferType<typeof keptPlanSchema>

/** The longest stretch that counts as an evening, ms: two days. */
const LONGEST = 2 * 86_400_000
/** From when until when an evening went. */
export const eveningSumQuerySchema = judged(exact({ from: moment().required(), to: moment().required() }), ({ from, to }) => {
  const length = Date.parse(to) - Date.parse(from)
  return (length > 0 && length <= LONGEST) || new ValidationError('Should come after the beginning, by two days at most.', to, 'to')
})
/** The same as it comes in. */
export type EveningSumQuery = InferType<typeof eveningSumQuerySchema>
