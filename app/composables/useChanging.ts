/**
 * Changes the pen that is shown: what is refused is told in a line, and a pen that somebody else has changed meanwhile is loaded anew, so
 * that it is tried again on what is there.
 */
export function useChanging() {
  const store = usePen()
  const toast = useToast()
  return async (work: () => Promise<unknown>): Promise<void> => {
    try {
      await work()
    } catch (error) {
      const answer = refused(error)
      toast.add({ title: Object.values(answer.fields)[0] ?? answer.message, color: 'error' })
      if (answer.status === 409 && store.pen) await store.load(store.pen.id)
    }
  }
}
