import { isResin } from '#core/shelf'
import { moistureFrom, type MoistureVerdict } from '#core/climate'
import type { ShelfBlank } from '#contract'
import { materialOf } from '#reference'

/**
 * How wet a blank is by its readings, in the air of the workshop; worked out anew when a reading comes in or the air changes, and with
 * the hour.
 */
export function useMoisture(blank: () => ShelfBlank | undefined) {
  const store = useWorkshop()
  const { minute: now } = useClock()
  const hour = computed(() => Math.floor(now.value.getTime() / 3_600_000))
  const size = computed(() => {
    const { width, height } = blank() ?? { width: null, height: null }
    return Math.min(width ?? Infinity, height ?? Infinity)
  })
  return computed((): MoistureVerdict | undefined => {
    const one = blank()
    if (!one || !store.workshop) return undefined
    // The newest reading may be of this very minute.
    const at = new Date(Math.max((hour.value + 1) * 3_600_000, ...one.readings.map(reading => Date.parse(reading.at)))).toISOString()
    const { celsius, humidity } = store.workshop
    return moistureFrom(
      one.readings,
      { thickness: Number.isFinite(size.value) ? size.value : 20, resin: isResin(materialOf(one)) },
      { celsius, humidity },
      at,
    )
  })
}
