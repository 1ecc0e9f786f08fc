import type { Intake } from '#contract'
import type { IntakeKnown, IntakeName, Mapping } from '#schemas/intake'
import type { AskedIntake, IntakeView, ToldIntake } from '~/utils/intake-talk'

type Asked = AskedIntake extends infer One ? One extends AskedIntake ? Omit<One, 'number' | 'known'> : never : never

/** A sheet that is about to be taken in: read and judged in a worker, again whenever it is to be read otherwise. */
export function useIntake() {
  const known = shallowRef<IntakeKnown>()
  const intakes = shallowRef<readonly Intake[]>([])
  const view = shallowRef<IntakeView>()
  /** Whether the order of day and month could be seen when the sheet was read. */
  const areDaysSure = ref(true)
  const fault = ref('')
  const busy = ref(false)
  /** Whether rows with faults are left out. */
  const leavesOut = ref(false)
  const sending = ref(false)
  /** What the server refused, row by row. */
  const refusals = ref<string[]>([])
  let text = ''
  let id = newId()
  let number = 0
  const worker = new Worker(new URL('../workers/intake.worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = ({ data }: MessageEvent<ToldIntake>) => {
    if (data.number !== number) return
    busy.value = false
    if ('fault' in data) {
      fault.value = data.fault
      return
    }
    fault.value = ''
    view.value = data.view
    if (data.view.areDaysSure !== null) areDaysSure.value = data.view.areDaysSure
    if (data.text !== undefined) text = data.text
  }
  onScopeDispose(() => worker.terminate())

  async function load() {
    const told = await api('GET /api/intakes')
    known.value = told.known
    intakes.value = told.intakes
  }
  function ask(question: Asked) {
    if (!known.value) return
    busy.value = true
    worker.postMessage({ ...question, number: ++number, known: known.value } as AskedIntake)
  }
  function begin() {
    view.value = undefined
    leavesOut.value = false
    refusals.value = []
    id = newId()
  }
  async function readFile(file: File) {
    begin()
    ask({ kind: 'file', bytes: await file.arrayBuffer() })
  }
  function readText(pasted: string) {
    begin()
    ask({ kind: 'text', text: pasted })
  }
  /** Something else is in it. */
  function hold(name: IntakeName) {
    refusals.value = []
    ask({ kind: 'guess', name })
  }
  /** It is to be read otherwise. */
  function read(change: Partial<Mapping>) {
    if (!view.value) return
    const { name, mapping } = view.value
    refusals.value = []
    // What is shown follows at once: fields that are typed in do not jump back.
    view.value = { ...view.value, mapping: { ...mapping, ...change } }
    ask({ kind: 'read', name, mapping: JSON.parse(JSON.stringify(view.value.mapping)) as Mapping })
  }
  /** Takes it in; answers whether it is. */
  async function take(): Promise<boolean> {
    if (!view.value || sending.value) return false
    const { name, mapping, wrong } = view.value
    sending.value = true
    refusals.value = []
    try {
      intakes.value = await api('POST /api/intakes', { body: { id, name, text, mapping, without: leavesOut.value ? [...wrong] : [] } })
      view.value = undefined
      return true
    } catch (error) {
      const { fields, message } = refused(error)
      const rows = Object.entries(fields).map(([field, says]) => `${field.replace(/^rows\[(\d+)\]\..*/, 'Row $1: ').replace(/^text$/, '')}${says}`)
      refusals.value = rows.length ? rows : [message]
      return false
    } finally {
      sending.value = false
    }
  }
  async function undo(which: string) {
    intakes.value = await api('DELETE /api/intakes/:id', { params: { id: which } })
  }
  return { known, intakes, view, areDaysSure, fault, busy, leavesOut, sending, refusals, load, readFile, readText, hold, read, take, undo }
}
