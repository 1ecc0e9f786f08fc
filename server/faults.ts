import type { FieldErrors } from '../schemas'

/** What was asked for is not there. */
export class NotFoundError extends Error {}

/** The workshop that was asked in is not here any more. */
export class GoneError extends Error {}

/** The path is known, but not by this method. */
export class MethodError extends Error {
  constructor() {
    super('This address is not asked in that way.')
  }
}

/** Nobody is in: the door comes first. */
export class DoorError extends Error {
  constructor() {
    super('Come in first: by a code from an owner’s screen, or by your name and password.')
  }
}

/** Somebody asks for what is not theirs. */
export class NotForYouError extends Error {}

/** Somebody asks too often; `seconds` until they are heard again. */
export class TooOftenError extends Error {
  constructor(readonly seconds: number, says = 'That was too often. Wait a moment.') {
    super(says)
  }
}

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
  constructor(readonly status: 400 | 408 | 413 | 415, message: string) {
    super(message)
  }
}

/** Something that we keep cannot be read: a fault of ours, for the log. */
export class StoredError extends Error {
  override readonly name = 'StoredError'
}

/**
 * Codes of a database that is away: of the network; of PostgreSQL when it goes, comes or has no place left; and those of two who waited
 * for one another, which going again puts right.
 */
const AWAY = [
  'ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOENT',
  '57P01', '57P02', '57P03', '53300', '08000', '08001', '08003', '08004', '08006', '40001', '40P01',
]
/** What the client says without a code when the connection goes in the middle of something. */
const BROKE_OFF = /^Connection terminated|connection error and is not queryable|^Client was closed|aborted/

/** Whether the database does not answer, went in the middle, or takes nobody in just now. */
export function isAway(error: unknown): boolean {
  const { code, name, message } = error as { code?: string, name?: string, message?: string }
  return name === 'KnexTimeoutError' || (code === undefined ? BROKE_OFF.test(message ?? '') : AWAY.includes(code))
}

/** PostgreSQL's codes for a value that does not fit where it belongs: of what came in, not of ours. */
export const isUnfit = (error: unknown): boolean => /^22\w{3}$/.test((error as { code?: string }).code ?? '')
