import { getRequestHeader, type H3Event } from 'h3'
import type { AnySchema, InferType } from 'yup'
import { BodyError } from '../faults'

/** The most a body may weigh, bytes, and the most a picture may. */
const MOST = 1_000_000
const MOST_PICTURE = 15_000_000

/**
 * The JSON body of a request, checked by a schema.
 * @throws BodyError when it is too large or not JSON, ValidationError when the schema refuses it
 */
export async function readChecked<S extends AnySchema>(event: H3Event, schema: S): Promise<InferType<S>> {
  if (!/^application\/json\b/.test(getRequestHeader(event, 'content-type') ?? '')) throw new BodyError(415, 'Send it as application/json.')
  const text = (await readBounded(event, MOST, 'This is over 1 MB. Send less at once.')).toString('utf8')
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new BodyError(400, 'This is not JSON. Send one JSON object.')
  }
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

async function readBounded(event: H3Event, most: number, says: string): Promise<Buffer> {
  const tooLarge = () => new BodyError(413, says)
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > most) throw tooLarge()
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > most) throw tooLarge()
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}
