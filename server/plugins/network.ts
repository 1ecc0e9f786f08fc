import { toNodeListener } from 'h3'
import { listenOnNetwork } from '../network/listen'

/** Where OXLIP_NETWORK names a folder for its keys, Oxlip listens on the network too, beside loopback. */
export default defineNitroPlugin((nitro) => {
  const { OXLIP_NETWORK_FOLDER: folder, OXLIP_NETWORK_PORT: port, OXLIP_NETWORK_HOST: host } = process.env
  if (!folder || !port) return
  const listening = listenOnNetwork({ folder, port: Number(port), host: host || undefined }, toNodeListener(nitro.h3App))
  listening.catch((error: Error) => {
    console.error(`Oxlip cannot listen on the network: ${error.message}`)
    process.exit(1)
  })
  nitro.hooks.hook('close', async () => (await listening)())
})
