import { defectQuerySchema, type DefectQuery } from '#schemas'

const FIELDS = ['kind', 'material', 'status', 'cause'] as const

/** Which defects a page shows. */
export function useDefectFilter() {
  const { asked, ...filter } = useFilter(defectQuerySchema, FIELDS)
  return { ...filter, asked: computed(() => asked.value as DefectQuery) }
}
