<script setup lang="ts">
import { useStorage, useWakeLock } from '@vueuse/core'
import { checksFor, isTouched, type CheckAct, type DiameterReading } from '#core/plan'

definePageMeta({ layout: 'work' })
const store = usePen()
const { pen, plan, traced, state, measured } = storeToRefs(store)
const outbox = useOutbox()
const boards = useBenchPens()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const { minute: now } = useClock()
const me = useMe()
/** Whether whoever is here may work on it. */
const mine = computed(() => me.mayWorkOn(pen.value?.maker))
/** In a class: what holds the pen, for whoever does not teach it. */
const { held, lesson } = useClassGate()
const { bands, nextOne, why } = useBench()
const { next, words, place, caution, wait, doneKey, done, coat, doneBeside, waitLonger, skip, takeBack, putBack } = useWork()
const { remark, picture } = useRemark()
const { quiet, ended } = useAlarms()
const { noting, judging, open, mends, mending, note, settle, mend, answerWhy, judge, photograph } = useNoting()

/** The screen stays awake while work runs. */
const wake = useWakeLock()
onMounted(() => void wake.request('screen').catch(() => undefined))
onBeforeUnmount(() => void wake.release().catch(() => undefined))

const everybody = computed(() => {
  const own
    = wait.value && !wait.value.over && pen.value && words.value
      ? [
          {
            pen: pen.value.id,
            mark: pen.value.mark,
            words: words.value.title,
            from: new Date(wait.value.from),
            until: new Date(wait.value.until),
          },
        ]
      : []
  return [...own, ...bands.value.filter(band => band.pen !== pen.value?.id)]
})
/** The yellow key is the next thing to do: not while this pen waits and another one comes first. */
const elsewhere = computed(() => Boolean(wait.value && !wait.value.over && nextOne.value && nextOne.value.id !== pen.value?.id))
const lastEntry = computed(() => state.value?.log.findLast(entry => entry.inForce && entry.event.kind !== 'undo')?.event)

const checks = computed(() =>
  plan.value && traced.value && next.value ? checksFor(plan.value, next.value.step, traced.value, units.value) : [],
)
/** An answer is kept; one that may tell of a defect asks at once what and where it is. */
function answer(check: string, said: 'yes' | 'no') {
  if (!next.value) return
  store.enter({ kind: 'check', payload: { step: next.value.step.id, check, answer: said } }, next.value.step.barrels)
  const asked = said === 'no' ? checks.value.find(one => one.id === check) : undefined
  if (asked?.defects && !asked.acts) noting.value = asked.defects
}
/** What is done about a no there and then. */
const act = (one: CheckAct) => ('wait' in one ? waitLonger(one.wait) : doneBeside(one.work, one.with))

/** Steps at whose end diameters are measured as a matter of course; elsewhere a key opens it. */
const measuring = ref(false)
watch(
  () => next.value?.step.id,
  () => {
    measuring.value = false
  },
)
const measures = computed(() => measuring.value || Boolean(next.value && ['turn', 'check'].includes(next.value.step.kind)))
const filming = computed(() => next.value && ['coat', 'level'].includes(next.value.step.phase))
/** The last step, if it went on too early or too late. */
const lastOff = computed(() => {
  const last = state.value?.steps.findLast(one => one.status !== 'open')
  return last && state.value?.offTime.find(one => one.step === last.step.id)
})

/** What stands beside the next action: things to look at and to measure. */
const beside = computed(() =>
  checks.value.length > 0 || measures.value || (next.value && ['sand', 'level', 'assemble'].includes(next.value.step.kind)))
function look(said: 'not yet' | 'cannot tell') {
  if (next.value?.step.kind === 'sand')
    store.enter({ kind: 'look', payload: { step: next.value.step.id, answer: said } }, next.value.step.barrels)
}
/** A finger on a coat that waits: it waits no longer, or a while more. */
function touch(felt: 'tacky' | 'hard') {
  const step = next.value?.step
  if (step && wait.value && isTouched(wait.value.purpose)) store.enter({ kind: 'touch', payload: { step: step.id, felt } }, step.barrels)
}
/** The paper is on: optional, never asked for. */
function paperOn() {
  if (next.value) store.enter({ kind: 'begin', payload: { step: next.value.step.id } }, next.value.step.barrels)
}
function measure(reading: DiameterReading) {
  store.enter({ kind: 'measure', payload: reading }, [reading.barrel])
}
/** A reading that was kept may tell how the coats build: the fit is asked for anew once the server has it. */
watch(
  () => outbox.pending.length,
  (left, before) => {
    if (filming.value && before && !left) void workshop.learn().catch(() => undefined)
  },
)

