<script setup lang="ts">
import { useWakeLock } from '@vueuse/core'
import { barrelNames } from '#core/barrel'
import { isOpen, type DefectState } from '#core/bench'
import { airFaults } from '#core/climate'
import type { Defect, DefectKind, RepairWay } from '#core/defects'
import { checksFor, earlyAdvice, judgeSpeed, keepsUntil, lateAdvice, leastFilm, type DiameterReading } from '#core/plan'
import { formatSpan, parseLength } from '#core/units'
import { defects as catalogue } from '#reference'

definePageMeta({ layout: 'work' })
const store = usePen()
const { pen, plan, traced, state, measured } = storeToRefs(store)
const stock = useStock()
const outbox = useOutbox()
const unsent = useUnsent()
const photos = usePhotos()
const live = useLive()
const time = useRightTime()
const pens = usePens()
const boards = useBenchPens()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const { now } = useClock()
const { wish } = useTheme()
const { bands, next: nextOne, why } = useBench()
const { next, words, place, caution, wait, doneKey, done, coat, skip, takeBack, putBack } = useWork()
const { quiet, ended } = useAlarms()
useLoad(pens.load)

/** The screen stays awake while work runs. */
const wake = useWakeLock()
onMounted(() => void wake.request('screen').catch(() => undefined))
onBeforeUnmount(() => void wake.release().catch(() => undefined))

/** What is noted now: a defect with its kinds in question, or nothing. And the defect that is being judged and mended. */
const noting = ref<readonly DefectKind[]>()
const judging = ref<string>()
watch(() => pen.value?.id, () => {
  noting.value = undefined
  judging.value = undefined
})
const open = computed(() => state.value?.defects.filter(isOpen) ?? [])
/** Mends under way or just over, until somebody says that it is gone or still shows. */
const mends = computed(() => state.value?.defects.filter(one => one.status === 'mending' || (one.status === 'mended' && one.mends.at(-1)?.done && one.settledAt === one.mends.at(-1)?.done)) ?? [])
const mending = computed(() => state.value?.defects.find(one => one.id === judging.value && one.status !== 'left'))
/** Before the ladder, the coats, the press and the hand over an open defect comes back once by itself. */
const put = ref(new Set<string>())
const COMES_BACK = ['sand', 'clean', 'ends', 'check']
watch(() => next.value?.step.id, () => {
  measuring.value = false
  const step = next.value?.step
  const found = step && COMES_BACK.includes(step.kind) && !step.mend ? open.value.find(one => one.step !== step.id && !put.value.has(`${one.id} ${step.kind}`)) : undefined
  if (!found || !step) return
  put.value.add(`${found.id} ${step.kind}`)
  judging.value = found.id
})

const everybody = computed(() => {
  const own = wait.value && !wait.value.over && pen.value && words.value
    ? [{ pen: pen.value.id, mark: pen.value.mark, words: words.value.title, from: new Date(wait.value.from), until: new Date(wait.value.until) }]
    : []
  return [...own, ...bands.value.filter(band => band.pen !== pen.value?.id)]
})
/** The yellow key is the next thing to do: not while this pen waits and another one comes first. */
const elsewhere = computed(() => Boolean(wait.value && !wait.value.over && nextOne.value && nextOne.value.pen !== pen.value?.id))
const line = computed(() => {
  const step = place.value ? `Next, ${place.value}` : 'Next'
  if (!wait.value) return step
  return wait.value.over ? `${step}, ready since ${wait.value.ready}` : `Wait, then ${place.value || 'next'}`
})
const nameOf = (kind: string) => catalogue.find(row => row.kind === kind)!.name
const where = (defect: Defect) => `${nameOf(defect.kind)}, ${units.value.length(defect.size, defect.size < 1 ? 2 : 1)}, ${barrelNames[defect.barrel]}, ${units.value.length(defect.fromTip, 1)} from its tip end`
const lastEntry = computed(() => state.value?.log.findLast(entry => entry.inForce && entry.event.kind !== 'undo')?.event)

