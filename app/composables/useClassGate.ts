import type { ClassEntry } from '#contract'

/**
 * Of the pen that is open, where it is one of a class that goes on: what holds it, and how the class works. A teacher is not held. What it
 * takes to know that comes only with such a pen: the work screen stays light.
 */
export function useClassGate() {
  const store = usePen()
  const me = useMe()
  const room = shallowRef<{
    one: (id: string | null | undefined) => ClassEntry | undefined
    standing: typeof import('#core/classroom')['classStanding']
  }>()
  watch(() => store.pen?.classId, async (id) => {
    if (!id) return
    const [{ useClasses }, { classStanding }] = await Promise.all([import('../stores/classes'), import('#core/classroom')])
    const classes = useClasses()
    if (!classes.one(id)) await classes.load().catch(() => undefined)
    room.value = { one: classes.one, standing: classStanding }
  }, { immediate: true })
  const lesson = computed(() => {
    const found = room.value?.one(store.pen?.classId)
    return found && !found.ended && !me.may('all') ? found : undefined
  })
  const held = computed(() => (lesson.value && room.value && store.state ? room.value.standing(store.state, lesson.value.work).held : null))
  return { lesson, held }
}
