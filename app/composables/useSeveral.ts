import { materialOf } from '#reference'
import type { NewPen } from '#schemas'

/** The wood that stands in the form above. */
export const SAME = 'same'

/** One of several pens that are started at once, where it differs from the others. */
export interface SeveralRow {
  /** Its witness mark. */
  mark: string
  /** Its name. */
  name: string
  /** Whether the name was typed for this one. */
  own: boolean
  /** `same`, or `blank …` or `material …` with an id. */
  wood: string
}

/** Several pens out of one form: marks counted on, names by the pattern, each with its own wood where it has one. */
export function useSeveral(form: Ref<NewPen>, count: Ref<number>) {
  const stock = useStock()
  const rows = ref<SeveralRow[]>([])

  let asked = 0
  /** Marks that are free from the form’s own on; where they cannot be told they are typed. An answer that was overtaken is not taken. */
  async function countOn() {
    if (count.value < 2) return
    const mine = ++asked
    const from = /^[A-Z]\d{1,3}$/.test(form.value.mark) ? { from: form.value.mark } : {}
    const query = { ...from, count: count.value }
    const all = await api('GET /api/pens/mark', { query }).then(told => told.all, () => [])
    if (mine !== asked) return
    rows.value = Array.from({ length: count.value }, (_, index): SeveralRow => {
      const before = rows.value[index]
      return {
        wood: SAME,
        own: false,
        ...before,
        mark: all[index] ?? before?.mark ?? '',
        name: before?.own ? before.name : numbered(form.value.name, index + 1),
      }
    })
  }
  watch([count, () => form.value.mark], () => void countOn())
  watch(() => form.value.name, (name) => {
    rows.value.forEach((row, index) => {
      if (!row.own) row.name = numbered(name, index + 1)
    })
  })

  /** All of them, as they are sent. */
  const pens = (): NewPen[] => rows.value.map(({ mark, name, wood }) => tidyPen({ ...form.value, mark, name, ...woodOf(wood) }))
  function woodOf(wood: string): Partial<NewPen> {
    const [kind, id = ''] = wood.split(' ')
    if (kind === 'material') return { material: id as NewPen['material'], blank: null }
    const blank = kind === 'blank' ? stock.blank(id) : undefined
    return blank ? { blank: blank.id, material: materialOf(blank).id as NewPen['material'] } : {}
  }
  /** Whether there is a row for each of them. */
  const ready = computed(() => count.value < 2 || rows.value.length === count.value)
  return { rows, pens, ready }
}
