import { classStanding } from '#core/classroom'

/** Of the pen that is open, where it is one of a class that goes on: what holds it, and how the class works. A teacher is not held. */
export function useClassGate() {
  const store = usePen()
  const me = useMe()
  const classes = useClasses()
  watch(() => store.pen?.classId, (id) => {
    if (id && !classes.one(id)) void classes.load().catch(() => undefined)
  }, { immediate: true })
  const lesson = computed(() => {
    const found = classes.one(store.pen?.classId)
    return found && !found.ended && !me.may('all') ? found : undefined
  })
  const held = computed(() => (lesson.value && store.state ? classStanding(store.state, lesson.value.work).held : null))
  return { lesson, held }
}
