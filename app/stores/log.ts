import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'
import type { BenchEvent } from '#core/bench'

/** The entries of all pens that this screen has met, by pen; each once, however often it is told. */
export const useLog = defineStore('log', () => {
  const logs = shallowReactive(new Map<string, readonly BenchEvent[]>())

  /** Takes entries in; of one that is known already what the server says of it stands. */
  function take(events: readonly BenchEvent[]) {
    const byPen = new Map<string, BenchEvent[]>()
    for (const event of events) byPen.set(event.pen, [...(byPen.get(event.pen) ?? []), event])
    for (const [pen, told] of byPen) {
      const merged = new Map((logs.get(pen) ?? []).map(event => [event.id, event]))
      for (const event of told) merged.set(event.id, event)
      logs.set(pen, [...merged.values()])
    }
  }
  const of = (pen: string): readonly BenchEvent[] => logs.get(pen) ?? []
  return { take, of }
})
