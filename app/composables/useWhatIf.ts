import type { Plan } from '#core/plan'
import type { Causes, Foreseen, Hand, Played, Share } from '#core/simulate'
import type { AskedWhatIf, Result, ToldWhatIf } from '~/utils/what-if-talk'

/** So often each plan is played. */
const RUNS = 10_000

/** What is asked of them beside playing. */
interface Asking {
  /** Of which result it is asked what it depends on. */
  of: () => Result
  /** What the shop's own pens add to the causes of defects; undefined while it is not here. */
  shop: () => Pick<Causes, 'judged' | 'usual'> | undefined
}

/**
 * Plans played side by side in a worker, more and more often while one looks; what the first of them depends on most; and which kinds of
 * defect the causes speak for in each.
 */
export function useWhatIf(all: () => readonly { plan: Plan, hand: Hand }[], { of, shop }: Asking) {
  const played = shallowRef<readonly Played[]>([])
  const shares = shallowRef<{ of: Result, is: readonly Share[] }>()
  const player = new Worker(new URL('../workers/what-if.worker.ts', import.meta.url), { type: 'module' })
  const asker = new Worker(new URL('../workers/what-if.worker.ts', import.meta.url), { type: 'module' })
  let number = 0
  player.onmessage = ({ data }: MessageEvent<ToldWhatIf>) => {
    if (data.kind === 'play' && data.number === number) played.value = data.all
  }
  const foreseen = shallowRef<readonly Foreseen[]>([])
  let [question, looked] = [0, 0]
  asker.onmessage = ({ data }: MessageEvent<ToldWhatIf>) => {
    if (data.kind === 'matters' && data.number === question) shares.value = { of: data.of, is: data.shares }
    if (data.kind === 'foresee' && data.number === looked) foreseen.value = data.all
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
  watch([all, shop], ([now, own]) => {
    foreseen.value = []
    if (now.length && own) send(asker, { kind: 'foresee', number: ++looked, all: now, shop: own })
  }, { immediate: true })
  onScopeDispose(() => {
    player.terminate()
    asker.terminate()
  })
  return { played, shares, foreseen, runs: RUNS }
}
