import { isOpen, type DefectState } from '#core/bench'
import type { Defect, DefectKind, RepairWay } from '#core/defects'

/** Defects at the bench: what is being noted, judged and mended, and what comes back by itself. */
export function useNoting() {
  const store = usePen()
  const { pen, state } = storeToRefs(store)
  const photos = usePhotos()
  const next = computed(() => state.value?.next)

  /** What is noted now: a defect with its kinds in question, or nothing. And the defect that is being judged and mended. */
  const noting = ref<readonly DefectKind[]>()
  const judging = ref<string>()
  watch(
    () => pen.value?.id,
    () => {
      noting.value = undefined
      judging.value = undefined
    },
  )
  const open = computed(() => state.value?.defects.filter(isOpen) ?? [])
  /** Mends under way or just over, until somebody says that it is gone or still shows. */
  const mends = computed(
    () =>
      state.value?.defects.filter(
        one => one.status === 'mending' || (one.status === 'mended' && one.mends.at(-1)?.done && one.settledAt === one.mends.at(-1)?.done),
      ) ?? [],
  )
  const mending = computed(() => state.value?.defects.find(one => one.id === judging.value && one.status !== 'left'))
  /** Before the ladder, the coats, the press and the hand over an open defect comes back once by itself. */
  const put = ref(new Set<string>())
  const COMES_BACK = ['sand', 'clean', 'ends', 'check']
  watch(
    () => next.value?.id,
    () => {
      const step = next.value
      const found
        = step && COMES_BACK.includes(step.kind) && !step.mend
          ? open.value.find(one => one.step !== step.id && !put.value.has(`${one.id} ${step.kind}`))
          : undefined
      if (!found || !step) return
      put.value.add(`${found.id} ${step.kind}`)
      judging.value = found.id
    },
  )

  function note(found: Omit<Defect, 'id'>) {
    noting.value = undefined
    judging.value = store.enter({ kind: 'defect', payload: { ...found, step: next.value?.id ?? null } }, [found.barrel])
  }
  const settle = (defect: DefectState, how: 'mended' | 'left' | 'failed') => {
    store.enter({ kind: 'settle', payload: { defect: defect.id, how } }, [defect.barrel])
    judging.value = how === 'failed' ? defect.id : undefined
  }
  function mend(way: RepairWay) {
    const defect = mending.value
    if (defect) store.enter({ kind: 'repair', payload: { defect: defect.id, way, step: next.value?.id ?? null } }, [defect.barrel])
    judging.value = undefined
  }
  function answerWhy(question: string, said: 'yes' | 'no' | 'not known') {
    if (judging.value) store.enter({ kind: 'answer', payload: { defect: judging.value, question, answer: said } })
  }
  function judge(cause: string | null) {
    if (judging.value) store.enter({ kind: 'judge', payload: { defect: judging.value, cause } })
  }
  async function photograph(file: File) {
    const defect = judging.value
    if (defect) store.enter({ kind: 'photo', payload: { defect, photo: await photos.keep(file) } })
  }
  return { noting, judging, open, mends, mending, note, settle, mend, answerWhy, judge, photograph }
}
