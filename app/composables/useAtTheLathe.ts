import { judgeSpeed } from '#core/plan'
import { parseLength } from '#core/units'

/**
 * What instruments send to the work screen: a calliper's readings, the foot pedal, the speed of the spindle; and figures typed on the
 * keyboard, which are a reading or the key of a pen. Only the screen that a hand was last at takes them, and none while it is busy
 * with something else.
 */
export function useAtTheLathe(
  on: { reading: (mm: number) => void, pedal: () => void, key: (figure: string) => void },
  free: () => boolean,
) {
  const { plan, traced, state } = storeToRefs(usePen())
  const { units } = storeToRefs(useWorkshop())
  const front = useFront()
  useCalliper((mm) => {
    if (front() && free() && !document.activeElement?.closest('[data-measure]')) on.reading(mm)
  })
  usePedal(() => {
    if (front() && free()) on.pedal()
  })
  useWedge(
    {
      reading: (text) => {
        try {
          on.reading(parseLength(text, units.value.bare))
        } catch {
          // Not a length after all: figures that nobody asked for.
        }
      },
      key: on.key,
    },
    free,
  )
  const spindle = useTachometer()
  /** The speed of the spindle and what is thought of it for the next step; undefined while none is heard. */
  const speed = computed(() => {
    const next = traced.value?.steps.find(one => one.step.id === state.value?.next?.id)
    if (spindle.value === undefined || !plan.value || !traced.value || !next) return undefined
    const judged = judgeSpeed(plan.value, next.step, traced.value, spindle.value)
    return judged && { ...judged, revPerMin: spindle.value }
  })
  return { speed }
}
