import type { ListedOrder, ListedPen } from '#contract'
import { errorsOf, newOrderSchema, type FieldErrors, type NewOrder, type OrderLine } from '#schemas'

/** A line of which nothing is said yet. */
const emptyLine = (): OrderLine => ({
  id: newId(), pen: null, material: null, fitting: null, method: null, refill: '', packing: '', wish: '', price: null,
})

/** An order on its form: a new one, or one that is kept; what others change meanwhile is told when it is kept. */
export function useOrderForm(id: string) {
  const store = useOrders()
  const isNew = id === 'new'
  const kept = shallowRef<ListedOrder>()
  const form = ref<NewOrder>({
    id: isNew ? newId() : id, kind: 'order', customer: null, promised: null, deposit: null, remark: '', calledOff: false,
    lines: [emptyLine()],
  })
  const errors = ref<FieldErrors>({})
  const trouble = ref('')
  const sending = ref(false)
  /** The pens that can stand for it: those that are here, and those that do already. */
  const pens = shallowRef<readonly ListedPen[]>([])
  /** Whether more can than stand there. */
  const morePens = ref(false)

  function take(listed: ListedOrder) {
    kept.value = listed
    const { number: _, made: __, handed: ___, version: ____, ...order } = listed.order
    form.value = JSON.parse(JSON.stringify(order)) as NewOrder
  }
  async function load() {
    const [here] = await Promise.all([pensToStand(), store.loadCustomers({}), isNew ? undefined : read()])
    pens.value = []
    found([...(kept.value?.pens ?? []), ...here.pens])
    morePens.value = here.more
  }
  /** Pens that were looked up are offered too. */
  function found(more: readonly ListedPen[]) {
    pens.value = [...new Map([...pens.value, ...more].map(one => [one.pen.id, one])).values()]
  }
  /** As it is kept now; what is being typed stays. */
  async function read() {
    const listed = await api('GET /api/orders/:id', { params: { id } })
    if (kept.value?.order.version === listed.order.version) kept.value = listed
    else take(listed)
  }
  const add = () => form.value.lines.push({ ...emptyLine(), ...like() })
  /** The next pen of an order is mostly like the one before. */
  function like(): Partial<OrderLine> {
    const last = form.value.lines.at(-1)
    if (!last) return {}
    const { material, fitting, method, refill, packing, price } = last
    return { material, fitting, method, refill, packing, price }
  }
  const remove = (line: string) => {
    form.value.lines = form.value.lines.filter(one => one.id !== line)
  }

  /** Keeps it; answers whether it could be kept. */
  async function keep(change: Partial<NewOrder> = {}): Promise<boolean> {
    const wanted = { ...form.value, ...change }
    errors.value = errorsOf(newOrderSchema, wanted)
    trouble.value = ''
    if (Object.keys(errors.value).length) return false
    sending.value = true
    try {
      take(await store.keep(wanted, kept.value?.order.version))
      return true
    } catch (error) {
      const answer = refused(error)
      errors.value = answer.fields
      if (!Object.keys(answer.fields).length) trouble.value = answer.message
      if (answer.status === 409) await read()
      return false
    } finally {
      sending.value = false
    }
  }
  const errorsOfLine = (index: number): Record<string, string> => {
    const at = `lines[${index}].`
    return Object.fromEntries(
      Object.entries(errors.value).flatMap(([field, says]) => (field.startsWith(at) ? [[field.slice(at.length), says]] : [])))
  }
  return { form, kept, pens, morePens, found, errors, trouble, sending, isNew, load, add, remove, keep, errorsOfLine }
}
