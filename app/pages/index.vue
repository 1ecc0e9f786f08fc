<script setup lang="ts">
import type { DueDay } from '#contract'

useHead({ title: 'Bench · Oxlip' })
/** So many of the planned and of the finished pens stand here; the rest is a tap away. */
const SHOWN = 30
const live = useLive()
const me = useMe()
const workshops = useWorkshops()
/** Makers and pupils have their own pens here. */
const theirs = () => (me.hasOwnBench && me.person ? { maker: me.person.id } : {})
const plannedList = usePenList(() => ({ stage: 'planned', sort: 'marks', limit: SHOWN, ...theirs() }))
const finishedList = usePenList(() => ({ stage: 'finished', limit: SHOWN, ...theirs() }))
const [planned, finished] = [computed(() => plannedList.pens.value ?? []), computed(() => finishedList.pens.value ?? [])]
const due = ref<DueDay | null>(null)
const loadDue = async () => {
  due.value = (await api('GET /api/pens/due')).due
}
/** The bench opens with the pens in work; what stands below them may be missing, and that is told. */
const lacking = ref(false)
async function loadRest() {
  const all = await Promise.allSettled([plannedList.load(), finishedList.load(), loadDue()])
  lacking.value = all.some(one => one.status === 'rejected')
}
const { failed, loaded, again } = useLoad(() => Promise.all([live.meet(), loadRest()]))
const { now } = useClock()
const { free, waiting, bands, inWork, nextOne, settled, why } = useBench()
const boards = useBenchPens()
const { ended } = useAlarms()

