import { spawnSync } from 'node:child_process'
import { createServer } from 'node:net'
import { userInfo } from 'node:os'
import { certificates } from '../../server/network/certificates'
import type { NetworkWish } from '../../server/network/listen'
import { allNames, isNamed, machineName, privateAddresses } from '../../server/network/names'
import { aptInstall } from './postgres-program'
import { Plain, say } from './say'

/** The secure port where OXLIP_NETWORK_PORT says no other; the one after it hands the certificate out. Devices remember it. */
const PORT = 8443

/** Installs openssl as root when it is missing. @throws Plain with the one command to run otherwise */
function ensureOpenssl(): void {
  if (!spawnSync('openssl', ['version']).error) return
  if (userInfo().uid !== 0)
    throw new Plain('openssl is missing, which makes the certificate for the network. Install it with:  sudo apt-get install openssl')
  say('Installing openssl from Debian ...')
  aptInstall('openssl')
}

const isFree = (port: number): Promise<boolean> => new Promise((resolve) => {
  const probe = createServer()
  probe.once('error', () => resolve(false))
  probe.listen(port, () => probe.close(() => resolve(true)))
})

/** How to listen on the network, with keys kept in this folder. @throws Plain when a port is no port, or taken */
export async function networkWish(folder: string): Promise<NetworkWish> {
  ensureOpenssl()
  const port = Number(process.env.OXLIP_NETWORK_PORT ?? PORT)
  if (!Number.isInteger(port) || port < 1024 || port > 65534)
    throw new Plain(`OXLIP_NETWORK_PORT is “${process.env.OXLIP_NETWORK_PORT}”; it should be a number from 1024 to 65534.`)
  for (const one of [port, port + 1]) {
    const says = `Port ${one} is taken by another program. Choose another: OXLIP_NETWORK_PORT=9443 ./start --network`
    if (!(await isFree(one))) throw new Plain(says)
  }
  return { folder, port }
}

/** What is said once it listens: where, and how a device comes to trust it. */
export async function networkWords({ folder, port }: NetworkWish): Promise<string> {
  const addresses = privateAddresses()
  const { fingerprint } = await certificates(folder, allNames(addresses))
  const names = [...(await isNamed(addresses) ? [machineName()] : []), ...addresses.filter(one => !one.includes(':'))]
  if (!names.length) return '\nThis machine is in no private network now. As soon as it is, devices there can come in.'
  return [
    '\nOn the network:', ...names.map(name => `  https://${name}:${port}`),
    `Once on each device, for the certificate:  http://${names[0]}:${port + 1}`,
    `Its fingerprint:  ${fingerprint}`,
    'Who may come in is said in Oxlip on this machine: Workshop, People and devices.',
  ].join('\n')
}
