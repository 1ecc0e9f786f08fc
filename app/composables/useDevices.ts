import { createSharedComposable, useEventListener } from '@vueuse/core'
import type { Instruments, Stop } from '#devices/instruments'
import { simulatedInstruments, WIRE, type Wire } from '#devices/simulated'

/** The instruments of this workshop. The ones that ship are stand-ins; one that is real takes its place here. */
const useInstruments = createSharedComposable((): Instruments => simulatedInstruments(new BroadcastChannel(WIRE) as unknown as Wire))

const until = (stop: Stop) => onScopeDispose(stop)

/** Hears the calliper while the component is there, mm. */
export const useCalliper = (hear: (mm: number) => void): void => until(useInstruments().calliper.onReading(hear))

/** The spindle as it was last read, rev/min; undefined once nothing was heard for three seconds. */
export function useTachometer() {
  const speed = ref<number>()
  let timer: ReturnType<typeof setTimeout> | undefined
  until(
    useInstruments().tachometer.onReading((revPerMin) => {
      speed.value = revPerMin
      clearTimeout(timer)
      timer = setTimeout(() => {
        speed.value = undefined
      }, 3000)
    }),
  )
  return speed
}

export const usePedal = (hear: () => void): void => until(useInstruments().footPedal.onPress(hear))
export const useThermoHygrometer = (hear: (air: { celsius: number, humidity: number }) => void): void =>
  until(useInstruments().thermoHygrometer.onReading(hear))

const FRONT = 'oxlip-front'

/** Whether this is the work screen that a hand was last at: only that one takes what instruments send. */
export function useFront(): () => boolean {
  const own = newId()
  const claim = () => localStorage.setItem(FRONT, own)
  onMounted(claim)
  for (const sign of ['focus', 'pointerdown', 'keydown'] as const) useEventListener(window, sign, claim)
  return () => localStorage.getItem(FRONT) === own
}