const aside = useTemplateRef<{ take: (mm: number) => void }>('aside')
/** A reading that an instrument sent lands where it is waited for. */
async function reading(mm: number) {
  if (!next.value) return
  if (!measures.value) measuring.value = true
  await nextTick()
  aside.value?.take(mm)
}

/** Read from two metres: everything but the next thing to do is turned off. */
const far = useStorage('oxlip-far', false)
/** The sheet of what was done beside the plan. */
const elseOpen = ref(false)
watch(() => pen.value?.id, () => {
  elseOpen.value = false
})
function besides(act: () => void) {
  act()
  elseOpen.value = false
}
/** Nothing else is asked on the screen, so that keys mean the next thing to do. */
const plain = computed(() => !noting.value && !mending.value && !elseOpen.value)
const afar = computed(() => far.value && plain.value && !state.value?.away && Boolean(next.value))
const help = ref(false)
/** Fetched when it is asked for first. */
const helped = ref(false)
watch(help, () => {
  helped.value = true
}, { once: true })
function goTo(id: string | undefined) {
  if (id && id !== pen.value?.id) void navigateTo(`/pens/${id}/work`, { replace: true })
}
const { speed } = useAtTheLathe(
  {
    reading: mm => void reading(mm),
    pedal: done,
    key: figure => (figure === '0' ? goTo(nextOne.value?.id) : goTo(boards.inWork[Number(figure) - 1]?.pen.id)),
  },
  () => mine.value && !held.value && plain.value && !state.value?.away,
)
useWorkKeys(
  {
    'n': () => look('not yet'),
    't': () => look('cannot tell'),
    'h': () => touch('hard'),
    'k': () => touch('tacky'),
    'e': () => {
      elseOpen.value = true
    },
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
    'f': () => {
      far.value = !far.value
    },
    'q': () => {
      quiet.value = !quiet.value
    },
    '?': () => {
      help.value = true
    },
  },
  () => plain.value && !state.value?.away,
  {
    ' ': () => {
      far.value = !far.value
    },
  },
)
</script>

