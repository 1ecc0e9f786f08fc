import type { FieldErrors } from '#schemas'

/** What the server said when it could not do it, or that it did not answer. */
export interface Refused {
  /** The status of the answer; 0 when none came. */
  status: number
  /** What was wrong and what to do, in one sentence. */
  message: string
  /** The same by field, where single fields were refused. */
  fields: FieldErrors
}

/** Reads a failed request. Status 0: the server did not answer at all. */
export function refused(error: unknown): Refused {
  const { response, data } = error as { response?: { status: number }, data?: { message?: string, fields?: FieldErrors } }
  if (!response) return { status: 0, message: 'Oxlip’s server does not answer. Is it running? What you entered here is kept.', fields: {} }
  return { status: response.status, message: data?.message ?? 'Something went wrong.', fields: data?.fields ?? {} }
}
