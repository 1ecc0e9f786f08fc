<script setup lang="ts">
import { isResin } from '#core/shelf'
import { nth } from '#core/sure'
import { format } from 'date-fns'
import { isUnlogged, record, type BenchEvent, type DefectState } from '#core/bench'
import { barrelNames } from '#core/barrel'
import { checksFor, stepWords } from '#core/plan'
import { formatSpan } from '#core/format'

const store = usePen()
const { pen, plan, planned, board, traced, state, elsewhere, air, measured, events } = storeToRefs(store)
const stock = useStock()
const blank = computed(() => stock.blank(pen.value?.blank ?? null))
const { units } = storeToRefs(useWorkshop())
const { minute: now } = useClock()

const told = computed(() => board.value && record(board.value.state, board.value.traced, air.value, elsewhere.value))
const rows = computed(() => {
  if (!told.value || !board.value) return []
  const { state, traced } = board.value
  const { plan } = state
  const unlogged = isUnlogged(state)
  return told.value.rows
    .map((row, index) => ({ row, words: stepWords(plan, nth(traced.steps, index), units.value, traced) }))
    .filter(({ row }) => row.status !== 'open' && !unlogged(row.step.id))
})
const waits = computed(() => {
  const kept = rows.value.flatMap(({ row }) => (row.wait ? [row.wait] : []))
  return { all: kept.length, short: kept.filter(wait => wait.shortBy > 0).length }
})
const plannedTime = computed(() => rows.value.reduce((sum, { row }) => sum + (row.status === 'done' ? row.planned : 0), 0))
const takenBack = computed(() => state.value?.log.filter(entry => !entry.inForce && entry.event.kind !== 'undo') ?? [])
const failed = computed(() => {
  const noes = (told.value?.checks ?? []).filter(one => one.answer === 'no')
  return noes.map(one => ({ step: one.step, ask: askOf(one) }))
})
function askOf({ step: id, check }: { step: string, check: string }): string {
  if (!board.value) return check
  const { state: { plan }, traced } = board.value
  const step = plan.steps.find(each => each.id === id)
  return (step && checksFor(plan, step, traced, units.value).find(one => one.id === check)?.ask) ?? check
}
const costed = computed(() => {
  if (!told.value || !board.value) return undefined
  const { state: { plan }, traced } = board.value
  return { plan, traced, handsOn: told.value.handsOn, isDone: true, ...sharedBlank(blank.value, traced) }
})
const photos = usePhotos()
const me = useMe()
/** The pen as it is drawn, with its defects and what was measured. */
const drawing = useTemplateRef('drawing')
const { picture } = useRemark()
/** Pictures of its life, from the wood to the finished pen. */
const pictures = computed(() => {
  if (!state.value) return []
  const of = blank.value
  const wood = of?.photo ? [{ photo: of.photo, at: null, says: `The wood: ${of.name}` }] : []
  const found = state.value.defects.flatMap(({ photos: own, kind, at }) => own.map(photo => ({ photo, at, says: defectName(kind) })))
  const taken = state.value.remarks.flatMap(({ photo, at, text }) => (photo ? [{ photo, at, says: text }] : []))
  return [...wood, ...[...found, ...taken].sort((a, b) => (a.at < b.at ? -1 : 1))]
})
/** Whether the whole log was asked for. */
const logged = ref(false)
/** What an entry that was taken back was about. */
function aboutOf(event: BenchEvent): string {
  if (event.kind === 'defect') return defectName(event.payload.kind)
  return 'step' in event.payload && event.payload.step ? stepTitle(event.payload.step) : entryWords(event)
}
const STATUS = { open: 'open', mending: 'being mended', mended: 'mended', left: 'left as it is' }
function mendWords({ mends, judged }: DefectState): string {
  const ways = mendsWords(mends)
  return `${ways ? `, ${ways}` : ''}${judged ? `. Cause: ${causeName(judged).toLowerCase()}` : ''}`
}
const stepTitle = (id: string) =>
  rows.value.find(({ row }) => row.step.id === id)?.words.title ?? traced.value?.steps.find(one => one.step.id === id)?.step.kind ?? id
