import { shallowRef } from 'vue'
import type { WorkshopList } from '#contract'

/** Where the workshop that was entered is kept: for this tab, and for the next one that is opened on this device. */
const KEY = 'oxlip-workshop'
/** A browser may refuse either of them. */
const stores = (): Storage[] => {
  try {
    return [sessionStorage, localStorage]
  } catch {
    return []
  }
}

/** The workshop this page is in, by its id, once that is known. It stays the same until another page is opened. */
const entered = shallowRef<string>()
let asking: Promise<string> | undefined

/** The workshop this page is in: the one entered in this tab, or else on this device, or else the one that opens by itself. */
export async function here(ask: () => Promise<WorkshopList>): Promise<string> {
  if (entered.value) return entered.value
  const chosen = stores().map(one => one.getItem(KEY)).find(Boolean)
  asking ??= (chosen ? Promise.resolve(chosen) : ask().then(({ opens }) => opens)).finally(() => {
    asking = undefined
  })
  const id = await asking
  stores()[0]?.setItem(KEY, id)
  return (entered.value = id)
}

/** The id of the workshop this page is in; empty while it is not known. */
export const hereNow = (): string => entered.value ?? ''

/** An address of the server, in this page’s workshop: for pictures, files and streams, which are not called by `api`. */
export function addressHere(path: string): string {
  if (!entered.value) return path
  return `${path}${path.includes('?') ? '&' : '?'}workshop=${entered.value}`
}

/** The time zone of this device, by its name. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone

/** The address of a paper with times or a day on it, which go by the clock of this device. */
export const timedPaper = (path: string): string => addressHere(`${path}?zone=${encodeURIComponent(zoneHere())}`)

/** Enters another workshop: from its bench on everything is that workshop’s. */
export function enterWorkshop(workshop: string): void {
  for (const store of stores()) store.setItem(KEY, workshop)
  location.assign('/')
}

/** Leaves a workshop that is gone, for the one that was entered last on this device or that opens by itself. */
export function leaveGone(): void {
  for (const store of stores()) if (store.getItem(KEY) === entered.value) store.removeItem(KEY)
  location.assign('/')
}
