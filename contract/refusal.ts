import type { FieldErrors } from '../schemas'

/** What a route answers when it cannot do what was asked. */
export interface Refusal {
  /** What is so and what to do, in one line. */
  message: string
  /** What is wrong with each field and what would be right. */
  fields?: FieldErrors
  /** How the thing is now, where somebody changed it first. */
  newer?: unknown
}
