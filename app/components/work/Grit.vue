<script setup lang="ts">
import { decimal, micrometres, formatSpan } from '#core/format'
import { abrasiveName, grainSize } from '#core/abrasives'
import { sandedSoFar, type BenchState } from '#core/bench'
import { gritAtWork, overheadOf, stepSpeed, waysOnFrom, type Plan, type PlanTrace, type StepOf } from '#core/plan'

/** One grit at the bench: its grain, how long, how fast, when to stop; and after “not yet” the cheapest way on. */
const props = defineProps<{ plan: Plan, traced: PlanTrace, state: BenchState, step: StepOf<'sand'> }>()
const emit = defineEmits<{ look: [answer: 'not yet' | 'cannot tell'], on: [] }>()
const { units } = storeToRefs(useWorkshop())

const work = computed(() => gritAtWork(props.plan, props.traced, props.step))
const speed = computed(() => stepSpeed(props.plan, props.step, props.traced))
const grain = computed(() => grainSize(props.step.abrasive.scale, props.step.abrasive.mark))
const last = computed(() => props.plan.steps.findLast(one => one.kind === 'sand')?.id === props.step.id)
const nameOf = (id: string) => {
  const found = props.plan.inputs.shelf.abrasives.find(one => one.id === id)
  return found ? abrasiveName(found) : id
}

/** The looks at this grit that are in force, the newest last. */
const looks = computed(() => props.state.held.said.filter(event => event.kind === 'look' && event.payload.step === props.step.id))
const answer = computed(() => {
  const newest = looks.value.at(-1)
  return newest?.kind === 'look' ? newest.payload.answer : undefined
})
/** After “not yet”: the cheapest ways on, by how long this grit was sanded so far. */
const ways = computed(() => {
  if (answer.value !== 'not yet' || !work.value) return []
  const spent = sandedSoFar(props.state, props.step.id, work.value.seconds, overheadOf(props.plan.inputs, props.step.abrasive).value)
  return waysOnFrom(props.plan, props.traced, props.step, spent).slice(0, WAYS)
})
const WAYS = 3
const WAY = { 'longer': 'Go on with this piece', 'fresh piece': 'Take a fresh piece', 'back a grit': 'Go back to' }
/** Whether it was tapped that the paper is on; nobody has to: it lets the log tell sanding from changing paper. */
const isOn = computed(() => props.state.held.steps.some(event => event.kind === 'begin' && event.payload.step === props.step.id))
const mayTap = computed(() => !isOn.value && !looks.value.length)
function tapOn(event: MouseEvent) {
  if (event.detail > 0) (event.currentTarget as HTMLElement).blur()
  emit('on')
}
function press(event: MouseEvent, said: 'not yet' | 'cannot tell') {
  if (event.detail > 0) (event.currentTarget as HTMLElement).blur()
  emit('look', said)
}
</script>

<template>
  <section class="grit figures" aria-label="This grit">
    <p class="big">
      <b>{{ micrometres(grain) }} µm</b>
      <span v-if="work">{{ formatSpan(Math.max(1, work.seconds)) }} on the
        paper<template v-if="work.pieces > 1">, {{ work.pieces }} pieces</template>
      </span>
    </p>
    <p v-if="speed" :class="{ harm: !speed.within }">
      {{ speed.spindle.value }} rev/min, {{ units.speed(speed.surface.value) }}; usual {{ speed.usual }}
    </p>
    <p v-if="work && work.heat.level !== 'cool'" :class="work.heat.level === 'hot' ? 'harm' : 'quiet'">{{ work.heat.advice }}</p>
    <p v-if="work" class="quiet">
      Stop when nothing of the scratches before is left; at half the time {{ decimal(work.leftAtHalf, 1) }} µm of them
      still are. A piece has about {{ Math.round(100 * (1 - work.life)) }} % of its life left after it.
    </p>
    <p v-if="last"><b>The last grit before the coats: ends flush? Measured?</b> Press m.</p>
    <div class="answers" role="group" aria-label="Earlier scratches gone?">
      <span>Earlier scratches gone? If so, the yellow key.
        <template v-if="mayTap">“Paper on”, if you like, tells your sanding from your change of paper.</template>
        <template v-else-if="isOn">The paper is on: its time runs.</template>
      </span>
      <button v-if="mayTap" type="button" class="key" @click="tapOn"><span>Paper on</span></button>
      <button type="button" class="key" @click="press($event, 'not yet')"><span>Not yet</span><kbd>n</kbd></button>
      <button type="button" class="key" @click="press($event, 'cannot tell')"><span>Cannot tell</span><kbd>t</kbd></button>
    </div>
    <div v-if="answer === 'not yet'" role="status" class="on">
      <p><b>That happens.</b> The cheapest way on:</p>
      <ol>
        <li v-for="way in ways" :key="way.how + way.id">
          {{ WAY[way.how] }}<template v-if="way.how === 'back a grit'">&nbsp;{{ nameOf(way.id) }}, then this one again</template>, about
          {{ formatSpan(Math.max(1, way.seconds)) }}
        </li>
      </ol>
      <p v-if="!ways.length" class="harm">◆ No grit of the shelf can take that out: go back to the tool.</p>
    </div>
    <p v-else-if="answer === 'cannot tell'" role="status" class="on">
      Stop the lathe, a few strokes along the grain, wipe, and look again under a raking light from the side: rings that are left stand
      across the strokes.
    </p>
  </section>
</template>

<style scoped>
.grit { display: grid; gap: 0.55rem; font-size: 1.1rem; }
.big { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.2rem 1.2rem; font-size: 1.4rem; }
.big b { font: 700 2.6rem/1 var(--font-head); }
.answers { display: flex; flex-wrap: wrap; gap: 0.6rem; align-items: center; }
.answers > span { flex: 1 1 100%; }
.answers .key { flex: 1; justify-content: space-between; min-height: 64px; font-size: 1.15rem; }
kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); }
.on { padding-top: 0.2rem; }
ol { list-style: decimal; padding-left: 1.4rem; }
</style>
