import type { LocationQueryRaw } from 'vue-router'
import type { AnySchema } from 'yup'

/** What stands for no choice in a select, which takes no empty value. */
export const ANY = 'any'

/**
 * What a list is narrowed to, kept in the address of its page: it can be gone back to, marked and sent. What is no choice there, as the
 * schema of the question has it, is passed over. Words that are typed (`typed`) take the place of those before in the browser’s history.
 */
export function useFilter<Field extends string>(schema: AnySchema, fields: readonly Field[], typed?: NoInfer<Field>) {
  const route = useRoute()
  const said = (field: Field): string | undefined => {
    const value = route.query[field]
    const ok = typeof value === 'string' && value !== '' && schema.isValidSync({ [field]: value })
    return ok ? value : undefined
  }
  const asked = computed(() =>
    Object.fromEntries(fields.flatMap(field => (said(field) ? [[field, said(field)]] : []))) as Partial<Record<Field, string>>)
  /** Narrows the list, or, by nothing or `ANY`, no longer; what is said under `also` falls away with it. */
  function choose(field: Field, value: string | undefined, also?: Field) {
    const query: LocationQueryRaw = { ...asked.value, [field]: value === ANY || !value ? undefined : value }
    if (also) query[also] = undefined
    void navigateTo({ query }, { replace: field === typed })
  }
  /** A choice as a form has it. */
  const chosen = (field: Field, also?: Field) =>
    computed({ get: () => said(field) ?? ANY, set: value => choose(field, value, also) })
  const isNarrowed = computed(() => Object.keys(asked.value).some(field => field !== 'sort'))
  const clear = () => void navigateTo({ query: 'sort' in asked.value ? { sort: asked.value.sort as string } : {} })
  return { asked, chosen, choose, isNarrowed, clear }
}
