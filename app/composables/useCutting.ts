import type { CutLayout, StockProblem } from '#core/barrel'

/** Lays out sticks in a worker whenever the problem changes; an answer to an older question is passed over. */
export function useCutting(problem: () => StockProblem | undefined) {
  const layout = shallowRef<CutLayout>()
  const fault = ref('')
  const busy = ref(false)
  let number = 0
  const worker = new Worker(new URL('../workers/cutting.worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = ({ data }: MessageEvent<{ number: number, layout?: CutLayout, fault?: string }>) => {
    if (data.number !== number) return
    busy.value = false
    layout.value = data.layout
    fault.value = data.fault ?? ''
  }
  watch(
    problem,
    (now) => {
      number++
      if (!now) {
        layout.value = undefined
        return
      }
      busy.value = true
      worker.postMessage({ number, problem: JSON.parse(JSON.stringify(now)) })
    },
    { immediate: true, deep: true },
  )
  onScopeDispose(() => worker.terminate())
  return { layout, fault, busy }
}