</script>

<template>
  <div v-if="pen && plan && state && told" class="record figures">
    <PenHead :pen="pen" />
    <div ref="drawing">
      <PenStrip
        :fitting="plan.inputs.fitting" :colour="plan.inputs.material.colour" :resin="isResin(plan.inputs.material)"
        :shapes="plan.inputs.wishes.shapes" :measured="measured" :defects="state.defects" size="head"
        :label="`${plan.inputs.fitting.name} in ${plan.inputs.material.name}, to scale, with ${state.defects.length} defects noted`"
      />
    </div>

    <p v-if="blank?.origin" class="quiet wood">{{ blank.origin }}</p>
    <section v-if="pictures.length" aria-label="Pictures">
      <ol class="life">
        <li v-for="one in pictures" :key="one.photo">
          <figure>
            <a :href="photos.urlOf(one.photo, 'large')" target="_blank" rel="noopener">
              <img :src="photos.urlOf(one.photo)" :alt="`${one.says}, opens large`">
            </a>
            <figcaption>{{ one.at ? `${one.says}, ${clockTime(one.at, now)}` : one.says }}</figcaption>
          </figure>
        </li>
      </ol>
    </section>
    <section v-if="!rows.length && !state.made" class="empty sheet">
      <p>Nothing is entered yet. The record writes itself while the pen is worked.</p>
      <NuxtLink class="key next" :to="`/pens/${pen.id}/work`">Begin at the bench</NuxtLink>
    </section>
    <template v-else>
      <div class="over">
        <dl class="sums">
          <template v-if="state.made">
            <div v-if="state.made.minutes"><dd>{{ formatSpan(told.handsOn) }}</dd><dt>hands on</dt></div>
            <div v-if="state.made.coats !== null">
              <dd>{{ state.made.coats }}</dd><dt>{{ state.made.coats === 1 ? 'coat' : 'coats' }}</dt>
            </div>
            <div v-for="kind in state.made.defects" :key="kind"><dd>◆</dd><dt>{{ defectName(kind) }}</dt></div>
          </template>
          <template v-else>
            <div><dd>{{ formatSpan(told.handsOn) }}</dd><dt>hands on, {{ formatSpan(plannedTime) }} planned</dt></div>
            <div v-if="told.coats.planned"><dd>{{ told.coats.on }} of {{ told.coats.planned }}</dd><dt>coats</dt></div>
            <div><dd>{{ waits.all - waits.short }} of {{ waits.all }}</dd><dt>waits kept</dt></div>
            <div><dd>{{ told.defects.length }}</dd><dt>{{ told.defects.length === 1 ? 'defect' : 'defects' }}</dt></div>
          </template>
          <div v-if="told.ended">
            <dd>{{ format(new Date(told.ended), state.made ? 'd MMM yyyy' : 'd MMM HH:mm') }}</dd><dt>finished</dt>
          </div>
        </dl>
        <PersonBy :events="events" :maker="pen.maker" />
        <p class="save">
          <FieldCamera label="Add a picture" @taken="picture" />
          <NuxtLink class="key" :to="`/pens/${pen.id}/papers`">Papers</NuxtLink>
          <FieldSaveSvg :within="drawing" :name="`${pen.mark}-as-it-went`" />
          <a class="key" :href="addressHere(`/api/pens/${pen.id}/record.json`)" download>Save as JSON</a>
          <a class="key" :href="addressHere(`/api/pens/${pen.id}/record.csv`)" download>Save as CSV</a>
        </p>
      </div>
      <PenLink v-if="me.may('all')" :pen="pen.id" />
      <PenLeave v-if="me.may('all') && (state.finished || state.gone || state.returns.length)" :pen="pen" :state="state" />
      <RecordStory :told="told" :state="state" :air="air" :title-of="stepTitle" />
      <RecordSurface v-if="planned && traced && rows.length" :planned="planned" :state="state" :traced="traced" />
      <section v-if="rows.length" aria-labelledby="table">
        <h2 id="table">Step by step</h2>
        <RecordTable :rows="rows" />
      </section>
      <section v-if="costed && rows.length && me.may('money')" aria-labelledby="cost">
        <h2 id="cost">What it cost</h2>
        <PlanCost v-bind="costed" />
      </section>
      <section v-if="told.defects.length" aria-labelledby="defects">
        <h2 id="defects">Defects</h2>
        <ul>
          <li v-for="defect in told.defects" :key="defect.id">
            <b>{{ defectName(defect.kind) }}</b>, {{ units.length(defect.size, 1) }}, {{ barrelNames[defect.barrel] }},
            {{ units.length(defect.fromTip, 1) }} from its tip end, {{ clockTime(defect.at, now) }}:
            <b>{{ STATUS[defect.status] }}</b>{{ mendWords(defect) }}
            <a v-for="photo in defect.photos" :key="photo" :href="photos.urlOf(photo, 'large')" target="_blank" rel="noopener">
              <img :src="photos.urlOf(photo)" alt="The defect, opens large" class="shot">
            </a>
          </li>
        </ul>
      </section>
      <section v-if="state.measured.length" aria-labelledby="measured">
        <h2 id="measured">Diameters measured</h2>
        <ul>
          <li v-for="one in state.measured" :key="one.id">
            <b>{{ units.length(one.diameter) }}</b>, {{ barrelNames[one.barrel] }}, {{ units.length(one.fromTip, 1) }} from its tip end,
            {{ clockTime(one.at, now) }}, {{ stepTitle(one.step).toLowerCase() }}
          </li>
        </ul>
      </section>
      <section v-if="failed.length" aria-labelledby="looked">
        <h2 id="looked">Looked at, and answered no</h2>
        <ul><li v-for="one in failed" :key="one.step + one.ask"><b>{{ stepTitle(one.step) }}:</b> {{ one.ask }} No.</li></ul>
      </section>
      <section v-if="state.offPlan.length" aria-labelledby="off">
        <h2 id="off">Entered for an older plan</h2>
        <ul class="quiet">
          <li v-for="event in state.offPlan" :key="event.id">
            {{ clockTime(event.at, now) }}, {{ event.kind }} {{ 'step' in event.payload ? event.payload.step : '' }}
          </li>
        </ul>
      </section>
      <details class="all" @toggle="logged = true">
        <summary class="opens">Put something right: a time, a pen, something forgotten</summary>
        <LazyPenLog v-if="logged" />
      </details>
      <section v-if="takenBack.length" aria-labelledby="back">
        <h2 id="back">Taken back</h2>
        <ul class="quiet">
          <li v-for="{ event } in takenBack" :key="event.id">
            {{ clockTime(event.at, now) }},
            {{ aboutOf(event) }}
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.record { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
.wood { white-space: pre-line; font-style: italic; }
.life { display: flex; gap: 1rem; overflow-x: auto; padding-bottom: 0.3rem; }
.life img { height: 9rem; max-width: none; border-radius: 8px; }
.life figure { display: grid; gap: 0.2rem; width: min-content; min-width: 8rem; }
figcaption { font-size: 0.95rem; }
.over { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem; }
.sums { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 1.3rem; }
.sums > div { display: flex; align-items: baseline; gap: 0.5rem; }
.sums dd { font: 700 1.4rem var(--font-head); }
.sums dt { order: 2; color: var(--ink-2); }
.save { display: flex; flex-wrap: wrap; gap: 0.6rem; margin-left: auto; }
.shot { display: inline-block; height: 4rem; border-radius: 6px; vertical-align: middle; }
h2 { margin-bottom: 0.4rem; }
.empty { display: grid; gap: 0.8rem; justify-items: start; padding: 1.25rem; }
@media (max-width: 640px) {
  .save { margin-left: 0; }
}
</style>
