/** Lets work through that takes much memory or many hands, so much of it at once; the rest waits its turn, in order. */
export function turns(atOnce: number): <T>(work: () => Promise<T>) => Promise<T> {
  let working = 0
  const waiting: (() => void)[] = []
  return async (work) => {
    if (working >= atOnce) await new Promise<void>(go => waiting.push(go))
    else working += 1
    try {
      return await work()
    } finally {
      // Whoever waits takes the place over: nobody slips in between.
      const next = waiting.shift()
      if (next) next()
      else working -= 1
    }
  }
}
