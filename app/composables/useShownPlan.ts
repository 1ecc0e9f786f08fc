/**
 * The coming evenings as they are shown, with what is promised of them. Kept once the search rests: so that an evening that is over can be
 * compared with what it was to be, and a calendar program can read it.
 */
export function useShownPlan() {
  const me = useMe()
  const store = useEveningsKept()
  const { units, workshop } = storeToRefs(useWorkshop())
  const { plan, shows } = useEvenings()
  shows()

  const evenings = computed(() => plan.value?.of.evenings ?? [])
  /** When somebody helps. */
  const helps = computed(() => plan.value?.of.helps ?? [])
  const blocks = computed(() => {
    const known = plan.value
    if (!known) return []
    return shownBlocks(known.is, byItself(known.of.problem), store.boards, known.of.now, units.value)
  })
  const promised = computed((): Promised[] => {
    const known = plan.value
    if (!known) return []
    const ready = readyTimes(known.of.problem, known.is)
    return store.boards.flatMap(({ pen }) => {
      const at = ready.get(pen.id)
      if (pen.due === null || at === undefined) return []
      const when = new Date(known.of.now.getTime() + at * 1000)
      return [{ pen: pen.id, mark: pen.mark, due: pen.due, ready: when, kept: when <= promisedBy(pen.due) }]
    })
  })
  /** The same as it is kept and put on paper; undefined while there is none. */
  const asKept = () => {
    const { helper } = workshop.value ?? {}
    const kept = plan.value && keptPlanOf(plan.value.of, blocks.value, promised.value, store.boards)
    return kept?.helps && helper ? { ...kept, helper } : kept
  }

  let last = ''
  /** The same plan is sent once; one that could not be sent is sent with the next. */
  async function keep() {
    const body = asKept()
    if (!body || !blocks.value.length || !me.may('shelf')) return
    const same = JSON.stringify({ ...body, madeAt: '' })
    if (same === last) return
    try {
      await store.keepPlan(body)
      last = same
    } catch {
      // Without the server nothing is lost: it follows from the pens, and is kept the next time.
    }
  }
  watch(() => [plan.value?.rests, workshop.value?.helper], ([rests]) => rests && keep(), { immediate: true })
  return { plan, evenings, helps, blocks, promised, asKept }
}