const heading = computed(() => (inWork.value.length ? `${countWord(inWork.value.length)} on the bench` : 'Nothing on the bench'))
/** The pen to take up next, by the order that leaves the fewest waits idle; before the logs are here, whatever is free. */
const first = computed(() => inWork.value.find(one => one.pen.id === nextOne.value?.id) ?? free.value[0])
const rows = computed(() => {
  const rest = [...free.value, ...waiting.value].filter(one => one.pen.id !== first.value?.pen.id)
  return first.value ? [first.value, ...rest] : rest
})
/** The pens in the order of the numbers that a pedal or a key calls them by. */
const numbers = computed(() => boards.inWork.map(one => one.pen.id))
const saying = computed(() => {
  const one = first.value
  const soon = waiting.value.find(each => each.pen.id !== nextOne.value?.id)
  const then = soon && `${soon.pen.mark} at ${clockTime(soon.summary.wait?.until ?? '', now.value)}`
  if (!one) return then ? `next: ${then}` : ''
  if (!why.value || !nextOne.value) return ''
  const { mark, isBegun, doing } = nextOne.value
  return `next: ${mark}, ${isBegun ? '' : `not begun yet, ${doing}, `}${why.value}${then ? `; then ${then}` : ''}`
})
useWedge(
  {
    reading: () => undefined,
    key: (figure) => {
      const id = figure === '0' ? nextOne.value?.id : boards.inWork[Number(figure) - 1]?.pen.id
      if (id) void navigateTo(`/pens/${id}/work`)
    },
  },
  () => true,
)
const offers = computed(() => togetherOffers([...inWork.value, ...planned.value], now.value))
const freeLines = computed(() => free.value.map(one => ({ mark: one.pen.mark, words: one.summary.next?.title ?? '' })))
const dueLine = computed(() => {
  if (!due.value) return ''
  const { day, reason, open, all } = due.value
  return `Due ${dayWords(day)}${reason ? `, ${reason}` : ''}: ${open} of ${all} to go`
})
/** What is due follows when a pen is finished, or is no longer. */
watch(() => inWork.value.length, () => void loadDue().catch(() => undefined))
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded || !settled" class="quiet" role="status">Looking at the bench ...</p>
  <div v-else class="bench">
    <header>
      <h1>{{ heading }}</h1>
      <p class="quiet figures">{{ saying }}</p>
      <NuxtLink v-if="me.may('work')" class="key" to="/pens/new"><UIcon name="i-lucide-plus" aria-hidden="true" /> Start a pen</NuxtLink>
    </header>

    <section v-if="!inWork.length && !planned.length && !finished.length && !lacking" class="empty sheet">
      <h2>No pens yet</h2>
      <p>Choose a fitting, a material and a finish, and Oxlip works out the rest: lengths, diameters, grits, coats and waits.</p>
      <p class="ways">
        <NuxtLink v-if="me.may('work')" class="key next" to="/pens/new">Start the first pen</NuxtLink>
        <button v-if="workshops.demo" type="button" class="key" @click="enterWorkshop(workshops.demo.id)">Look at the demo</button>
      </p>
    </section>

    <BenchTogether v-if="offers.length" :offers="offers" />
    <BenchClockLine v-if="inWork.length" :bands="bands" :free="freeLines" />
    <section v-if="inWork.length" aria-label="In work">
      <ListRows :rows="rows" :id-of="one => one.pen.id" whole>
        <template #default="{ row, place, measured }">
          <BenchRow
            :ref="measured" :listed="row" :next="row.pen.id === first?.pen.id" :number="1 + numbers.indexOf(row.pen.id)"
            :ended="ended.includes(row.pen.mark)" v-bind="place"
          />
        </template>
      </ListRows>
    </section>
    <section v-if="boards.broken.length" aria-labelledby="broken">
      <h2 id="broken">Cannot be worked out</h2>
      <ul class="sheet rows">
        <li v-for="{ pen, why: says } in boards.broken" :key="pen.id">
          <NuxtLink :to="`/pens/${pen.id}`" class="broken">
            <PenTag :mark="pen.mark" /><b>{{ pen.name }}</b><span>{{ says }}</span>
          </NuxtLink>
        </li>
      </ul>
    </section>
    <p v-if="dueLine && due" class="quiet figures">
      {{ dueLine }}. <NuxtLink :to="{ path: '/evenings', query: { by: due.day } }">Can it be done?</NuxtLink>
    </p>
    <template v-if="me.may('all')">
      <BenchOrders />
      <BenchSaving />
    </template>
    <p v-if="lacking" class="quiet" role="status">Planned and finished pens could not be fetched. They are asked for again.</p>
    <section v-if="planned.length" aria-labelledby="planned">
      <h2 id="planned">Planned, not begun</h2>
      <ul class="sheet rows"><BenchRow v-for="one in planned" :key="one.pen.id" :listed="one" /></ul>
      <p v-if="plannedList.hasMore.value"><NuxtLink to="/pens?stage=planned">All planned pens</NuxtLink></p>
    </section>
    <section v-if="finished.length" aria-labelledby="finished">
      <h2 id="finished">Finished</h2>
      <ul class="sheet rows"><BenchRow v-for="one in finished" :key="one.pen.id" :listed="one" /></ul>
      <p v-if="finishedList.hasMore.value"><NuxtLink to="/pens?stage=finished">All finished pens</NuxtLink></p>
    </section>
  </div>
</template>

<style scoped>
.bench { display: grid; gap: 1.1rem; }
header { display: grid; grid-template-columns: 1fr auto; align-items: center; gap: 0.4rem 1.2rem; }
/* What is said changes when the order of the evening is worked out: it has a line of its own, so that nothing below it moves. */
header p { grid-column: 1 / -1; grid-row: 2; min-height: 1.6em; font-size: 1.1rem; line-height: 1.6; }
.rows { overflow: hidden; }
.broken {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem 1.2rem;
  min-height: 64px;
  padding: 0.6rem 1rem;
  color: var(--ink);
}
.broken > span:last-child { color: var(--ink-2); }
section h2 { margin: 0.6rem 0 0.5rem; }
.empty .ways { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.empty { display: grid; gap: 0.8rem; justify-items: start; padding: 1.5rem; max-width: 44rem; }
</style>
