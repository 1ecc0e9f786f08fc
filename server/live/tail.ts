/**
 * Runs something for all who ask in the same turn: who asks while it runs waits for the next run, since what it asks for may have come in
 * after this one began.
 */
function oneForAll(run: () => Promise<void>): () => Promise<void> {
  let last: Promise<void> = Promise.resolve()
  let next: Promise<void> | undefined
  return () => {
    if (next) return next
    next = last.catch(() => undefined).then(() => {
      next = undefined
      return run()
    })
    return (last = next)
  }
}

/** Of what came in the latest so many are remembered. */
const REMEMBERED = 2000

/** What comes after a number, and whether there may be more than was told at once. */
export interface Part<T> {
  /** What was found, in its order. */
  found: T[]
  /** Whether there may be more. */
  more: boolean
}
type Read<T> = (after: number) => Promise<Part<T>>

/**
 * The tail of a numbered log, read once for all who follow it. `read` answers what comes after a number, in its order, and whatever is
 * read stays as it is. Answers what takes a number and tells what comes after it: of those who are far behind it asks anew.
 */
export function sharedTail<T>(read: Read<T>, numberOf: (one: T) => number): Read<T> {
  let items: T[] = []
  /** The tail holds everything after `from` up to `upTo`. */
  let [from, upTo]: (number | undefined)[] = []
  let isCut = false
  const readOn = oneForAll(async () => {
    const { found, more } = await read(upTo ?? 0)
    isCut = more
    upTo = found.length ? numberOf(found[found.length - 1] as T) : upTo
    items = [...items, ...found]
    if (items.length <= REMEMBERED) return
    const gone = items.slice(0, items.length - REMEMBERED)
    from = numberOf(gone[gone.length - 1] as T)
    items = items.slice(gone.length)
  })
  return async (after) => {
    if (from === undefined) [from, upTo] = [after, after]
    for (;;) {
      if (after < from) return read(after)
      const before = upTo
      await readOn()
      const found = items.filter(one => numberOf(one) > after)
      // Who knows more than was read for the others reads on: one reading is cut off where it gets long.
      if (after >= from && (found.length || upTo === before)) return { found, more: isCut }
    }
  }
}

/** Answers those who ask the same at the same time with one call. */
export function sharedCalls<K, T>(call: (asked: K) => Promise<T>): (asked: K) => Promise<T> {
  const queues = new Map<K, { ask: () => Promise<void>, answer?: T }>()
  return async (asked) => {
    const one = queues.get(asked) ?? { ask: async () => {} }
    if (!queues.has(asked)) {
      one.ask = oneForAll(async () => {
        one.answer = await call(asked)
      })
      queues.set(asked, one)
    }
    await one.ask()
    const answer = one.answer as T
    queues.delete(asked)
    return answer
  }
}

/** Remembers the latest so many answers by what was asked; a failure is not remembered. */
export function remembered<T>(most: number): (key: string, ask: () => Promise<T>) => Promise<T> {
  const answers = new Map<string, Promise<T>>()
  return (key, ask) => {
    const found = answers.get(key) ?? ask()
    answers.delete(key)
    answers.set(key, found)
    found.catch(() => answers.delete(key))
    for (const oldest of answers.keys()) {
      if (answers.size <= most) break
      answers.delete(oldest)
    }
    return found
  }
}
