import { defineEventHandler, setResponseHeader, setResponseStatus, type EventHandler, type H3Event } from 'h3'
import { ValidationError } from 'yup'
import type { AnswerOf, RawRouteName, Refusal, RouteName } from '../../contract'
import { fieldErrors } from '../../schemas'
import { admit } from '../access/admit'
import { asSeen } from '../access/unpriced'
import {
  BodyError, ConflictError, DoorError, FieldsError, GoneError, isAway, isUnfit, MethodError, NotForYouError, NotFoundError, TooOftenError,
} from '../faults'

/**
 * A route of the contract: what it answers is checked against it. Answers refusals in one shape, keeps faults of ours in the log, and
 * never shows a stack trace. `created` answers 201.
 */
export const route = <R extends RouteName>(
  name: R, handle: (event: H3Event) => Promise<AnswerOf<R>>, { created = false } = {},
): EventHandler =>
  answering(async (event) => {
    await admit(event, name)
    const answer = await handle(event)
    if (created) setResponseStatus(event, 201)
    return asSeen(event, name, answer)
  })

/** A route that answers something else than JSON: a picture, a file, a stream. */
export const rawRoute = <T>(name: RawRouteName, handle: (event: H3Event) => Promise<T>): EventHandler =>
  answering(async (event) => {
    await admit(event, name)
    return handle(event)
  })

/** What is under no route: told in the same shape. */
export const noRoute = (handle: (event: H3Event) => Promise<never>): EventHandler => answering(handle)

function answering<T>(handle: (event: H3Event) => Promise<T>): EventHandler {
  return defineEventHandler(async (event): Promise<T | Refusal> => {
    try {
      return await handle(event)
    } catch (error) {
      const [status, refusal] = refuse(error)
      if (status >= 500 || isUnfit(error)) console.error(`${event.method} ${event.path}:`, error)
      setResponseStatus(event, status)
      if (error instanceof TooOftenError) setResponseHeader(event, 'retry-after', error.seconds)
      return refusal
    }
  })
}

/** PostgreSQL's code for a full disk. */
const DISK_FULL = '53100'

function refuse(error: unknown): [number, Refusal] {
  if (error instanceof ValidationError) return [422, { message: 'Some fields need another look.', fields: fieldErrors(error) }]
  if (error instanceof FieldsError) return [422, { message: error.message, fields: error.fields }]
  if (error instanceof MethodError) return [405, { message: error.message }]
  if (error instanceof DoorError) return [401, { message: error.message }]
  if (error instanceof NotForYouError) return [403, { message: error.message }]
  if (error instanceof TooOftenError) return [429, { message: error.message }]
  if (error instanceof NotFoundError) return [404, { message: error.message }]
  if (error instanceof GoneError) return [410, { message: error.message }]
  if (error instanceof ConflictError) return [409, { message: error.message, newer: error.newer, fields: error.fields }]
  if (error instanceof BodyError) return [error.status, { message: error.message }]
  if (isAway(error)) return [503, { message: 'The database does not answer. Nothing is lost: try again in a moment.' }]
  if (isUnfit(error)) return [422, { message: 'Something in this cannot be kept: a figure is too large, or a sign is none.', fields: {} }]
  if ((error as { code?: string }).code === DISK_FULL)
    return [507, { message: 'The disk of the database is full. Nothing was half kept: free some space, then try again.' }]
  return [500, { message: 'Something went wrong here. It is in the log; nothing was half kept.' }]
}
