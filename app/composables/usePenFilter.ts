import type { LocationQueryRaw } from 'vue-router'
import { penQuerySchema, type PenQuery } from '#schemas'

/** What stands for no choice in a select, which takes no empty value. */
const ANY = 'any'
const FIELDS = ['stage', 'material', 'fitting', 'method', 'due', 'defects', 'at', 'text', 'sort'] as const
type Field = (typeof FIELDS)[number]

/** Which pens a page shows, kept in its address: it can be gone back to, marked and sent. What is no choice there is passed over. */
export function usePenFilter() {
  const route = useRoute()
  const said = (field: Field): string | undefined => {
    const value = route.query[field]
    const ok = typeof value === 'string' && value !== '' && penQuerySchema.isValidSync({ [field]: value })
    return ok ? value : undefined
  }
  const asked = computed(() => Object.fromEntries(FIELDS.flatMap(field => (said(field) ? [[field, said(field)]] : []))) as PenQuery)
  function choose(field: Field, value: string | undefined) {
    const query: LocationQueryRaw = { ...asked.value, [field]: value === ANY || !value ? undefined : value }
    void navigateTo({ query }, { replace: field === 'text' })
  }
  /** A choice as a form has it. */
  const chosen = (field: Field) => computed({ get: () => said(field) ?? ANY, set: value => choose(field, value) })
  const isNarrowed = computed(() => Object.keys(asked.value).some(field => field !== 'sort'))
  return { asked, chosen, choose, isNarrowed, ANY, clear: () => void navigateTo({ query: { sort: asked.value.sort } }) }
}