<template>
  <div v-if="pen && plan && traced && state" class="work figures">
    <WorkHead
      v-if="!afar" v-model:quiet="quiet" class="above" :pen="pen" :plan="plan" :state="state" :measured="measured" @help="help = true"
      @far="far = true"
    />

    <WorkPens
      v-if="plain && !afar" class="above" :here="pen.id" :boards="boards.inWork" :next="nextOne" :why="why" :ended="ended" :away="elsewhere"
    />

    <LazyWorkDefect v-if="noting" :plan="plan" :step="next?.step.id ?? null" :looks="noting" @note="note" @close="noting = undefined" />

    <LazyWorkMend
      v-else-if="mending" :key="mending.id" :defect="mending" @choose="mend" @leave="settle(mending, 'left')"
      @later="judging = undefined" @answer="answerWhy" @judge="judge" @photo="photograph" @back="takeBack"
    />

    <LazyPenAway v-else-if="state.away" :state="state" />
    <LazyWorkExtra
      v-else-if="elseOpen" :plan="plan" :traced="traced" :state="state"
      @beside="(work, what, item) => besides(() => doneBeside(work, what, item))"
      @wait="besides(() => waitLonger($event))" @remark="besides(() => remark($event))"
      @picture="(file, text) => besides(() => void picture(file, text))" @close="elseOpen = false"
    />
    <LazyWorkFar v-else-if="afar && words" :words="words" :place="place" :wait="wait" />
    <section v-else-if="next && words" class="next" :class="{ looking: beside }" aria-live="polite">
      <WorkSay
        :next="next" :words="words" :wait="wait" :place="place" :off="lastOff" :speed="speed" :touches="state.held.touches"
        @touch="touch"
      />
      <WorkBeside
        v-if="beside && mine && !held" ref="aside" :pen="pen" :plan="plan" :traced="traced" :state="state" :next="next" :checks="checks"
        :measuring="measures" @look="look" @on="paperOn" @measure="measure" @answer="answer"
        @wrong="noting = $event" @act="act"
      />
      <LazyWorkFilmStack
        v-else-if="state.coats.planned && ['clean', 'coat', 'level'].includes(next.step.phase)" :plan="plan" :state="state"
        :traced="traced"
      />
      <LazyWorkNextBottle v-if="next.step.kind === 'coat'" :traced="traced" :next="next" class="bottle" />
    </section>
    <section v-else class="next">
      <WorkWords
        lead="Nothing left to do" title="Finished" :how="`${state.coats.on} coats on. The record has every step with its time.`"
      >
        <p class="read"><NuxtLink class="key next" :to="`/pens/${pen.id}/record`">Read the record</NuxtLink></p>
      </WorkWords>
    </section>

    <LazyPersonOthers v-if="!mine" :maker="pen.maker" />
    <LazyClassGate v-else-if="held && lesson && plain" :key="held.what" :held="held" :work="lesson.work" :state="state" />
    <template v-else-if="plain">
      <LazyWorkDefects
        v-if="!afar && open.length + mends.length > 0" :open="open" :mends="mends" @judge="judging = $event" @settle="settle"
      />
      <WorkKeys
        v-if="next && !state.away" v-model:far="far" :done="doneKey" :away="elsewhere"
        :can-take-back="state.takeBack.length > 0" :can-put-back="state.putBack !== null"
        :can-skip="next !== undefined" @done="done" @coat="coat" @wrong="noting = []" @else="elseOpen = true"
        @measure="measuring = !measuring" @back="takeBack"
        @forth="putBack" @skip="skip"
      />
      <div v-else-if="!state.away" class="over">
        <button type="button" class="key" @click="noting = []">Something is wrong</button>
        <button type="button" class="key" @click="elseOpen = true">Something else</button>
        <button v-if="state.takeBack.length" type="button" class="key" @click="takeBack">Take the last entry back</button>
      </div>
      <details v-if="caution && next && !state.away" :key="caution.id" class="caution">
        <summary class="harm">◆ {{ caution.short }}</summary>
        <p class="quiet">{{ caution.more }}</p>
      </details>
    </template>
    <BenchClockLine v-if="everybody.length && plain && !afar" :bands="everybody" tight />
    <LazyWorkHelp v-if="helped" v-model:open="help" v-model:quiet="quiet" />
    <div v-if="ended.length" class="flash" role="status"><span>{{ ended.join(', ') }} ready</span></div>
    <p v-if="lastEntry && !afar" class="quiet last">Last entry {{ clockTime(lastEntry.at, now) }}, {{ lastEntry.device }}</p>
  </div>
</template>

<style scoped>
.work { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.8rem; align-content: start; }
section.next { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 2rem; align-items: end; padding: 0.3rem 0; }
section.next > figure { padding-right: 9rem; }
section.next.looking { grid-template-columns: minmax(0, 1fr) minmax(0, 33rem); align-items: start; }
.bottle { grid-column: 1 / -1; }
.caution { font-size: 1.05rem; }
.caution summary { display: flex; align-items: center; min-height: 44px; margin-block: -0.5rem; cursor: help; list-style: none; }
.caution p { padding-left: 1.4rem; max-width: 60rem; }
.read { margin-top: 1rem; }
.over { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.over .key { min-height: 64px; }
.last { font-size: 0.9rem; }
.flash {
  position: fixed;
  inset: 0;
  z-index: 4;
  pointer-events: none;
  border: 14px solid var(--wait);
  animation: ends 0.8s steps(2, jump-none) 3;
  display: grid;
  align-items: start;
  justify-items: center;
}
.flash span {
  padding: 0.3rem 1.2rem 0.5rem;
  background: var(--wait);
  color: var(--ground);
  font: 700 1.6rem var(--font-head);
  border-radius: 0 0 10px 10px;
}
@keyframes ends { from { border-color: transparent; } }
@media (max-width: 900px) { section.next.looking { grid-template-columns: minmax(0, 1fr); } }
@media (max-width: 640px) {
  .work { padding-bottom: 5.5rem; }
  /* What can hurt stands where it is read before the step, not below the keys. */
  .above { order: -2; }
  .caution { order: -1; }
}
@media (max-width: 820px) {
  section.next, section.next.looking { grid-template-columns: minmax(0, 1fr); gap: 1rem; }
}
</style>
