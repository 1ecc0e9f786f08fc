import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { appendResponseHeader, getRequestHeader, getResponseHeader, setResponseHeader } from 'h3'

const smaller = promisify(gzip)
/** What is shorter than this, bytes, fits into one packet anyway. */
const WORTH = 1000

/** Answers of some length go out as gzip: text and JSON. Pictures are small already, streams must not be held up. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('beforeResponse', async (event, response) => {
    const text = textOf(response.body)
    if (text === undefined || getResponseHeader(event, 'content-encoding')) return
    appendResponseHeader(event, 'vary', 'accept-encoding')
    if (text.length < WORTH || !/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return
    if (typeof response.body !== 'string') setResponseHeader(event, 'content-type', 'application/json')
    setResponseHeader(event, 'content-encoding', 'gzip')
    response.body = await smaller(text)
  })
})

/** What goes out as text: words, and what becomes JSON. */
function textOf(body: unknown): string | undefined {
  if (typeof body === 'string') return body
  const isPlain = Array.isArray(body) || (typeof body === 'object' && body !== null && Object.getPrototypeOf(body) === Object.prototype)
  return isPlain ? JSON.stringify(body) : undefined
}
