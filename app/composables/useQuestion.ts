import { findingQuerySchema, type FindingQuery } from '#schemas'

const FIELDS = ['of', 'by', 'among'] as const
/** What is asked otherwise. */
type Change = Partial<Pick<FindingQuery, (typeof FIELDS)[number]>>

/** What is asked of the log, kept in the address: it can be gone back to, marked and sent. What is no question there is passed over. */
export function useQuestion(usual: () => Pick<FindingQuery, 'of' | 'by'>) {
  const route = useRoute()
  const zone = zoneHere()
  const asked = computed((): FindingQuery => {
    const said = Object.fromEntries(FIELDS.flatMap((field) => {
      const value = route.query[field]
      return value ? [[field, field === 'among' ? [value].flat() : value]] : []
    }))
    const question = { ...usual(), ...said }
    return { ...(findingQuerySchema.isValidSync(question) ? question : usual()), zone }
  })
  const ask = (change: Change) =>
    navigateTo({ query: { ...Object.fromEntries(FIELDS.map(field => [field, asked.value[field]])), ...change } }, { replace: true })
  return { asked, ask }
}
