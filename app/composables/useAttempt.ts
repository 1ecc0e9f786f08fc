import type { FieldErrors } from '#schemas'

/** Something that is asked of the server: what was wrong with it, by field or as a whole, and whether it is on its way. */
export function useAttempt() {
  const errors = ref<FieldErrors>({})
  const trouble = ref('')
  const busy = ref(false)
  /** Answers whether it went well. */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    busy.value = true
    errors.value = {}
    trouble.value = ''
    try {
      await work()
      return true
    } catch (error) {
      const answer = refused(error)
      errors.value = answer.fields
      trouble.value = Object.keys(answer.fields).length ? '' : answer.message
      return false
    } finally {
      busy.value = false
    }
  }
  return { errors, trouble, busy, attempt }
}
