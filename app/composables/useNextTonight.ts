import { createSharedComposable } from '@vueuse/core'

/** So long the bench waits for it, ms. */
const PATIENCE = 2000

/**
 * What the evenings have first, in an evening whose hours the turner has said; undefined outside of it, and where nobody said any: then
 * what comes next is whatever stands idle. Evenings are planned for this only where there are hours.
 */
export const useNextTonight = createSharedComposable(() => {
  const store = useEveningsKept()
  const { now } = useClock()
  /** Whether it may still come: nothing else is said as next until then, for a moment at the most. */
  const mayCome = ref(true)
  const gone = () => {
    mayCome.value = false
  }
  const patience = setTimeout(gone, PATIENCE)
  onScopeDispose(() => clearTimeout(patience))
  // Without the server there is no such plan, and the bench goes by itself.
  void store.meet().then(() => isSaid.value || gone(), gone)
  const isSaid = computed(() => Boolean(store.kept?.hours.some(one => one.who === 'turner' && one.spans.length)))
  const scope = effectScope()
  const evenings = shallowRef<ReturnType<typeof useEvenings>>()
  watch(isSaid, async (said) => {
    if (!said || evenings.value) return
    // The bench comes light: what plans evenings is fetched once somebody has hours.
    const { useEvenings } = await import('./useEvenings')
    evenings.value ??= scope.run(() => useEvenings())
  }, { immediate: true })
  onScopeDispose(() => scope.stop())

  watch(() => evenings.value?.plan.value, plan => plan && gone())
  /** By how long ago it was planned it begins the sooner, s; nothing outside of the hours. */
  const next = computed(() => {
    const known = evenings.value?.plan.value
    const tonight = known?.of.evenings[0]
    if (!known?.first || !tonight || now.value < tonight.from || now.value >= tonight.to) return undefined
    const since = (now.value.getTime() - known.of.now.getTime()) / 1000
    return { ...known.first, begins: Math.max(0, known.first.begins - since) }
  })
  return { next, mayCome }
})
