import type { Plan, Sizing } from '#core/plan'

/** The wishes of a plan as a panel changes them: each change is a new sizing, kept by nobody yet. */
export function useWishes(plan: () => Plan, sizing: Ref<Sizing | undefined>) {
  const wishes = computed(() => plan().inputs.wishes)
  function change(part: Sizing) {
    const { tool: _t, film: _f, ...kept } = wishes.value
    sizing.value = { ...kept, ...part }
  }
  return { wishes, change }
}
