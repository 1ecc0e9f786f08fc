import { shallowRef } from 'vue'

/** Where the id of whoever was in last on this browser is kept, so that what is theirs is found again without a network. */
const KEY = 'oxlip-person'
const known = shallowRef<string>()
const waiting: ((person: string) => void)[] = []

/** Notes who is in, by their id; empty: nobody was asked. Without a word: whoever was in last. */
export function hereIs(person?: string): void {
  try {
    if (person === undefined) known.value ??= localStorage.getItem(KEY) ?? ''
    else if ((known.value = person)) localStorage.setItem(KEY, person)
    else localStorage.removeItem(KEY)
  } catch {
    known.value ??= person ?? ''
  }
  for (const tell of waiting.splice(0)) tell(known.value ?? '')
}

/** Whose this browser is just now, by their id; empty where nobody was asked. Waits until that is known. */
export const whoseHere = (): Promise<string> =>
  (known.value === undefined ? new Promise(tell => waiting.push(tell)) : Promise.resolve(known.value))
