<script setup lang="ts">
import { counted } from '#core/format'
import type { ClassPage, Pen, Seat } from '#contract'

/** Everybody of a class on one screen: where each is, who waits for a look, who was too early, what went wrong. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const people = usePeople()
const classes = useClasses()
const outbox = useOutbox()
const time = useRightTime()
const { minute: now } = useClock()
const page = shallowRef<ClassPage>()
const { failed, loaded, again } = useLoad(async () => {
  const [told] = await Promise.all([api('GET /api/classes/:id', { params: { id: id.value } }), people.people ? undefined : people.load()])
  page.value = told
})
useHead({ title: () => `${page.value?.entry.name ?? 'Class'} · Oxlip` })
/** What comes in from thirty benches is looked at anew at most so often, ms. */
const REST = 1500
const follow = atMostEvery(REST, again)
usePenRows().onTold((rows) => {
  const isHere = (pen: Pen) => pen.classId === id.value || page.value?.seats.some(seat => seat.pen.pen.id === pen.id)
  if (rows.some(({ pen }) => isHere(pen))) follow()
})
// What another teacher changes of the class itself, and the marks they give.
watch(() => classes.told, follow)

const isAsked = ({ standing }: Seat) => standing?.held?.what === 'look' && standing.held.since !== null
/** Those who wait for a look first, the longest first; then those something is wrong with; the others by their marks. */
const seats = computed(() => [...(page.value?.seats ?? [])].sort((a, b) => rank(a) - rank(b) || sinceOf(a).localeCompare(sinceOf(b))))
const rank = (seat: Seat) => (isAsked(seat) ? 0 : seat.standing?.held?.what === 'look' ? 1 : seat.defects ? 2 : 3)
const sinceOf = ({ standing }: Seat) => (standing?.held?.what === 'look' ? standing.held.since ?? '' : '')
const waiting = computed(() => seats.value.filter(seat => seat.standing?.held?.what === 'look'))
const says = computed(() => {
  const all = page.value?.seats ?? []
  const count = (of: (seat: Seat) => boolean) => all.filter(of).length
  return [
    counted(all.length, 'pen'), `${count(seat => seat.pen.summary.stage === 'finished')} finished`,
    `${waiting.value.filter(isAsked).length} waiting for you`, `${count(seat => Boolean(seat.standing?.early.length))} too early somewhere`,
  ].join(' · ')
})
async function see(these: readonly Seat[]) {
  const entered = these.flatMap(({ pen, standing }) =>
    (standing?.held?.what === 'look'
      ? [{ pen: pen.pen.id, entry: { kind: 'gate' as const, payload: { gate: standing.held.gate, how: 'seen' as const } } }]
      : []))
  await outbox.put(...asEvents(entered, time.ahead))
  await again()
}
const editing = ref(false)
const marking = ref<string>()
const isEnding = ref(false)
async function end(ended: boolean) {
  const { entry } = page.value ?? {}
  if (!entry) return
  const { version, name, work } = entry
  await api('PUT /api/classes/:id', { params: { id: id.value }, body: { version, name, work, ended } })
  isEnding.value = false
  await again()
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!page" class="quiet" role="status">Fetching the class ...</p>
  <div v-else class="all figures">
    <header>
      <h1>{{ page.entry.name }}</h1>
      <p class="quiet">{{ says }}</p>
    </header>
    <p class="keys">
      <button v-if="waiting.length" type="button" class="key next" @click="see(waiting)">
        Looked at, all who stand before a look: {{ waiting.length }}
      </button>
      <NuxtLink class="key" :to="`/classes/${id}/sheets`">Sheets</NuxtLink>
      <button type="button" class="key" @click="editing = !editing">How it works</button>
      <button v-if="!page.entry.ended" type="button" class="key" @click="isEnding = true">The class is over</button>
      <button v-else type="button" class="key" @click="end(false)">It goes on</button>
    </p>
    <p v-if="isEnding" role="alert" class="keys">
      Pupils may then change of their pens what they like. <button type="button" class="key" @click="end(true)">It is over</button>
      <button type="button" class="key" @click="isEnding = false">Not yet</button>
    </p>
    <ClassForm
      v-if="editing" :kept="page.entry" :people="people.people ?? []" @kept="editing = false; again()" @close="editing = false"
    />
    <ul class="sheet seats">
      <li v-for="seat in seats" :key="seat.pen.pen.id" :class="{ waits: isAsked(seat) }">
        <span class="who">
          <PenTag :mark="seat.pen.pen.mark" />
          <b>{{ people.nameOf(seat.person) }}</b>
        </span>
        <span class="where">
          <span>{{ seat.pen.summary.next?.title ?? (seat.pen.summary.stage === 'finished' ? 'Finished' : 'Not to be worked out') }}</span>
          <span class="quiet">{{ seat.pen.summary.stepsDone }} of {{ seat.pen.summary.stepsPlanned }} steps</span>
        </span>
        <span class="what">
          <span v-if="seat.standing && heldWords(seat.standing)">
            {{ heldWords(seat.standing) }}<template v-if="sinceOf(seat)">, since {{ clockTime(sinceOf(seat), now) }}</template>
          </span>
          <span v-for="one in seat.standing?.early ?? []" :key="one.gate" class="harm">
            ◆ too early: {{ workLabel(one.gate).toLowerCase() }}
          </span>
          <span v-if="seat.defects" class="harm">◆ {{ counted(seat.defects, 'defect') }} open</span>
        </span>
        <span class="keys">
          <button v-if="seat.standing?.held?.what === 'look'" type="button" class="key" @click="see([seat])">
            Looked at<span class="sr-only">, {{ people.nameOf(seat.person) }}</span>
          </button>
          <button type="button" class="key" @click="marking = marking === seat.pen.pen.id ? undefined : seat.pen.pen.id">
            Marks<span class="sr-only">, {{ people.nameOf(seat.person) }}</span>
          </button>
          <NuxtLink class="key" :to="`/pens/${seat.pen.pen.id}/work`">
            Help<span class="sr-only">, {{ people.nameOf(seat.person) }}</span>
          </NuxtLink>
        </span>
        <ClassMarks
          v-if="marking === seat.pen.pen.id" :id="id" :seat="seat" :criteria="page.entry.work.criteria" class="marks"
          @kept="page = $event; marking = undefined"
        />
      </li>
    </ul>
    <p v-if="!seats.length" class="quiet">Nobody has a pen in it yet.</p>
    <ClassMore :page="page" :people="people.people ?? []" @kept="page = $event" />
  </div>
</template>

<style scoped>
.all { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
header, .keys { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1rem; }
.keys { gap: 0.5rem; }
.seats li {
  display: grid;
  grid-template-columns: minmax(0, 14rem) minmax(0, 12rem) minmax(0, 1fr) auto;
  gap: 0.3rem 1rem;
  align-items: center;
  padding: 0.6rem 1.1rem;
}
.seats li + li { border-top: 1px solid var(--line); }
.seats li.waits { background: color-mix(in srgb, var(--oxlip) 45%, transparent); }
.who { display: flex; align-items: center; gap: 0.8rem; }
.where, .what { display: grid; }
.marks { grid-column: 1 / -1; }
@media (max-width: 900px) { .seats li { grid-template-columns: minmax(0, 1fr); } }
</style>
