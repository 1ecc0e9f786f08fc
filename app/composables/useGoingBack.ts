import { forgetLeft, leaveOff, leftOff, type LeftOff } from '~/utils/left-off'

/**
 * Leaves a long list so that whoever goes back finds it as it was: as far read, and the same row first in the window. What is answered is
 * called as soon as the list stands, and goes there once; `to` scrolls to a row.
 */
export function useGoingBack(now: () => Omit<LeftOff, 'down'>, to: (row: number) => void): () => void {
  let left = leftOff()
  onBeforeRouteLeave(() => leaveOff({ ...now(), down: window.scrollY }))
  return () => {
    if (!left) return
    const { first, down } = left
    left = undefined
    forgetLeft()
    void nextTick(() => (first ? to(first) : window.scrollTo(0, down)))
  }
}
