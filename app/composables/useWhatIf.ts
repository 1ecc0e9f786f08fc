import type { Plan } from '#core/plan'
import type { Hand, Played, Share } from '#core/simulate'
import type { AskedWhatIf, Result, ToldWhatIf } from '~/utils/what-if-talk'

/** So often each plan is played. */
const RUNS = 10_000

/** Plans played side by side in a worker, more and more often while one looks; and what the first of them depends on most. */
export function useWhatIf(all: () => readonly { plan: Plan, hand: Hand }[], of: () => Result) {
  const played = shallowRef<readonly Played[]>([])
  const shares = shallowRef<{ of: Result, is: readonly Share[] }>()
  const player = new Worker(new URL('../workers/what-if.worker.ts', import.meta.url), { type: 'module' })
  const asker = new Worker(new URL('../workers/what-if.worker.ts', import.meta.url), { type: 'module' })
  let number = 0
  player.onmessage = ({ data }: MessageEvent<ToldWhatIf>) => {
    if (data.kind === 'play' && data.number === number) played.value = data.all
  }
  let question = 0
  asker.onmessage = ({ data }: MessageEvent<ToldWhatIf>) => {
    if (data.kind === 'matters' && data.number === question) shares.value = { of: data.of, is: data.shares }
  }
  const send = (worker: Worker, message: AskedWhatIf) => worker.postMessage(JSON.parse(JSON.stringify(message)))
  watch(all, (now) => {
    played.value = []
    if (now.length) send(player, { kind: 'play', number: ++number, all: now, runs: RUNS })
  }, { immediate: true })
  watch([() => all()[0], of], ([first, of]) => {
    shares.value = undefined
    if (first) send(asker, { kind: 'matters', number: ++question, of, ...first })
  }, { immediate: true })
  onScopeDispose(() => {
    player.terminate()
    asker.terminate()
  })
  return { played, shares, runs: RUNS }
}
