import { subscribe, unsubscribe } from 'node:diagnostics_channel'
import type { Server } from 'node:http'

/**
 * A connection on which nothing is asked stays open this long, ms. Node closes it after five seconds: then every press at the bench, which
 * come further apart, would have a phone shake hands anew.
 */
const OPEN = 65_000
const BEGUN = 'http.server.request.start'

/** Nitro does not hand its server out: it is to be had from what is asked of it. */
export default defineNitroPlugin((nitro) => {
  const keep = (message: unknown) => {
    ;(message as { server: Server }).server.keepAliveTimeout = OPEN
  }
  subscribe(BEGUN, keep)
  nitro.hooks.hook('close', () => void unsubscribe(BEGUN, keep))
})
