<script setup lang="ts">
import { addDays, format } from 'date-fns'
import { boardOf, openWork } from '#core/bench'
import type { EveningPen } from '#core/evening'
import { makePlan, planInputs } from '#core/plan'
import type { Method } from '#core/method'
import { isCa } from '#core/shelf'
import { secondsTo, stretchesFrom, type Stretch } from '~/utils/evening-hours'

/** For pens that are not begun: the earliest day that holds nine times in ten beside all that is there, and what would bring it forward. */
const props = defineProps<{ wanted?: Partial<PromiseAsked> }>()
const emit = defineEmits<{ close: [] }>()
const stock = useStock()
const methods = useMethods()
const workshop = useWorkshop()
const { plan, given, aside } = useEvenings()
const { failed, loaded, again } = useInsist(() => Promise.all([stock.load(), methods.load(), workshop.shelf ? undefined : workshop.load()]))
onMounted(again)

const { more = [], ...first } = props.wanted ?? {}
const form = reactive<PensAsked>({ fitting: '', material: 'apple', method: '', count: 1, ...first })
watch(loaded, () => {
  form.fitting ||= stock.fittings?.[0]?.fitting.id ?? ''
  form.method ||= methods.methods?.[0]?.id ?? ''
})
const byName = (rows: readonly { id: string, name: string }[]) =>
  rows.map(({ id, name }) => ({ label: name, value: id })).sort((a, b) => a.label.localeCompare(b.label, 'en'))
const fittings = computed(() => byName((stock.fittings ?? []).map(one => one.fitting)))
const finishes = computed(() => byName(methods.methods ?? []))
const woods = computed(() => woodChoices(stock.blanks ?? []))
const woodNamed = (value: string) => woodOf(value, stock.blanks ?? [])

/** What another way would be: another finish, an hour more on the next evenings, or accelerator on the glue and on every CA coat. */
interface Way { method: Method, longer?: number, accelerated?: boolean }

/** Those of other kinds that must be there by the same day; what they do not say is as in the form. */
const others = computed(() => more.map(one => ({
  ...one, material: one.material || form.material, method: methods.method(one.method || form.method),
})))
const otherWords = computed(() => others.value.map(({ count, fitting, material, method }) => {
  const names = [stock.fitting(fitting)?.fitting.name, woodNamed(material)?.name, method?.name]
  return `${count} × ${names.filter(Boolean).join(', ')}`
}))
/** All the pens as they would be, those of the form made this way. */
const pensOf = ({ method, accelerated }: Way, now: Date): EveningPen[] => {
  const own = kindOf(form, accelerated ? withAccelerator(method) : method, accelerated ?? false, now)
  const rest = others.value.flatMap(one => (one.method ? kindOf(one, one.method, false, now) : []))
  return own.length ? [...own, ...rest].map((pen, index) => ({ ...pen, id: `new ${index}` })) : []
}
/** Pens of one kind as they would be. */
function kindOf(asked: Omit<PensAsked, 'method'>, method: Method, accelerated: boolean, now: Date): EveningPen[] {
  const fitting = stock.fitting(asked.fitting)?.fitting
  const material = woodNamed(asked.material)
  if (!fitting || !material || !workshop.shelf || !workshop.workshop) return []
  const planned = makePlan(planInputs({
    fitting, material, shelf: workshop.shelf, workshop: workshop.workshop,
    method,
    wishes: { tool: 'skew', film: 'gloss', ...(accelerated ? { glue: 'CA with accelerator' as const } : {}) },
    taught: workshop.learnt,
  }))
  const board = boardOf(planned, [])
  const paces = given.value.hands?.paces ?? {}
  return Array.from({ length: asked.count }, () => openWork('', board, now.toISOString(), { paces }))
}
const withAccelerator = (method: Method): Method =>
  ({ ...method, layers: method.layers.map(layer => (isCa(layer.role) ? { ...layer, accelerate: true } : layer)) })
