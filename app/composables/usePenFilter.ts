import { penQuerySchema, type PenQuery } from '#schemas'

const FIELDS = ['stage', 'material', 'fitting', 'method', 'due', 'defects', 'at', 'text', 'sort'] as const

/** Which pens a page shows. */
export function usePenFilter() {
  const { asked, ...filter } = useFilter(penQuerySchema, FIELDS, 'text')
  return { ...filter, asked: computed(() => asked.value as PenQuery) }
}
