import { createServer as createPlain, type RequestListener, type Server } from 'node:http'
import { createServer as createSecure } from 'node:https'
import { certificates, type Certificates } from './certificates'
import { handOut } from './handout'
import { allNames, isNamed, machineName, privateAddresses } from './names'
import { setNetwork } from './state'

/** Where to listen. */
export interface NetworkWish {
  /** Where keys and certificates are kept. */
  folder: string
  /** The secure port; the certificate is handed out at the one after it. */
  port: number
  /** The address to bind to; every one of the machine where none is given. */
  host?: string | undefined
}

/** Addresses of a machine change: they are looked at this often, ms. */
const LOOK = 30_000

/** Binds a server. @throws Error when the port is taken */
const bound = (server: Pick<Server, 'once' | 'off' | 'listen'>, port: number, host: string | undefined): Promise<void> =>
  new Promise((done, fail) => {
    server.once('error', fail)
    server.listen(port, host, () => {
      server.off('error', fail)
      done()
    })
  })
const inAddress = (name: string): string => (name.includes(':') ? `[${name}]` : name)

/**
 * Listens on the network: securely, by a certificate of the workshop's own authority, for what `answer` answers; and plainly to hand that
 * certificate out. Addresses that change get a new certificate without a restart. Answers what ends it.
 */
export async function listenOnNetwork({ folder, port, host }: NetworkWish, answer: RequestListener): Promise<() => Promise<void>> {
  let known = await look(host, { folder, port })
  const secure = createSecure({ key: known.key, cert: known.cert, minVersion: 'TLSv1.2' }, answer)
  const plain = createPlain((request, response) => handOut(request, response, { ...known, port }))
  await bound(secure, port, host)
  await bound(plain, port + 1, host)
  const again = async () => {
    known = await look(host, { folder, port })
    if (known.changed) secure.setSecureContext({ key: known.key, cert: known.cert })
  }
  const timer = setInterval(() => {
    again().catch((error: Error) => console.error('The network:', error.message))
  }, LOOK)
  timer.unref()
  return async () => {
    clearInterval(timer)
    setNetwork(undefined)
    for (const server of [secure, plain]) {
      server.close()
      server.closeAllConnections()
    }
  }
}

/** Looks by what names and addresses the machine is had now, sees to a certificate for them, and notes it. */
async function look(host: string | undefined, { folder, port }: NetworkWish): Promise<Certificates & { changed: boolean }> {
  const addresses = privateAddresses()
  const names = allNames(addresses)
  const known = await certificates(folder, names)
  const offered = [...(await isNamed(addresses) ? [machineName()] : []), ...addresses]
  const shown = host === '127.0.0.1' ? ['localhost'] : offered
  setNetwork({
    addresses: shown.map(name => `https://${inAddress(name)}:${port}`),
    plain: shown.map(name => `http://${inAddress(name)}:${port + 1}`),
    fingerprint: known.fingerprint,
    hosts: new Set(names.map(inAddress)),
  })
  return known
}
