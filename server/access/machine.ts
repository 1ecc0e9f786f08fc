import type { TLSSocket } from 'node:tls'
import { getRequestHeader, type H3Event } from 'h3'

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]']

/** Hosts in OXLIP_HOSTS (comma between), for whoever puts a proxy before Oxlip. */
const proxied = (process.env.OXLIP_HOSTS ?? '').split(',').map(host => host.trim()).filter(Boolean)

/** The host that a request names, without its port. */
export const hostName = (event: H3Event): string => (getRequestHeader(event, 'host') ?? '').replace(/:\d+$/, '').toLowerCase()

/** Whether it came in over TLS, by Oxlip’s own listener on the network. */
export const isOverNetwork = (event: H3Event): boolean => (event.node.req.socket as Partial<TLSSocket>).encrypted === true

/** Whether a host name is answered to: loopback, what a proxy is named as, and over the network what its certificate names. */
export const isOurs = (event: H3Event, network: ReadonlySet<string>): boolean => {
  const host = hostName(event)
  return isOverNetwork(event) ? network.has(host) : LOOPBACK.includes(host) || proxied.includes(host)
}

/** What a proxy adds, telling that whoever asks is somewhere else. */
const HANDED_ON = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-real-ip', 'via'] as const

/**
 * Whether whoever asks sits at the machine itself: by loopback, by its name, and with no proxy between. Where a proxy is named in
 * OXLIP_HOSTS nobody does, since some proxies hand everything on as if it came from here.
 */
export function isMachine(event: H3Event): boolean {
  if (proxied.length || isOverNetwork(event) || HANDED_ON.some(name => getRequestHeader(event, name) !== undefined)) return false
  return LOOPBACK.includes(hostName(event)) && /^(::ffff:)?127\.|^::1$/.test(event.node.req.socket.remoteAddress ?? '')
}

/** Where a request comes from, as tries are counted by. */
export const addressOf = (event: H3Event): string => event.node.req.socket.remoteAddress ?? 'unknown'
