import { defineStore } from 'pinia'
import { ref } from 'vue'

/** A clock that is wrong by less counts as right, ms. */
const RIGHT = 2000

/** How far this device's clock is ahead of the workshop's, as the server last told; undefined while it has told nothing. */
export const useRightTime = defineStore('right-time', () => {
  const ahead = ref<number>()
  /** Takes what the server's clock says now. */
  function set(serverNow: string) {
    const off = Date.now() - Date.parse(serverNow)
    ahead.value = Math.abs(off) < RIGHT ? 0 : Math.round(off / 100) * 100
  }
  /** Takes what another tab of this browser knows already, ms. */
  function is(known: number) {
    ahead.value = known
  }
  const now = (): number => Date.now() - (ahead.value ?? 0)
  return { ahead, set, is, now }
})
