import type { Message } from '#contract'

/** What tabs of one browser tell one another of the live connection that one of them holds for all. */
type Told
  = | { kind: 'message', data: Message }
    /** The one that holds it has lost it. */
    | { kind: 'lost' }
    /** Whoever holds it is asked whether it is there. */
    | { kind: 'who' }
    /** It is there; how far this device's clock is ahead, ms. */
    | { kind: 'there', ahead: number }

/** What a tab does about the live connection. */
export interface LiveTab {
  /** This tab holds the connection for all from now on. */
  lead: () => void
  /** Another one does, which took it over. */
  follow: () => void
  /** What the server said, to this tab or to the one that holds the connection. */
  take: (message: Message) => void
  /** The connection of the one that holds it is lost. */
  lost: () => void
  /** The connection is there, and how far this device's clock is ahead, ms. */
  there: (ahead: number) => void
  /** How far this device's clock is ahead, where this tab holds a connection that stands, ms. */
  standing: () => number | undefined
}

interface Shared {
  /** Passes on what the server said to the tab that leads. */
  pass: (message: Message) => void
  /** Tells that its connection is lost. */
  lose: () => void
  /** Takes the lead: a tab that somebody looks at is not slowed down, as one behind others is. */
  claim: () => void
}

/**
 * Shares one live connection among all tabs of a browser that are in the same workshop: a browser has few connections to one server, and
 * tabs that each held one would leave none for anything else. The tab that gets the lock leads; when it is closed the next one does.
 * Answers what the leader passes on to the others. Where a browser has no locks each tab leads.
 */
export function shareLive(workshop: string, tab: LiveTab): Shared {
  const name = `oxlip-live-${workshop}`
  if (!('locks' in navigator) || !('BroadcastChannel' in globalThis)) {
    tab.lead()
    return { pass: () => undefined, lose: () => undefined, claim: () => undefined }
  }
  const channel = new BroadcastChannel(name)
  const tell = (told: Told) => channel.postMessage(told)
  channel.onmessage = ({ data: told }: MessageEvent<Told>) => {
    if (told.kind === 'message') return tab.take(told.data)
    if (told.kind === 'lost') return tab.lost()
    if (told.kind === 'there') return tab.there(told.ahead)
    const ahead = tab.standing()
    if (ahead !== undefined) tell({ kind: 'there', ahead })
  }
  /** The lock is held until the tab goes, or another one takes it; then one waits for it again. */
  function hold(steal: boolean): void {
    const held = new Promise<never>(() => undefined)
    navigator.locks.request(name, { steal }, () => {
      tab.lead()
      return held
    }).catch(() => {
      tab.follow()
      hold(false)
    })
  }
  hold(false)
  tell({ kind: 'who' })
  return { pass: data => tell({ kind: 'message', data }), lose: () => tell({ kind: 'lost' }), claim: () => hold(true) }
}
