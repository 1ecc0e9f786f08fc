<script setup lang="ts">
import { formatSpan } from '#core/format'
import type { OffTime } from '#core/bench'
import { bottleWarnings, earlyAdvice, lateAdvice, type StepTrace } from '#core/plan'
import type { NextWait } from '~/composables/useWork'

/** The next thing to do in large letters: what, how and why, how long or until when, and what to take care of now. */
const props = defineProps<{
  next: StepTrace
  words: { title: string, how: string, why: string }
  wait: NextWait | undefined
  /** Which step of how many it is. */
  place: string
  /** The last step, if it went on too early or too late. */
  off: OffTime | undefined
  /** What the spindle does, and what is thought of it. */
  speed: { within: boolean, says: string, revPerMin: number } | undefined
}>()
const { workshop: air } = storeToRefs(useWorkshop())
const { now } = useClock()

const line = computed(() => {
  const step = props.place ? `Next, ${props.place}` : 'Next'
  if (!props.wait) return step
  return props.wait.over ? `${step}, ready since ${props.wait.ready}` : `Wait, then ${props.place || 'this'}`
})
const warnings = computed(() => (air.value ? bottleWarnings(props.next.step, air.value, now.value.toISOString().slice(0, 10)) : []))
</script>

<template>
  <WorkWords :lead="line" :title="words.title" :how="words.how" :why="words.why">
    <div v-if="wait && !wait.over" class="wait" aria-live="off">
      <span class="count" role="timer">{{ wait.countdown }}</span>
      <span class="until">
        <b>ready {{ wait.ready }}</b>
        <FigureOpen :figure="wait.length">{{ formatSpan(wait.length.value) }} in this air</FigureOpen>
      </span>
    </div>
    <p v-else class="takes">about <FigureOpen :figure="next.handsOn" /></p>
    <p v-if="wait?.late" class="harm told" role="status">◆ Past its latest time. {{ lateAdvice(wait.purpose) }}</p>
    <p v-else-if="wait?.over && wait.latest" class="told quiet">At the latest by {{ clockTime(wait.latest, now) }}.</p>
    <p v-if="off" class="harm told" role="status">
      ◆ {{ formatSpan(off.by) }} too {{ off.when }}.
      {{ off.when === 'early' ? earlyAdvice(off.purpose) : lateAdvice(off.purpose) }}
    </p>
    <p v-if="speed" class="told" :class="speed.within ? 'quiet' : 'harm'" role="status">
      {{ speed.within ? '' : '◆ ' }}{{ speed.revPerMin }} rev/min. {{ speed.says }}
    </p>
    <p v-for="warning in warnings" :key="warning" class="harm told">◆ {{ warning }}</p>
  </WorkWords>
</template>

<style scoped>
.told { font-size: 1.2rem; margin-top: 0.5rem; max-width: 46rem; }
.takes { font-size: 1.4rem; margin-top: 1rem; color: var(--ink-2); }
.wait { display: flex; align-items: flex-end; flex-wrap: wrap; gap: 0.2rem 1.6rem; margin-top: 0.6rem; }
.count { font: 700 clamp(3.6rem, 9vw, 6.6rem)/1 var(--font-head); color: var(--wait); font-variant-numeric: tabular-nums; }
.until { display: grid; padding-bottom: 0.5rem; justify-items: start; color: var(--ink-2); font-size: 1.15rem; }
.until b { font-weight: 400; font-size: 1.75rem; color: var(--ink); }
</style>
