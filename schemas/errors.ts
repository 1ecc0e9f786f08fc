import { ValidationError, type Schema } from 'yup'

/** What is wrong with each field and what would be right. A fault of the whole stands under an empty name. */
export type FieldErrors = Record<string, string>

/** The first message of each field of a failed check. */
export function fieldErrors(error: ValidationError): FieldErrors {
  const found: FieldErrors = {}
  for (const one of error.inner.length ? error.inner : [error]) found[one.path ?? ''] ??= one.message
  return found
}

/** What a schema finds wrong with a value, by field; empty when nothing is. */
export function errorsOf(schema: Schema, value: unknown): FieldErrors {
  try {
    schema.validateSync(value, { abortEarly: false })
    return {}
  } catch (error) {
    if (error instanceof ValidationError) return fieldErrors(error)
    throw error
  }
}
