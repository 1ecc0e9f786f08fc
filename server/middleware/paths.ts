import { defineEventHandler, getRequestPath, setResponseHeader, setResponseStatus } from 'h3'

/** Every page there is. */
let pages: RegExp | undefined

/**
 * Strict about paths and methods beside the API: a page is only looked at, and what is under none of their paths is not found, though what
 * comes still says so in our words.
 */
export default defineEventHandler((event) => {
  const path = getRequestPath(event).split('?')[0] ?? '/'
  // What begins with a line below is the framework’s own.
  if (/^\/(api\/|_)/.test(path)) return
  if (event.method !== 'GET' && event.method !== 'HEAD') {
    setResponseStatus(event, 405)
    setResponseHeader(event, 'Allow', 'GET, HEAD')
    return { message: 'A page is only looked at.' }
  }
  pages ??= new RegExp(`^(?:${useRuntimeConfig().pages.join('|')})/?$`)
  if (!pages.test(path)) setResponseStatus(event, 404)
})