function note(found: Omit<Defect, 'id'>) {
  noting.value = undefined
  judging.value = store.enter({ kind: 'defect', payload: { ...found, step: state.value?.next?.id ?? null } }, [found.barrel])
}
const settle = (defect: DefectState, how: 'mended' | 'left' | 'failed') => {
  store.enter({ kind: 'settle', payload: { defect: defect.id, how } }, [defect.barrel])
  judging.value = how === 'failed' ? defect.id : undefined
}
function mend(way: RepairWay) {
  const defect = mending.value
  if (defect) store.enter({ kind: 'repair', payload: { defect: defect.id, way, step: next.value?.step.id ?? null } }, [defect.barrel])
  judging.value = undefined
}
const answerWhy = (question: string, answer: 'yes' | 'no' | 'not known') => store.enter({ kind: 'answer', payload: { defect: judging.value!, question, answer } })
const judge = (cause: string | null) => store.enter({ kind: 'judge', payload: { defect: judging.value!, cause } })
async function photograph(file: File) {
  const defect = judging.value
  if (defect) store.enter({ kind: 'photo', payload: { defect, photo: await photos.keep(file) } })
}

const checks = computed(() => plan.value && traced.value && next.value ? checksFor(plan.value, next.value.step, traced.value, units.value) : [])
/** An answer is kept; one that may tell of a defect asks at once what and where it is. */
function answer(check: string, said: 'yes' | 'no') {
  if (!next.value) return
  store.enter({ kind: 'check', payload: { step: next.value.step.id, check, answer: said } }, next.value.step.barrels)
  const tells = said === 'no' && checks.value.find(one => one.id === check)?.defects
  if (tells) noting.value = tells
}

/** Steps at whose end diameters are measured as a matter of course; elsewhere a key opens it. */
const measuring = ref(false)
const measures = computed(() => measuring.value || Boolean(next.value && ['turn', 'check'].includes(next.value.step.kind)))
const filming = computed(() => next.value && ['coat', 'level'].includes(next.value.step.phase))
/** What the air would do to the coat that is next, before its bottle is opened; and whether the bottle is past its time. */
const warnings = computed(() => {
  const step = next.value?.step
  const air = workshop.workshop
  if (step?.kind !== 'coat' || !air) return []
  const faults = airFaults(air, step.product.setsBy ?? 'warmth').map(fault => `${fault.says} ${fault.remedy}`)
  const until = keepsUntil(step.product)
  if (until && new Date().toISOString().slice(0, 10) > until) faults.push(`This bottle keeps until about ${until}: try a drop on scrap first.`)
  if (step.product.bottle?.opened === null) faults.push('The bottle is still sealed: note on the shelf that you open it today.')
  return faults
})
/** The last step, if it went on too early or too late. */
const lastOff = computed(() => {
  const last = state.value?.steps.findLast(one => one.status !== 'open')
  return last && state.value?.offTime.find(one => one.step === last.step.id)
})

/** What stands beside the next action: things to look at and to measure. */
const beside = computed(() => checks.value.length > 0 || measures.value || (next.value && ['sand', 'level'].includes(next.value.step.kind)))
function look(said: 'not yet' | 'cannot tell') {
  if (next.value?.step.kind === 'sand') store.enter({ kind: 'look', payload: { step: next.value.step.id, answer: said } }, next.value.step.barrels)
}
function measure(reading: DiameterReading) {
  store.enter({ kind: 'measure', payload: reading }, [reading.barrel])
}
/** A reading that was kept may tell how the coats build: the fit is asked for anew once the server has it. */
watch(() => outbox.pending.length, (left, before) => {
  if (filming.value && before && !left) void workshop.learn().catch(() => undefined)
})

/** Instruments: only the screen that a hand was last at takes what they send. */
const front = useFront()
const stations = useTemplateRef<{ take: (mm: number) => void }>('stations')
async function reading(mm: number) {
  if (noting.value || mending.value || !next.value) return
  if (!measures.value) measuring.value = true
  await nextTick()
  stations.value?.take(mm)
}
useCalliper((mm) => {
  if (front() && !document.activeElement?.closest('[data-measure]')) void reading(mm)
})
usePedal(() => {
  if (front() && !noting.value && !mending.value) done()
})
const spindle = useTachometer()
const speed = computed(() => spindle.value !== undefined && plan.value && traced.value && next.value ? judgeSpeed(plan.value, next.value.step, traced.value, spindle.value) : undefined)

/** The step before the next one, for the section as it stands now. */
const before = computed(() => {
  const at = traced.value?.steps.findIndex(one => one.step.id === next.value?.step.id) ?? -1
  return at > 0 ? traced.value!.steps[at - 1]!.step.id : null
})
const blank = computed(() => stock.blank(pen.value?.blank ?? null))

