import { getRequestHeader, type H3Event } from 'h3'
import type { AnySchema, InferType } from 'yup'
import { BodyError } from './errors'

/** The most a body may weigh, bytes. */
const MOST = 1_000_000

/**
 * The JSON body of a request, checked by a schema.
 * @throws BodyError when it is too large or not JSON, ValidationError when the schema refuses it
 */
export async function readChecked<S extends AnySchema>(event: H3Event, schema: S): Promise<InferType<S>> {
  if (!/^application\/json\b/.test(getRequestHeader(event, 'content-type') ?? '')) throw new BodyError(415, 'Send it as application/json.')
  const text = await readBounded(event)
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new BodyError(400, 'This is not JSON. Send one JSON object.')
  }
  return await schema.validate(value, { abortEarly: false })
}

async function readBounded(event: H3Event): Promise<string> {
  const tooLarge = () => new BodyError(413, 'This is over 1 MB. Send less at once.')
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > MOST) throw tooLarge()
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > MOST) throw tooLarge()
    chunks.push(chunk)
  }
  return Buffer.concat(chunks).toString('utf8')
}
