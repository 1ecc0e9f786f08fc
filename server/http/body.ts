import type { WriteStream } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { getRequestHeader, type H3Event } from 'h3'
import { ValidationError, type AnySchema, type InferType } from 'yup'
import { BodyError } from '../faults'

/** The most a body may weigh, bytes, and the most a picture may. */
const MOST = 1_000_000
const MOST_PICTURE = 15_000_000
/** A sender that says nothing for so long is given up, ms. */
const PATIENCE = Number(process.env.OXLIP_BODY_PATIENCE ?? 30_000)
/** So deep lies nothing that we take. */
const DEEPEST = 20

/**
 * The JSON body of a request, checked by a schema; of `most` bytes.
 * @throws BodyError when it is too large or not JSON, ValidationError when the schema refuses it
 */
export async function readChecked<S extends AnySchema>(event: H3Event, schema: S, most = MOST): Promise<InferType<S>> {
  if (!/^application\/json\b/.test(getRequestHeader(event, 'content-type') ?? '')) throw new BodyError(415, 'Send it as application/json.')
  const text = (await readBounded(event, most, `This is over ${most / MOST} MB. Send less at once.`)).toString('utf8')
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new BodyError(400, 'This is not JSON. Send one JSON object.')
  }
  refuseUnkeepable(value)
  return await schema.validate(value, { abortEarly: false })
}

/**
 * The bytes of a picture, as they were sent.
 * @throws BodyError when it is too large or not sent as a picture
 */
export async function readPicture(event: H3Event): Promise<Buffer> {
  if (!/^image\//.test(getRequestHeader(event, 'content-type') ?? ''))
    throw new BodyError(415, 'This is no picture we can read. Choose a JPEG, PNG or WebP file.')
  return readBounded(event, MOST_PICTURE, 'This picture is over 15 MB. Choose a smaller one, or save it smaller first.')
}

/** Writes what is sent into a file, as it comes. @throws BodyError when it is too large or breaks off */
export async function receiveFile(event: H3Event, file: WriteStream, most: number): Promise<void> {
  try {
    await pipeline(pieces(event, most, 'This file is larger than anything Oxlip takes in.'), file)
  } catch (error) {
    throw error instanceof BodyError ? error : new BodyError(408, 'This broke off. Send it again.')
  }
}

async function readBounded(event: H3Event, most: number, says: string): Promise<Buffer> {
  const chunks: Buffer[] = []
  for await (const chunk of pieces(event, most, says)) chunks.push(chunk)
  return Buffer.concat(chunks)
}

/** What is sent, as it comes. @throws BodyError when it is too large, breaks off, or nothing more comes for long */
async function* pieces(event: H3Event, most: number, says: string): AsyncGenerator<Buffer> {
  const tooLarge = () => new BodyError(413, says)
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > most) throw tooLarge()
  const request = event.node.req
  let size = 0
  let waited = false
  const giveUp = setTimeout(() => {
    waited = true
    request.destroy()
  }, PATIENCE)
  try {
    for await (const chunk of request as AsyncIterable<Buffer>) {
      giveUp.refresh()
      size += chunk.length
      if (size > most) throw tooLarge()
      yield chunk
    }
  } catch (error) {
    if (error instanceof BodyError) throw error
    // Whoever sent it went away in the middle: no fault of ours, and nobody is left to answer.
    throw new BodyError(408, waited ? 'The rest of this did not come in time. Send it again.' : 'This broke off. Send it again.')
  } finally {
    clearTimeout(giveUp)
  }
}

/**
 * Text that no database keeps (half of a surrogate pair, a nul), and what lies too deep for any form of ours. @throws ValidationError
 * naming the field, BodyError
 */
function refuseUnkeepable(body: unknown): void {
  const open: { value: unknown, path: string, depth: number }[] = [{ value: body, path: '', depth: 0 }]
  const says = 'Has a sign that cannot be kept: type it anew.'
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, path, depth } = next
    if (depth > DEEPEST) throw new BodyError(400, 'This lies deeper than anything Oxlip takes.')
    if (typeof value === 'string' && !isKeepable(value)) throw new ValidationError(says, undefined, path)
    if (typeof value !== 'object' || value === null) continue
    for (const [name, one] of Object.entries(value)) {
      if (!isKeepable(name)) throw new ValidationError(says, undefined, path)
      open.push({ value: one, path: Array.isArray(value) ? `${path}[${name}]` : path ? `${path}.${name}` : name, depth: depth + 1 })
    }
  }
}

const isKeepable = (text: string): boolean => !/[\p{Cs}\0]/u.test(text)
