/**
 * Does something when it is wanted, but at most so often: the first time at once, and what is wanted before the rest is over or while it is
 * still being done is done once, after that. So nothing that was wanted is left out, however far apart it comes, and no answer is
 * overtaken by an older one. A clock that is set back does not make the rest longer.
 * @param rest ms
 * @param run what is done; what goes wrong in it is told by itself
 */
export function atMostEvery(rest: number, run: () => Promise<unknown>): () => void {
  let [isResting, isWanted] = [false, false]
  return function want() {
    if (isResting) {
      isWanted = true
      return
    }
    isResting = true
    const over = new Promise((done) => {
      setTimeout(done, rest)
    })
    void Promise.allSettled([over, run()]).then(() => {
      isResting = false
      if (!isWanted) return
      isWanted = false
      want()
    })
  }
}
