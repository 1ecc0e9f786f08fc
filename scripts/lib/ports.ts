import { must } from '../../core/sure'
import { createServer } from 'node:net'
import { Plain } from './say'

const HOST = '127.0.0.1'

/** Whether a port of loopback is free; 0 asks for any and answers which. */
function tryPort(port: number): Promise<number | undefined> {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(undefined))
    probe.listen(port, HOST, () => {
      const address = probe.address()
      probe.close(() => resolve(typeof address === 'object' ? address?.port : undefined))
    })
  })
}

/** A port of loopback that nobody uses. */
export async function freePort(): Promise<number> {
  return must(await tryPort(0), 'the system always has a free port')
}

/** The port to serve on: the one asked for in PORT, or the first free one from 3000 on. @throws Plain */
export async function servePort(asked: string | undefined): Promise<number> {
  if (asked) {
    const port = Number(asked)
    if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Plain(`PORT is “${asked}”; it should be a number from 1 to 65535.`)
    if ((await tryPort(port)) === undefined)
      throw new Plain(`Port ${port} is taken by another program (or not allowed). Choose another: PORT=3001 ./start`)
    return port
  }
  for (let port = 3000; port < 3100; port++) if ((await tryPort(port)) !== undefined) return port
  throw new Plain('No port from 3000 to 3099 is free. Choose one: PORT=4000 ./start')
}
