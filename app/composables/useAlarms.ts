import { useLocalStorage } from '@vueuse/core'

/** How long the screen flashes when a wait ends, ms. */
const FLASHES = 2400

let audio: AudioContext | undefined

/** Two soft bells. A browser that wants a touch first stays silent until there was one. */
function chime() {
  audio ??= new AudioContext()
  const at = audio.currentTime
  for (const [index, pitch] of [659.3, 880].entries()) {
    const [tone, gain] = [audio.createOscillator(), audio.createGain()]
    const begin = at + index * 0.22
    tone.frequency.value = pitch
    gain.gain.setValueAtTime(0, begin)
    gain.gain.linearRampToValueAtTime(0.35, begin + 0.02)
    gain.gain.exponentialRampToValueAtTime(0.001, begin + 1.1)
    tone.connect(gain).connect(audio.destination)
    tone.start(begin)
    tone.stop(begin + 1.2)
  }
}

/**
 * Tells by bell and flash when a wait of any pen ends. The bell can be muted, on this device. Answers the marks of pens whose wait has
 * just ended.
 */
export function useAlarms() {
  const { bands } = useBench()
  const { now } = useClock()
  const quiet = useLocalStorage('oxlip-quiet', false)
  const ended = ref<string[]>([])
  let running = new Map<string, { mark: string, until: number }>()
  let timer: ReturnType<typeof setTimeout> | undefined

  watch(
    [now, bands],
    () => {
      const over = [...running].filter(([, { until }]) => until <= now.value.getTime())
      const going = bands.value.filter(band => band.until > now.value)
      // A wait that was taken back or cut short does not ring: only one whose end has come.
      running = new Map(going.map(band => [band.pen, { mark: band.mark, until: band.until.getTime() }]))
      const rung = over.filter(([pen]) => !running.has(pen))
      if (!rung.length) return
      ended.value = rung.map(([, { mark }]) => mark)
      if (!quiet.value) chime()
      clearTimeout(timer)
      timer = setTimeout(() => {
        ended.value = []
      }, FLASHES)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))
  return { quiet, ended }
}
