<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import { answersOf, findingsOf, leftOut, record, type DefectState } from '#core/bench'
import { diagnose, OTHER, type RepairWay } from '#core/defects'
import { mendOptions, stepWords, trace, withRepairs, type MendOption } from '#core/plan'
import { formatSpan } from '#core/units'
import { causes, cautionsFor, defects as catalogue, evidence, leftMeans, repairRows } from '#reference'

/** Why a defect came about, as far as the log and a few questions tell, and what can be done now. */
const props = defineProps<{ defect: DefectState }>()
const emit = defineEmits<{ choose: [way: RepairWay], leave: [], later: [], answer: [question: string, answer: 'yes' | 'no' | 'not known'], judge: [cause: string | null], back: [], photo: [file: File] }>()
const { plan, state, traced, events, pen, elsewhere } = storeToRefs(usePen())
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const known = useDefects()
const photos = usePhotos()
const { now } = useClock()
const heading = useTemplateRef<HTMLElement>('heading')
onMounted(() => {
  heading.value?.focus()
  void known.load().catch(() => undefined)
})

const entry = computed(() => catalogue.find(row => row.kind === props.defect.kind)!)
const underWay = computed(() => state.value?.next?.id ?? null)

const why = computed(() => {
  if (!state.value || !plan.value) return undefined
  const told = record(plan.value, events.value, workshop.air, elsewhere.value)
  const { findings, asked } = answersOf(props.defect, evidence)
  return diagnose(props.defect.kind, causes, evidence, [...findingsOf(props.defect, state.value, told, events.value, workshop.air), ...findings], known.causesOf(props.defect.kind), asked)
})
const all = ref(false)
const ranked = computed(() => (why.value?.causes ?? []).filter((one, index) => all.value || index < 3 || one.id === props.defect.judged))
const likely = computed(() => why.value?.causes[0])

const tried = computed(() => props.defect.mends.filter(mend => mend.failed).map(mend => mend.way))
const ways = computed((): MendOption[] => {
  if (!plan.value || !state.value) return []
  const { id, kind, barrel, fromTip, size } = props.defect
  return mendOptions(plan.value, repairRows, {
    defect: { id, kind, barrel, fromTip, size }, key: 'look', underWay: underWay.value, tried: tried.value, leftOut: leftOut(state.value.steps),
    turned: state.value.steps.some(one => one.step.kind === 'turn' && !one.step.again && one.status === 'done'),
  }, known.recordOf)
})
const isScrap = (way: RepairWay) => way === 'new blank' || way === 'new pair'
const main = computed(() => ways.value.filter(one => !isScrap(one.way) || one.recommended))
const scrap = computed(() => ways.value.filter(one => isScrap(one.way) && !one.recommended))
const twoBarrels = computed(() => (plan.value?.inputs.fitting.barrels.length ?? 1) > 1)
const pairWords = (way: RepairWay) => !twoBarrels.value ? '' : way === 'new blank' ? 'Its pair stays as it is: from another piece the grain will not run on.' : 'Both halves from one stick: the grain runs on.'
/** The choices on the keyboard, one key each. */
const choices = computed(() => [...main.value, ...scrap.value].map((one, index) => ({ key: index < 9 ? String(index + 1) : '', one })))
const keyOf = (one: MendOption) => choices.value.find(choice => choice.one.way === one.way)?.key

const odds = (part: number) => part >= 0.9 ? 'nearly always works' : `works ${Math.round(part * 10)} times in 10`
function cost(one: MendOption): string {
  const film = Math.abs(one.film) >= 1 ? `film ${one.film > 0 ? '−' : '+'}${Math.abs(one.film).toFixed(0)} µm` : ''
  const wood = one.wood >= 1 ? `wood −${one.wood.toFixed(0)} µm` : ''
  return [`${formatSpan(Math.max(0, one.handsOn))} more work`, `${odds(one.chance)}${one.own ? `, ${one.own} of yours counted` : ''}`, wood, film].filter(Boolean).join(' · ')
}
/** What a mend does to the day it is due. */
const left = computed(() => {
  const rest = traced.value?.steps.filter(one => state.value?.steps.some(each => each.step.id === one.step.id && each.status === 'open')) ?? []
  return rest.length ? rest.at(-1)!.ends - rest[0]!.begins : 0
})
function due(one: MendOption): string {
  const ready = new Date(now.value.getTime() + (left.value + one.span) * 1000)
  const until = pen.value?.due ? new Date(`${pen.value.due}T23:59:59`) : undefined
  const said = `ready to hand over ${clockTime(ready, now.value)} at the earliest`
  if (!until) return one.span >= 60 ? `${said}, ${formatSpan(one.span)} later` : said
  return ready <= until ? `${said}: in time for ${dayWords(pen.value!.due!)}` : `${said}: too late for ${dayWords(pen.value!.due!)}`
}
/** The steps a way puts in, by their names, those alike counted; and the cautions they carry. */
const opened = ref<RepairWay>()
const shown = computed(() => opened.value ?? main.value[0]?.way)
const steps = computed(() => {
  const way = ways.value.find(one => one.way === shown.value)
  if (!way || !plan.value || !traced.value || !state.value) return { names: [], cautions: [] as string[] }
  const { id, kind, barrel, fromTip, size } = props.defect
  const mended = withRepairs(plan.value, [{ defect: id, kind, barrel, fromTip, size, way: way.way, key: 'look', step: underWay.value }])
  const whole = trace(mended, leftOut(state.value.steps))
  const own = whole.steps.filter(one => one.step.mend === 'look')
  const names: { name: string, times: number }[] = []
  for (const one of own) {
    const name = stepWords(mended, one, units.value, whole).title.replace(/, coat \d+$/, '')
    if (names.at(-1)?.name === name) names.at(-1)!.times++
    else names.push({ name, times: 1 })
  }
  return { names, cautions: [...new Set(own.flatMap(one => cautionsFor(one.step).slice(0, 1).map(caution => caution.short)))] }
})
useWorkKeys(Object.fromEntries(Array.from({ length: 9 }, (_, index) => [String(index + 1), () => {
  const choice = choices.value[index]
  if (choice) emit('choose', choice.one.way)
}])), () => true)

