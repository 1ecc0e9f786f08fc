import { lookup } from 'node:dns/promises'
import { hostname, networkInterfaces } from 'node:os'

/** The name of this machine on the network, as its own name service gives it out. */
export const machineName = (): string => `${hostname().split('.')[0]?.toLowerCase().replace(/[^a-z0-9-]/g, '-') ?? 'oxlip'}.local`

/** Whether an address is one that the workshop's authority may speak for: private, or of this machine. */
export const isPrivate = (address: string): boolean =>
  /^(10\.|127\.|169\.254\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.)/.test(address) || /^(::1$|f[cd]|fe[89ab])/i.test(address)

/** Addresses of this machine on private networks, those of version 4 first; none that is only good with the name of a port. */
export function privateAddresses(): string[] {
  const all = Object.values(networkInterfaces()).flat().flatMap(one => (one && !one.internal ? [one] : []))
  return all.filter(({ address, family }) => isPrivate(address) && !(family === 'IPv6' && /^fe80/i.test(address)))
    .sort((a, b) => (a.family < b.family ? -1 : a.family > b.family ? 1 : 0)).map(one => one.address)
}

/** Whether the machine's name is known on the network: it leads to one of these addresses. */
export async function isNamed(addresses: readonly string[]): Promise<boolean> {
  const found = await lookup(machineName(), { all: true }).catch(() => [])
  return found.some(one => addresses.includes(one.address))
}

/** Every name and address that this machine is had by. */
export const allNames = (addresses: readonly string[]): string[] =>
  [machineName(), 'localhost', '127.0.0.1', '::1', ...addresses]
