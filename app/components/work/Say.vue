<script setup lang="ts">
import { formatSpan, within } from '#core/format'
import type { BenchState, OffTime } from '#core/bench'
import { bottleWarnings, earlyAdvice, isTouched, lateAdvice, type StepTrace } from '#core/plan'
import type { NextWait } from '~/composables/useWork'

/** The next thing to do in large letters: what, how and why, how long or until when, and what to take care of now. */
const props = defineProps<{
  next: StepTrace
  words: { title: string, how: string, why: string }
  wait: NextWait | undefined
  /** Coats that were touched while they waited. */
  touches: BenchState['held']['touches']
  /** Which step of how many it is. */
  place: string
  /** The last step, if it went on too early or too late. */
  off: OffTime | undefined
  /** What the spindle does, and what is thought of it. */
  speed: { within: boolean, says: string, revPerMin: number } | undefined
}>()
const emit = defineEmits<{ touch: [felt: 'tacky' | 'hard'] }>()
const { workshop: air } = storeToRefs(useWorkshop())
const { minute: now } = useClock()

/** A finger tells when a coat is hard enough for the next; what cures for a day it does not. */
const touchable = computed(() => props.wait && isTouched(props.wait.purpose))
const touched = computed(() => {
  const last = props.touches.findLast(one => one.payload.step === props.wait?.before)
  return last ? `${last.payload.felt === 'hard' ? 'Hard' : 'Tacky'} at ${clockTime(last.at, now.value)}.` : ''
})
/** A key that was clicked gives the focus back, so that the space bar means “done” again. */
function touch(event: MouseEvent, felt: 'tacky' | 'hard') {
  if (event.detail > 0) (event.currentTarget as HTMLElement).blur()
  emit('touch', felt)
}
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
    <p v-if="!wait || wait.over" class="takes">about <FigureOpen :figure="next.handsOn" /></p>
    <p v-if="touchable && wait" class="touch">
      <button v-if="!wait.over" type="button" class="key" @click="touch($event, 'hard')"><span>Hard already</span><kbd>h</kbd></button>
      <button type="button" class="key" @click="touch($event, 'tacky')"><span>Still tacky</span><kbd>k</kbd></button>
      <span v-if="touched" class="quiet">{{ touched }}</span>
    </p>
    <p v-if="wait?.late" class="harm told" role="status">◆ Past its latest time. {{ lateAdvice(wait.purpose) }}</p>
    <p v-else-if="wait?.over && wait.latest" class="told quiet">At the latest by {{ clockTime(wait.latest, now) }}.</p>
    <p v-if="next.step.kind === 'check' && wait && !wait.over" class="harm told">
      ◆ It may go from {{ wait.ready }}. Handed over before that: {{ within(earlyAdvice('hand over')) }}
    </p>
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
.touch { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 0.75rem; margin-top: 0.8rem; font-size: 1.15rem; }
.touch .key { min-height: 56px; gap: 1rem; }
.touch kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); }
@media (max-width: 1100px) { .touch kbd { display: none; } }
.count { font: 700 clamp(3.6rem, 9vw, 6.6rem)/1 var(--font-head); color: var(--wait); font-variant-numeric: tabular-nums; }
.until { display: grid; padding-bottom: 0.5rem; justify-items: start; color: var(--ink-2); font-size: 1.15rem; }
.until b { font-weight: 400; font-size: 1.75rem; color: var(--ink); }
</style>
