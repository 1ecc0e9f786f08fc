import { boolean, string, type InferType } from 'yup'
import { defectKinds } from '../core/defects'
import { figures, outcomes, traits } from '../core/findings'
import { exact, line, word } from './common'

/** Whether a name is one of a time zone that this machine knows. */
function isZone(name: string | undefined): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name ?? 'UTC' }))
  } catch {
    return false
  }
}

const question = {
  of: word(...outcomes, ...defectKinds, ...figures).required(),
  by: word(...traits).required(),
  /** Among pens that have this value of a trait. */
  among: word(...traits),
  value: line(120),
  /** The time zone of whoever asks, for hours and days. */
  zone: string().max(60).test('zone', 'Should be the name of a time zone, like Europe/London.', isZone).default('UTC'),
}

/** How often or how much, of what, by what, among which. */
export const findingQuerySchema = exact(question)
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