const help = ref(false)
function goTo(id: string | undefined) {
  if (id && id !== pen.value?.id) void navigateTo(`/pens/${id}/work`, { replace: true })
}
useWedge({
  reading: (text) => {
    try {
      void reading(parseLength(text, units.value.bare))
    } catch {
      // Not a length after all: figures that nobody asked for.
    }
  },
  key: figure => figure === '0' ? goTo(nextOne.value?.pen) : goTo(boards.inWork[Number(figure) - 1]?.pen.id),
}, () => !noting.value && !mending.value)
useWorkKeys({
  'n': () => look('not yet'),
  't': () => look('cannot tell'),
  'm': () => {
    measuring.value = !measuring.value
  },
  ' ': done,
  'c': coat,
  'w': () => {
    noting.value = []
  },
  'z': takeBack,
  'y': putBack,
  'x': skip,
  'q': () => {
    quiet.value = !quiet.value
  },
  '?': () => {
    help.value = true
  },
}, () => !noting.value && !mending.value)
const skew = computed(() => time.ahead ? `This device’s clock is ${formatSpan(Math.abs(time.ahead) / 1000)} ${time.ahead > 0 ? 'ahead' : 'behind'}; Oxlip goes by the workshop’s.` : '')
</script>

<template>
  <div v-if="pen && plan && traced && state" class="work figures">
    <header>
      <NuxtLink :to="`/pens/${pen.id}`" class="pen"><PenTag :mark="pen.mark" size="head" /><h1>{{ pen.name }}</h1></NuxtLink>
      <PenStrip class="strip" :fitting="plan.inputs.fitting" :colour="plan.inputs.material.colour" :resin="plan.inputs.material.classes.includes('resin')" :shapes="plan.inputs.wishes.shapes" :measured="measured" :defects="state.defects" size="work" :label="`${plan.inputs.fitting.name} in ${plan.inputs.material.name}`" />
      <p class="air quiet">
        {{ clockTime(now, now) }}<template v-if="workshop.workshop"> · {{ units.temperature(workshop.workshop.celsius) }} · {{ workshop.workshop.humidity.toFixed(0) }} %</template>
        <span v-if="unsent" role="status"> · {{ unsent }} not sent yet</span><span v-else-if="!live.connected" role="status"> · not connected</span>
        <span v-if="skew" class="skew"> · {{ skew }}</span>
      </p>
      <nav aria-label="Away from here">
        <NuxtLink to="/">Bench</NuxtLink><NuxtLink :to="`/pens/${pen.id}`">Plan</NuxtLink><NuxtLink :to="`/pens/${pen.id}/record`">Record</NuxtLink>
        <button type="button" @click="wish = wish === 'light' ? 'dark' : 'light'">{{ wish === 'light' ? 'Dark' : 'Light' }}</button>
        <button type="button" :aria-pressed="quiet" :title="quiet ? 'The bell is off' : 'The bell is on'" @click="quiet = !quiet"><UIcon :name="quiet ? 'i-lucide-bell-off' : 'i-lucide-bell'" aria-hidden="true" /><span class="sr-only">Bell {{ quiet ? 'off' : 'on' }}</span></button>
        <button type="button" @click="help = true">Keys</button>
      </nav>
    </header>
    <p v-if="outbox.unkept && outbox.pending.length" class="harm" role="alert">◆ This browser keeps nothing by itself (a private window, or its store is full): leave this page open until everything is sent.</p>
    <p v-if="outbox.trouble" class="harm" role="alert">◆ {{ outbox.trouble }} It is kept here and will be sent again.</p>

    <WorkPens v-if="!noting && !mending" :here="pen.id" :boards="boards.inWork" :next="nextOne?.pen" :why="why" :ended="ended" :away="elsewhere" />

    <WorkDefect v-if="noting" :plan="plan" :step="next?.step.id ?? null" :looks="noting" @note="note" @close="noting = undefined" />

    <WorkMend v-else-if="mending" :key="mending.id" :defect="mending" @choose="mend" @leave="settle(mending, 'left')" @later="judging = undefined" @answer="answerWhy" @judge="judge" @photo="photograph" @back="takeBack" />

    <section v-else-if="next && words" class="next" :class="{ looking: beside }" aria-live="polite">
      <div class="say">
        <p class="lead">{{ line }}</p>
        <p class="title">{{ words.title }}</p>
        <p class="how">{{ words.how }}</p>
        <p class="why">{{ words.why }}</p>
        <div v-if="wait && !wait.over" class="wait" aria-live="off">
          <span class="count" role="timer">{{ wait.countdown }}</span>
          <span class="until"><b>ready {{ wait.ready }}</b><FigureOpen :figure="wait.length">{{ formatSpan(wait.length.value) }} in this air</FigureOpen></span>
        </div>
        <p v-else class="takes">about <FigureOpen :figure="next.handsOn" /></p>
        <p v-if="wait?.late" class="harm told" role="status">◆ Past its latest time. {{ lateAdvice(wait.purpose) }}</p>
        <p v-else-if="wait?.over && wait.latest" class="told quiet">At the latest by {{ clockTime(wait.latest, now) }}.</p>
        <p v-if="lastOff" class="harm told" role="status">◆ {{ formatSpan(lastOff.by) }} too {{ lastOff.when }}. {{ lastOff.when === 'early' ? earlyAdvice(lastOff.purpose) : lateAdvice(lastOff.purpose) }}</p>
        <p v-if="speed && spindle !== undefined" class="told" :class="speed.within ? 'quiet' : 'harm'" role="status">{{ speed.within ? '' : '◆ ' }}{{ spindle }} rev/min. {{ speed.says }}</p>
        <p v-for="warning in warnings" :key="warning" class="harm told">◆ {{ warning }}</p>
      </div>
      <aside v-if="beside" class="beside" aria-label="To look at and to measure">
        <BarrelStick v-if="['cut', 'drill'].includes(next.step.kind) && !next.step.again" :stick="traced.stick" :mark="pen.mark" :colour="plan.inputs.material.colour" :section="traced.size.section.value" :drilled="next.step.kind === 'drill'" label="The stick to scale, with its cuts, the witness mark and from where it is drilled" />
        <PlanParts v-if="next.step.kind === 'parts'" :fitting="plan.inputs.fitting" class="parts" />
        <ShelfMoisture v-if="next.step.kind === 'dry' && blank" :blank="blank" />
        <WorkGrit v-if="next.step.kind === 'sand'" :key="next.step.id" :plan="plan" :traced="traced" :state="state" :step="next.step" @look="look" />
        <WorkMeasure v-if="measures" ref="stations" :traced="traced" :state="state" :step="next.step.id" @measure="measure" />
        <WorkOwnBuild v-if="measures" :plan="plan" :mark="pen.mark" />
        <BuildSection v-if="next.step.kind === 'level' && !measures" size="work" :traced="traced" :step="before" :least="leastFilm(plan.inputs).value" :colour="plan.inputs.material.colour" />
        <WorkChecks v-if="checks.length" :checks="checks" :short="next.step.kind === 'parts'" :step="next.step.id" :state="state" @answer="answer" />
      </aside>
      <WorkFilmStack v-else-if="state.coats.planned && ['clean', 'coat', 'level'].includes(next.step.phase)" :plan="plan" :state="state" :traced="traced" />
    </section>
    <section v-else class="next">
      <div class="say">
        <p class="lead">Nothing left to do</p>
        <p class="title">Finished</p>
        <p class="how">{{ state.coats.on }} coats on. The record has every step with its time.</p>
        <p class="why"><NuxtLink class="key next" :to="`/pens/${pen.id}/record`">Read the record</NuxtLink></p>
      </div>
    </section>

    <template v-if="!noting && !mending">
      <ul v-if="open.length || mends.length" class="open" aria-label="Defects">
        <li v-for="defect in open" :key="defect.id">
          <span class="harm">◆ {{ where(defect) }}</span>
          <button type="button" class="key" @click="judging = defect.id">Why, and what now</button>
        </li>
        <li v-for="defect in mends" :key="defect.id">
          <span>{{ where(defect) }}: {{ defect.mends.at(-1)!.way }}, {{ defect.status === 'mending' ? 'under way' : 'done' }}</span>
          <template v-if="defect.status === 'mended' || defect.mends.at(-1)!.way === 'turn it out'">
            <button type="button" class="key" @click="settle(defect, 'mended')">It is gone</button>
            <button type="button" class="key" @click="settle(defect, 'failed')">It still shows</button>
          </template>
        </li>
      </ul>
      <WorkKeys v-if="next" :done="doneKey" :away="elsewhere" :can-take-back="state.takeBack.length > 0" :can-put-back="state.putBack !== null" :can-skip="next !== undefined" @done="done" @coat="coat" @wrong="noting = []" @measure="measuring = !measuring" @back="takeBack" @forth="putBack" @skip="skip" />
      <div v-else class="over">
        <button type="button" class="key" @click="noting = []">Something is wrong</button>
        <button v-if="state.takeBack.length" type="button" class="key" @click="takeBack">Take the last entry back</button>
      </div>
      <details v-if="caution && next" :key="caution.id" class="caution"><summary class="harm">◆ {{ caution.short }}</summary><p class="quiet">{{ caution.more }}</p></details>
    </template>
    <BenchClockLine v-if="everybody.length && !noting && !mending" :bands="everybody" tight />
    <WorkHelp v-model:open="help" v-model:quiet="quiet" />
    <div v-if="ended.length" class="flash" role="status"><span>{{ ended.join(', ') }} ready</span></div>
    <p v-if="lastEntry" class="quiet last">Last entry {{ clockTime(lastEntry.at, now) }}, {{ lastEntry.device }}</p>
  </div>