interface Told { by: Date, day: string }
async function ask(way: Way): Promise<Told | undefined> {
  const { longer = 0 } = way
  const known = plan.value
  if (!known) return undefined
  const { now, problem } = known.of
  const pens = pensOf(way, now)
  if (!pens.length) return undefined
  // Later than all that is planned there are evenings too.
  const far = stretchesFrom(given.value.hours, 'turner', now, 120)
  const hours = asHours(far.map((one, index) => (index < EVENINGS ? later(one, longer) : one)), now)
  const { plan: found, finished } = await aside({ ...problem, hours, pens: [...problem.pens, ...pens] }, true)
  const ends = finished.filter(([pen]) => pen.startsWith('new ')).map(([, seconds]) => seconds)
  const last = Math.max(...ends)
  const end = secondsTo(now, far.at(-1)?.to ?? now)
  if (!found.blocks.length || last > end) return undefined
  const by = new Date(now.getTime() + last * 1000)
  return { by, day: format(by <= promisedBy(format(by, 'yyyy-MM-dd')) ? by : addDays(by, 1), 'yyyy-MM-dd') }
}
/** What “an evening more” is: an hour on each of so many evenings. */
const EVENINGS = 3
const later = ({ day, from, to }: Stretch, minutes: number): Stretch => ({ day, from, to: new Date(to.getTime() + minutes * 60_000) })

const ACCELERATED = 'with accelerator on glue and CA coats, which may turn white where there is too much: see its label'

const told = shallowRef<Told>()
const asked = ref(false)
/** What would bring it forward, and to which day. */
const sooner = ref<{ day: string, with: string }[]>([])
let turn = 0
async function answer() {
  const mine = ++turn
  const method = methods.method(form.method)
  asked.value = false
  sooner.value = []
  if (!method) return
  const found = await ask({ method })
  if (mine !== turn) return
  told.value = found
  asked.value = true
  if (!found) return
  const ways: { day: string, with: string }[] = []
  const longer = await ask({ method, longer: 60 })
  if (longer && longer.day < found.day) ways.push({ day: longer.day, with: 'with an hour more on each of the next three evenings' })
  const quicker = workshop.shelf?.products.some(one => one.role === 'accelerator') ? await ask({ method, accelerated: true }) : undefined
  if (quicker && quicker.day < found.day) ways.push({ day: quicker.day, with: ACCELERATED })
  for (const other of methods.methods ?? []) {
    if (mine !== turn) return
    if (other.id === method.id || ways.length > 3) continue
    const then = await ask({ method: other })
    if (then && then.day < found.day) ways.push({ day: then.day, with: `with another finish: ${other.name}` })
  }
  if (mine === turn) sooner.value = ways
}
watch([form, loaded, plan], () => void answer(), { immediate: true })
</script>

<template>
  <UModal
    :open="true" title="When may I promise?" description="For pens that are not begun, with all that is on the bench and planned in mind."
    @update:open="emit('close')"
  >
    <template #body>
      <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
      <p v-else-if="!loaded" class="quiet" role="status">Fetching the shelf ...</p>
      <div v-else class="promise figures filled">
        <UFormField label="Fitting"><USelect v-model="form.fitting" size="xl" :items="fittings" /></UFormField>
        <UFormField label="Material"><USelect v-model="form.material" size="xl" :items="woods" /></UFormField>
        <UFormField label="Finish"><USelect v-model="form.method" size="xl" :items="finishes" /></UFormField>
        <UFormField label="How many"><UInputNumber v-model="form.count" size="xl" :min="1" :max="20" /></UFormField>
        <div v-if="otherWords.length">
          <h3>And by the same day</h3>
          <ul><li v-for="says in otherWords" :key="says">{{ says }}</li></ul>
        </div>
        <p class="says" role="status">
          <template v-if="!asked">Working it out ...</template>
          <template v-else-if="told">
            <b>{{ dayWords(told.day) }}</b>
            <span>holds nine times in ten. Ready by {{ format(told.by, 'EEE d MMM HH:mm') }} then.</span>
          </template>
          <template v-else>The hours of the coming months do not hold it. Say more hours, or promise nothing yet.</template>
        </p>
        <template v-if="sooner.length">
          <h3>What would bring it forward</h3>
          <ul><li v-for="way in sooner" :key="way.with"><b>{{ dayWords(way.day) }}</b> {{ way.with }}</li></ul>
        </template>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.promise { display: grid; gap: 0.8rem; }
.says { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.3rem 0.8rem; min-height: 3.2rem; }
.says b { font: 700 2rem var(--font-head); }
</style>