function take(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) emit('photo', file)
}
</script>

<template>
  <section class="mend sheet figures" aria-labelledby="mend" @keydown.esc="emit('later')">
    <header>
      <DefectPicture :kind="defect.kind" class="drawn" />
      <div>
        <h2 id="mend" ref="heading" tabindex="-1">{{ entry.name }}</h2>
        <p class="quiet">{{ units.length(defect.size, defect.size < 1 ? 2 : 1) }}, {{ barrelNames[defect.barrel] }}, {{ units.length(defect.fromTip, 1) }} from its tip end, {{ clockTime(defect.at, now) }}</p>
        <p v-if="tried.length" class="harm">◆ Tried already: {{ tried.join(', ') }}. It still shows.</p>
      </div>
      <span class="photos">
        <a v-for="photo in defect.photos" :key="photo" :href="photos.urlOf(photo, 'large')" target="_blank" rel="noopener"><img :src="photos.urlOf(photo)" alt="The defect, opens large"></a>
        <label class="key"><UIcon name="i-lucide-camera" aria-hidden="true" /> Photo<input type="file" accept="image/*" capture="environment" class="sr-only" @change="take"></label>
      </span>
    </header>
    <div class="both">
      <section aria-labelledby="why">
        <h3 id="why">Why</h3>
        <div v-if="why?.question && !defect.judged" class="question" role="group" aria-labelledby="ask">
          <p id="ask">{{ why.question.ask }}</p>
          <button v-for="[said, words] in ([['yes', 'Yes'], ['no', 'No'], ['not known', 'Not known']] as const)" :key="said" type="button" class="key" @click="emit('answer', why.question.id, said)">{{ words }}</button>
        </div>
        <ol class="causes" aria-label="Causes, the likeliest first">
          <li v-for="one in ranked" :key="one.id" :class="{ judged: one.id === defect.judged }">
            <div class="cause">
              <b>{{ one.says }}</b><span class="odds">{{ Math.round(100 * one.chance) }} %</span>
              <i aria-hidden="true" :style="{ width: `${100 * one.chance}%` }" />
            </div>
            <p v-for="finding in one.for.slice(0, 3)" :key="finding.evidence" class="for">+ {{ finding.says }}</p>
            <p v-for="finding in one.against.slice(0, 2)" :key="finding.evidence" class="against">− {{ finding.says }}</p>
            <button type="button" class="say" :aria-pressed="one.id === defect.judged" @click="emit('judge', one.id === defect.judged ? null : one.id)">{{ one.id === defect.judged ? 'Judged so' : 'It was this' }}</button>
          </li>
        </ol>
        <p class="more">
          <button type="button" class="say" @click="all = !all">{{ all ? 'Fewer causes' : 'All causes' }}</button>
          <button type="button" class="say" :aria-pressed="defect.judged === 'not known'" @click="emit('judge', defect.judged === 'not known' ? null : 'not known')">Not known</button>
        </p>
        <p v-if="likely && likely.id !== OTHER && likely.avoid" class="quiet">Next time: {{ likely.avoid }}</p>
        <p class="quiet small">Common practice, weighed with our own starting figures{{ Object.keys(known.causesOf(defect.kind)).length ? ' and your own judgements' : '' }}.</p>
      </section>
      <section aria-labelledby="now">
        <h3 id="now">What now</h3>
        <p v-if="!ways.length" class="quiet">Nothing on the shelf mends it here: leave it, or come back to it later.</p>
        <ul class="ways">
          <li v-for="one in main" :key="one.way">
            <button type="button" class="key" :class="{ next: one.recommended }" @click="emit('choose', one.way)">
              <b>{{ one.says }}</b><kbd>{{ keyOf(one) }}</kbd>
              <span>{{ one.why }}. {{ isScrap(one.way) ? pairWords(one.way) : '' }}</span>
              <span>{{ cost(one) }}</span>
              <span>{{ due(one) }}</span>
              <span v-if="one.recommended && main.length > 1"><em>First, because it is the least work to be expected, a failed mend counted as a new barrel.</em></span>
            </button>
            <button v-if="shown !== one.way" type="button" class="say" @click="opened = one.way">Its steps</button>
            <div v-else-if="steps.names.length" class="steps quiet">
              <p><template v-for="(step, index) in steps.names" :key="index">{{ index ? ' · ' : '' }}{{ step.name }}{{ step.times > 1 ? ` × ${step.times}` : '' }}</template></p>
              <p v-for="caution in steps.cautions" :key="caution" class="harm">◆ {{ caution }}</p>
            </div>
          </li>
        </ul>
        <p class="other">
          <button type="button" class="key" @click="emit('leave')"><span><b>Leave it</b><small>{{ leftMeans[defect.kind] }}</small></span></button>
          <button v-for="one in scrap" :key="one.way" type="button" class="key" @click="emit('choose', one.way)"><span><b>{{ one.says }}</b><small>{{ formatSpan(Math.max(0, one.handsOn)) }} more work. {{ pairWords(one.way) }}</small></span><kbd>{{ keyOf(one) }}</kbd></button>
          <button type="button" class="key" @click="emit('later')"><span><b>Later</b><small>It stays open, and comes back</small></span><kbd>esc</kbd></button>
          <button type="button" class="key" @click="emit('back')"><span><b>Take back</b><small>The last entry</small></span></button>
        </p>
      </section>
    </div>
  </section>
