import type { FieldErrors } from '#schemas'

/**
 * Keeping a form on the server: nothing is sent while the form has faults, the server's own are told at their fields, what has no field
 * in one line, and a conflict loads what is newer.
 */
export function useKeeping(faults: () => FieldErrors, send: () => Promise<unknown>, reload: () => Promise<unknown>) {
  const errors = ref<FieldErrors>({})
  const trouble = ref('')
  const tried = ref(false)
  let busy = false
  /** Sends the form, once: a finger that bounces would meet its own first press as a change on another device. */
  async function keep() {
    if (busy) return
    tried.value = true
    trouble.value = ''
    errors.value = {}
    if (Object.keys(faults()).length) return
    busy = true
    try {
      await send()
    } catch (error) {
      const answer = refused(error)
      errors.value = answer.fields
      if (!Object.keys(answer.fields).length) trouble.value = answer.message
      if (answer.status === 409) await reload()
    } finally {
      busy = false
    }
  }
  return { errors, trouble, tried, keep }
}
