import type { FieldErrors } from '../schemas'

/** What was asked for is not there. */
export class NotFoundError extends Error {}

/** The workshop that was asked in is not here any more. */
export class GoneError extends Error {}

/** Fields that are wrong for a reason only the database knows. */
export class FieldsError extends Error {
  constructor(readonly fields: FieldErrors) {
    super('Some of it cannot be kept.')
  }
}

/** Somebody changed the same thing first. */
export class ConflictError extends Error {
  /** `newer` is how it is now; `fields` what is wrong with each field, where that can be said. */
  constructor(message: string, readonly newer: unknown, readonly fields: FieldErrors = {}) {
    super(message)
  }
}

/** The body is no body we take: too large, not JSON, or not sent as JSON. */
export class BodyError extends Error {
  constructor(readonly status: 400 | 413 | 415, message: string) {
    super(message)
  }
}

/** Something that we keep cannot be read: a fault of ours, for the log. */
export class StoredError extends Error {
  override readonly name = 'StoredError'
}

const AWAY = ['ECONNREFUSED', 'ECONNRESET', 'ENOENT', '57P01', '57P03', '53300']

/** Whether the database does not answer, or takes nobody in just now. */
export function isAway(error: unknown): boolean {
  const { code, name } = error as { code?: string, name?: string }
  return name === 'KnexTimeoutError' || AWAY.includes(code ?? '')
}
