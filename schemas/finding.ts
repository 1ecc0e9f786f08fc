import { array, boolean, number, string, ValidationError, type InferType } from 'yup'
import { defectKinds } from '../core/defects'
import { conditionOf, figures, MOST_CONDITIONS, outcomes, traits } from '../core/findings'
import { waitPurposes } from '../core/shelf'
import { exact, judged, line, uuid, word, zone } from './common'
import { dialect } from './table'

const isCondition = (text: string | undefined): boolean => text !== undefined && conditionOf(text) !== undefined

const question = {
  of: word(...outcomes, ...defectKinds, ...figures).required(),
  by: word(...traits).required(),
  /** Among pens that have these values of traits. */
  among: array(string().max(160).required().test('condition', 'Should be a trait, a colon and a value, like tool:skew.', isCondition))
    .max(MOST_CONDITIONS, `Should be ${MOST_CONDITIONS} at the most.`),
  /** The time zone of whoever asks, for hours and days. */
  zone: zone().default('UTC'),
}

/** How often or how much, of what, by what, among which. */
export const findingQuerySchema = exact(question)
/** The same for a spreadsheet. */
export const findingTableQuerySchema = exact({ ...question, dialect: dialect() })
/** The same as it comes in. */
export type FindingQuery = Asked<InferType<typeof findingQuerySchema>>
/** Only the question itself has to be asked. */
type Asked<T extends { of: unknown, by: unknown }> = Pick<T, 'of' | 'by'> & Partial<Omit<T, 'of' | 'by'>>

/** The pens behind a number: of which value, and whether it was so on them. */
export const findingPensQuerySchema = exact({ ...question, is: line(120).required(), so: word('yes', 'no') })
/** The same as it comes in. */
export type FindingPensQuery = FindingQuery & Pick<InferType<typeof findingPensQuerySchema>, 'is' | 'so'>

/** Something that was learnt is set aside, or taken in again. */
export const asideSchema = exact({
  what: line(120).matches(/^(sanding|builds|waits|presses|paces|changes|even)(:[\w .-]{1,100})?$/, 'Should name something that was learnt.').required(),
  aside: boolean().required(),
})
/** The same as it comes in. */
export type AsideChange = InferType<typeof asideSchema>

/** Two ways to be tried out: of which outcome, by what, and so many pens of each. */
export const newTrialSchema = judged(exact({
  id: uuid().required(),
  of: word(...outcomes, ...defectKinds).required(),
  by: word(...traits).required(),
  ways: array(line(120).required()).length(2, 'There should be two ways.').required(),
  pens: number().integer().min(2, 'Should lie between 2 and 200.').max(200, 'Should lie between 2 and 200.').required(),
}), ({ ways }) => new Set(ways).size === 2 || new ValidationError('Choose two ways that differ.', ways, 'ways'))
/** The same as it comes in. */
export type NewTrial = InferType<typeof newTrialSchema>
/** A pen gets the way that was drawn next. */
export const trialPenSchema = exact({ pen: uuid().required() })
/** A trial is ended before its time. */
export const trialEndSchema = exact({ ended: boolean().oneOf([true]).required() })

/** Which figure, over the latest pens. */
export const courseQuerySchema = exact({ of: word(...figures).required() })
/** The same as it comes in. */
export type CourseQuery = InferType<typeof courseQuerySchema>
/** Which kind of defect, by where it was. */
export const placesQuerySchema = exact({ kind: word(...defectKinds).required() })
/** The same as it comes in. */
export type PlacesQuery = InferType<typeof placesQuerySchema>

/** Waits for what. */
export const waitsQuerySchema = exact({ purpose: word(...waitPurposes).required() })
/** The same as it comes in. */
export type WaitsQuery = InferType<typeof waitsQuerySchema>
