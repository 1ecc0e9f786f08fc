<script setup lang="ts">
import { format } from 'date-fns'
import { useMediaQuery } from '@vueuse/core'
import { along, clockScale, freeLanes, waitLanes, type Band } from '~/utils/clock-line'

/**
 * Everybody's waits as bands on one clock line. Pens that are free stand below with a ring at now. Of many the first ones are drawn, so
 * that what comes below the line stays near; the others are a tap away.
 */
const props = defineProps<{ bands: readonly Band[], free?: readonly { mark: string, words: string }[], tight?: boolean }>()
const { now } = useClock()

/** So many lanes of waits are drawn, and so many of what is free; what is hardly more is drawn too. */
const most = computed(() => (props.tight ? { waits: 6, free: 0 } : { waits: 10, free: 6 }))
const HARDLY = 2
const whole = ref(false)
const over = (all: readonly unknown[], count: number): number => (all.length > count + HARDLY ? all.length - count : 0)
function shown<T>(all: readonly T[], count: number): readonly T[] {
  return over(all, count) && !whole.value ? all.slice(0, count) : all
}

const allFree = computed(() => freeLanes(props.free ?? []))
const lanes = computed(() => shown(allFree.value, most.value.free))
const allWaits = computed(() => waitLanes(props.bands, most.value.waits))
const waits = computed(() => shown(allWaits.value, most.value.waits))
const left = computed(() => over(allWaits.value, most.value.waits) + over(allFree.value, most.value.free))
const scale = computed(() => clockScale(waits.value, now.value))
const percent = (moment: Date) => `${100 * along(scale.value, moment)}%`
/** Beyond this part of the line what stands behind a band stands in it: a time, and marks beside it; on a phone there are no marks. */
const isNarrow = useMediaQuery('(max-width: 640px)')
const flips = computed(() => (isNarrow.value ? { time: 0.64, marks: 0.64 } : { time: 0.86, marks: 0.6 }))
const rows = computed(() =>
  waits.value.map((lane) => {
    const until = along(scale.value, lane.until)
    const flip = until > (lane.marks ? flips.value.marks : flips.value.time)
    return { lane, from: along(scale.value, lane.from), now: along(scale.value, now.value), until, flip }
  }),
)
/** As wide as the longest mark asks for, with what stands free beside it, rem. */
const longest = computed(() => rows.value.reduce((letters, { lane }) => Math.max(letters, lane.mark.length), 0))
const WIDE = { letter: 0.7, beside: 0.9, least: 2.35 }
const markWidth = computed(() => `${Math.max(WIDE.least, WIDE.letter * longest.value + WIDE.beside)}rem`)
</script>

<template>
  <div class="clock-line figures" :class="{ tight }" role="group" aria-label="Waits on the clock" :style="{ '--mark': markWidth }">
    <div class="lanes">
      <div class="ticks" aria-hidden="true">
        <div class="track">
          <span
            v-for="(tick, index) in scale.ticks" :key="index" :class="{ last: index === scale.ticks.length - 1 }"
            :style="{ left: percent(tick) }"
          >{{ format(tick, 'HH:mm') }}</span>
          <i
            v-for="(tick, index) in scale.ticks" :key="`i${index}`" :class="{ now: index === 0 }"
            :style="{ left: percent(index === 0 ? now : tick) }"
          />
        </div>
      </div>
      <ul>
        <li v-for="{ lane, from, now: at, until, flip } in rows" :key="lane.id">
          <b class="mark">{{ lane.mark }}</b><span class="words">{{ lane.words }}</span>
          <div class="track">
            <i class="past" :style="{ left: `${100 * from}%`, width: `${100 * (at - from)}%` }" />
            <i class="left" :style="{ left: `${100 * at}%`, width: `${100 * (until - at)}%` }" />
            <b class="until" :class="{ flip }" :style="{ left: `${100 * until}%` }">
              {{ clockTime(lane.until, now) }}<span v-if="lane.marks" class="marks">{{ lane.marks }}</span>
            </b>
          </div>
        </li>
        <li v-for="one in lanes" :key="one.mark + one.words" class="lane">
          <b class="mark">{{ one.mark }}</b><span class="words" />
          <div class="track">
            <i class="ring" :style="{ left: percent(now) }" />
            <b class="free" :style="{ left: percent(now) }">free now: {{ one.words }}</b>
          </div>
        </li>
      </ul>
    </div>
    <p v-if="left" class="rest">
      <span v-if="tight" class="quiet">{{ left }} more on the bench</span>
      <button v-else type="button" class="key" :aria-expanded="whole" @click="whole = !whole">
        {{ whole ? 'Show fewer' : `Show ${left} more` }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.clock-line { font-size: 1rem; }
.lanes, ul { position: relative; }
li, .ticks {
  display: grid;
  grid-template-columns: calc(var(--mark) + 0.85rem) 11rem minmax(0, 1fr);
  align-items: center;
  min-height: 2.35rem;
}
.tight li { min-height: 1.75rem; }
.ticks { position: absolute; inset: 0; align-items: start; }
.ticks .track { grid-column: 3; height: 100%; }
ul { padding-top: 1.6rem; }
.track { position: relative; height: 100%; min-height: 1.3rem; }
.ticks span { position: absolute; transform: translateX(-50%); font-family: var(--font-mono); font-size: 0.85rem; color: var(--ink-2); }
.ticks span.last { transform: translateX(-100%); }
.ticks i { position: absolute; top: 1.5rem; bottom: 0; border-left: 1px solid var(--line); }
.ticks i.now { border-left: 2.5px solid var(--ink); margin-left: -1px; }
.mark { font-family: var(--font-head); font-size: 1.15rem; padding-left: 0.85rem; white-space: nowrap; }
.words { color: var(--ink-2); overflow: hidden; text-overflow: ellipsis; white-space: nowrap; padding-right: 0.75rem; }
li .track i { position: absolute; top: calc(50% - 0.65rem); height: 1.3rem; border-radius: 3px; }
.past { background: var(--wait-past); }
.left { background: var(--wait); }
.until, .free { position: absolute; top: 50%; transform: translate(0.6rem, -50%); white-space: nowrap; }
.until { display: flex; gap: 0.7rem; }
.marks { font-weight: normal; }
.flip .marks { order: -1; }
.rest { padding: 0.5rem 0 0 0.85rem; }
.until.flip { transform: translate(calc(-100% - 0.6rem), -50%); color: var(--surface); }
.free { color: var(--leaf); transform: translate(1.1rem, -50%); background: var(--ground); padding: 0 0.3rem; }
li .track i.ring {
  top: calc(50% - 0.6rem);
  width: 1.2rem;
  height: 1.2rem;
  margin-left: -0.6rem;
  border: 3px solid var(--leaf);
  border-radius: 50%;
  background: var(--ground);
}
@media (max-width: 640px) {
  li, .ticks { grid-template-columns: calc(var(--mark) + 0.4rem) minmax(0, 1fr); }
  .marks { display: none; }
  .ticks .track { grid-column: 2; }
  .words { display: none; }
  /* What is free stands in two lines, the pens over what they wait for. */
  .lane { grid-template-columns: minmax(0, 1fr); padding-block: 0.3rem; background: var(--ground); }
  .lane .mark { white-space: normal; overflow-wrap: anywhere; }
  .lane .track { min-height: 0; height: auto; }
  .lane .free { position: static; display: block; transform: none; white-space: normal; padding-left: 0.2rem; }
  li.lane .track i.ring { display: none; }
  .mark { padding-left: 0.2rem; }
  .ticks span:nth-of-type(even) { display: none; }
}
</style>