</template>

<style scoped>
.work { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.8rem; align-content: start; }
header { display: flex; align-items: center; flex-wrap: wrap; gap: 0.4rem 1rem; }
.pen { display: flex; align-items: center; gap: 1.1rem; color: var(--ink); }
h1 { font-size: 1.5rem; }
.strip { flex: 0 1 15rem; margin-inline: 0; }
.air { margin-left: auto; font-size: 1.05rem; }
header nav { display: flex; gap: 0.1rem; }
header nav a, header nav button { display: grid; place-items: center; min-height: 44px; padding: 0 0.6rem; color: var(--ink-2); cursor: pointer; }
header nav a:hover, header nav button:hover { color: var(--ink); }
section.next { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 2rem; align-items: end; padding: 0.3rem 0; }
section.next > figure { padding-right: 9rem; }
.lead { font-size: 1.4rem; color: var(--ink-2); }
.title { font: 700 clamp(2.4rem, 7.4vw, 6.2rem)/1.05 var(--font-head); letter-spacing: -0.02em; margin: 0.1rem 0 0.6rem; overflow-wrap: anywhere; }
.how { font-size: 1.75rem; line-height: 1.3; }
.why { font-size: 1.6rem; line-height: 1.35; color: var(--ink-2); }
.told { font-size: 1.2rem; margin-top: 0.5rem; max-width: 46rem; }
.takes { font-size: 1.4rem; margin-top: 1rem; color: var(--ink-2); }
.wait { display: flex; align-items: flex-end; flex-wrap: wrap; gap: 0.2rem 1.6rem; margin-top: 0.6rem; }
.count { font: 700 clamp(3.6rem, 9vw, 6.6rem)/1 var(--font-head); color: var(--wait); font-variant-numeric: tabular-nums; }
.until { display: grid; padding-bottom: 0.5rem; justify-items: start; color: var(--ink-2); font-size: 1.15rem; }
.until b { font-weight: 400; font-size: 1.75rem; color: var(--ink); }
section.next.looking { grid-template-columns: minmax(0, 1fr) minmax(0, 33rem); align-items: start; }
.looking .title { font-size: clamp(2.4rem, 5vw, 4.4rem); }
.beside { display: grid; gap: 0.9rem; }
.parts { font-size: 1.1rem; }
.caution { font-size: 1.05rem; }
.caution summary { display: flex; align-items: center; min-height: 44px; margin-block: -0.5rem; cursor: help; list-style: none; }
.caution p { padding-left: 1.4rem; max-width: 60rem; }
.open { display: grid; gap: 0.5rem; }
.open li { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem 1rem; font-size: 1.1rem; }
.over { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.over .key { min-height: 64px; }
.last { font-size: 0.9rem; }
.skew { color: var(--brick); }
.flash { position: fixed; inset: 0; z-index: 4; pointer-events: none; border: 14px solid var(--wait); animation: ends 0.8s steps(2, jump-none) 3; display: grid; align-items: start; justify-items: center; }
.flash span { padding: 0.3rem 1.2rem 0.5rem; background: var(--wait); color: var(--ground); font: 700 1.6rem var(--font-head); border-radius: 0 0 10px 10px; }
@keyframes ends { from { border-color: transparent; } }
@media (min-width: 821px) { header { flex-wrap: nowrap; } .pen { min-width: 0; } h1 { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; } .strip { min-width: 0; } .air, header nav { flex: none; } }
@media (max-width: 1100px) { .beside > svg { order: 2; } }
@media (max-width: 900px) { section.next.looking { grid-template-columns: minmax(0, 1fr); } }
@media (max-width: 820px) { section.next, section.next.looking { grid-template-columns: minmax(0, 1fr); gap: 1rem; } .how { font-size: 1.25rem; } .why { font-size: 1.15rem; } .air { margin-left: 0; } }
</style>