</template>

<style scoped>
.mend { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.8rem; padding: 1rem 1.25rem; }
header { display: flex; flex-wrap: wrap; gap: 0.4rem 1.1rem; align-items: center; }
.drawn { width: 6.4rem; flex: none; }
h2 { font-size: 1.9rem; outline: none; }
h3 { font: 700 1.2rem var(--font-head); color: var(--ink-2); margin-bottom: 0.3rem; }
.photos { display: flex; gap: 0.5rem; margin-left: auto; align-items: center; }
.photos .key { position: relative; min-height: 64px; }
.photos img { height: 64px; border-radius: 6px; }
.both { display: grid; grid-template-columns: minmax(0, 5fr) minmax(0, 7fr); gap: 0.8rem 1.8rem; align-items: start; }
.question { display: flex; flex-wrap: wrap; gap: 0.4rem; margin-bottom: 0.6rem; padding: 0.6rem 0.8rem; border: 2px solid var(--ink-2); border-radius: 8px; }
.question p { flex: 1 1 100%; font-size: 1.15rem; line-height: 1.25; }
.question .key { min-height: 64px; flex: 1; }
.causes { display: grid; gap: 0.5rem; }
.cause { position: relative; display: flex; justify-content: space-between; gap: 1rem; padding-bottom: 0.4rem; font-size: 1.1rem; }
.cause i { position: absolute; left: 0; bottom: 0; height: 5px; border-radius: 3px; background: var(--wait); }
.causes li.judged .cause i { background: var(--leaf); }
.odds { white-space: nowrap; }
.for, .against { font-size: 0.98rem; line-height: 1.3; }
.for { color: var(--ink); }
.against { color: var(--ink-2); }
.say { min-height: 44px; padding: 0 0.7rem 0 0; color: var(--ink-2); text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
.say[aria-pressed=true] { color: var(--leaf); font-weight: 700; }
.more { display: flex; gap: 0.8rem; }
.small { font-size: 0.9rem; }
.ways { display: grid; gap: 0.5rem; }
.ways .key { display: grid; grid-template-columns: minmax(0, 1fr) auto; justify-items: start; width: 100%; min-height: 64px; padding: 0.55rem 0.9rem; gap: 0 0.8rem; text-align: left; line-height: 1.3; }
.ways b { font: 700 1.25rem/1.2 var(--font-head); }
.ways span { grid-column: 1 / -1; color: var(--ink-2); font-weight: 400; }
.ways .next span { color: var(--on-oxlip-2); }
em { font-style: normal; }
kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); }
.next kbd { color: var(--on-oxlip-2); }
.steps { margin: 0.3rem 0.9rem 0.2rem; font-size: 0.98rem; }
.ways .say { padding-left: 0.9rem; }
.other { display: grid; grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr)); gap: 0.5rem; }
.other .key { min-height: 64px; justify-content: space-between; text-align: left; padding: 0.4rem 0.9rem; }
.other .key > span { display: grid; line-height: 1.25; }
.other small { color: var(--ink-2); }
@media (max-width: 820px) { .both { grid-template-columns: minmax(0, 1fr); } .photos { margin-left: 0; } }
@media (hover: none) and (max-width: 1100px) { kbd { display: none; } }
</style>
