import type { FieldErrors } from '#schemas'

/**
 * Keeping a form on the server: nothing is sent while the form has faults, the server's own are told at their fields, what has no field
 * in one line, and a conflict loads what is newer.
 */
export function useKeeping(faults: () => FieldErrors, send: () => Promise<unknown>, reload: () => Promise<unknown>) {
  const errors = ref<FieldErrors>({})
  const trouble = ref('')
  const tried = ref(false)
  async function keep() {
    tried.value = true
    trouble.value = ''
    errors.value = {}
    if (Object.keys(faults()).length) return
    try {
      await send()
    } catch (error) {
      const answer = refused(error)
      errors.value = answer.fields
      if (!Object.keys(answer.fields).length) trouble.value = answer.message
      if (answer.status === 409) await reload()
    }
  }
  return { errors, trouble, tried, keep }
}
