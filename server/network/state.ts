import type { NetworkState } from '../../contract'

/** How this server listens on the network, and the host names it answers to there. */
interface Listening extends NetworkState {
  /** Names and addresses of its certificate, as a request names them. */
  hosts: ReadonlySet<string>
}

let listening: Listening | undefined

/** Notes how it listens; undefined: it does not. */
export const setNetwork = (state: Listening | undefined): void => {
  listening = state
}
/** How this server listens on the network; undefined where it does not. */
export function networkState(): NetworkState | undefined {
  if (!listening) return undefined
  const { hosts: _, ...state } = listening
  return state
}
/** The host names that are answered to over the network. */
export const networkHosts = (): ReadonlySet<string> => listening?.hosts ?? new Set()
