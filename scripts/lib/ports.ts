import { randomInt } from 'node:crypto'
import { createServer } from 'node:net'
import { Plain } from './say'

const HOST = '127.0.0.1'

/** Whether a port of loopback is free. */
function isFree(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, HOST, () => probe.close(() => resolve(true)))
  })
}

/**
 * A port of loopback that nobody uses. From below those that the system gives to connections going out (32768 and up by default):
 * one of these can be taken between being found free and being listened at. @throws Plain
 */
export async function freePort(): Promise<number> {
  for (let tries = 0; tries < 100; tries++) {
    const port = randomInt(20_000, 32_000)
    if (await isFree(port)) return port
  }
  throw new Plain('No port from 20000 to 31999 seems to be free on this machine.')
}

/** A port of loopback that nobody uses, with the one after it. @throws Plain */
export async function freePair(): Promise<number> {
  for (let tries = 0; tries < 20; tries++) {
    const port = await freePort()
    if (await isFree(port + 1)) return port
  }
  throw new Plain('No two ports side by side seem to be free on this machine.')
}

/** The port to serve on: the one asked for in PORT, or the first free one from 3000 on. @throws Plain */
export async function servePort(asked: string | undefined): Promise<number> {
  if (asked) {
    const port = Number(asked)
    if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Plain(`PORT is “${asked}”; it should be a number from 1 to 65535.`)
    if (!(await isFree(port)))
      throw new Plain(`Port ${port} is taken by another program (or not allowed). Choose another: PORT=3001 ./start`)
    return port
  }
  for (let port = 3000; port < 3100; port++) if (await isFree(port)) return port
  throw new Plain('No port from 3000 to 3099 is free. Choose one: PORT=4000 ./start')
}
