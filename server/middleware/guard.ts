import { defineEventHandler, getRequestHeader, setResponseStatus, type H3Event } from 'h3'
import { isOurs } from '../access/machine'
import { networkHosts } from '../network/state'

const READING = ['GET', 'HEAD', 'OPTIONS']

/** Refuses other people’s pages: a foreign host name (DNS rebinding) and writes from another origin. */
export default defineEventHandler((event) => {
  if (!isOurs(event, networkHosts()))
    return refuse(
      event,
      421,
      'Oxlip does not answer to this host name. Use the address it printed at start, or name the host in OXLIP_HOSTS.',
    )
  if (!READING.includes(event.method) && !isSameOrigin(event)) return refuse(event, 403, 'Writes are taken from Oxlip’s own pages only.')
})

/** A browser names the origin of every write; a program outside a browser names none, and no foreign page can drive it. */
function isSameOrigin(event: H3Event): boolean {
  const site = getRequestHeader(event, 'sec-fetch-site')
  if (site && site !== 'same-origin') return false
  const origin = getRequestHeader(event, 'origin')
  if (!origin) return true
  try {
    return new URL(origin).host === getRequestHeader(event, 'host')
  } catch {
    return false
  }
}

function refuse(event: H3Event, status: number, message: string): { message: string } {
  setResponseStatus(event, status)
  return { message }
}
