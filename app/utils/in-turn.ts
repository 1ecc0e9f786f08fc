/**
 * Lets one thing be asked after the other: the next is begun when the one before it was answered or refused. So of answers that each hold
 * the whole, none is overtaken by an older one.
 */
export function inTurn(): <T>(ask: () => Promise<T>) => Promise<T> {
  let before: Promise<unknown> = Promise.resolve()
  return (ask) => {
    const mine = before.then(ask)
    before = mine.catch(() => undefined)
    return mine
  }
}
