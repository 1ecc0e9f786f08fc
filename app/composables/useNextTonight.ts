import { createSharedComposable } from '@vueuse/core'
import { firstUp, type FirstUp } from '#core/evening'

/**
 * What the evenings have first, in an evening whose hours the turner has said; undefined outside of it, and where nobody said any: then
 * what comes next is whatever stands idle. Evenings are planned for this only where there are hours.
 */
export const useNextTonight = createSharedComposable(() => {
  const store = useEveningsKept()
  const { now } = useClock()
  // Without the server there is no such plan, and the bench goes by itself.
  void store.meet().catch(() => undefined)
  const scope = effectScope()
  const evenings = shallowRef<ReturnType<typeof useEvenings>>()
  watch(() => Boolean(store.kept?.hours.some(one => one.who === 'turner' && one.spans.length)), (said) => {
    if (said) evenings.value ??= scope.run(() => useEvenings())
  }, { immediate: true })
  onScopeDispose(() => scope.stop())

  const planned = computed((): { first: FirstUp, at: number } | undefined => {
    const known = evenings.value?.plan.value
    if (!known?.of.evenings.length) return undefined
    const first = firstUp(known.of.problem, known.is.blocks)
    return first && { first, at: known.of.now.getTime() }
  })
  /** By how long ago it was planned it begins the sooner, s; nothing outside of the hours. */
  const next = computed(() => {
    const tonight = evenings.value?.plan.value?.of.evenings[0]
    if (!planned.value || !tonight || now.value < tonight.from || now.value >= tonight.to) return undefined
    const { first, at } = planned.value
    return { ...first, begins: Math.max(0, first.begins - (now.value.getTime() - at) / 1000) }
  })
  return { next }
})
