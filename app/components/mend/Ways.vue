<script setup lang="ts">
import type { DefectState } from '#core/bench'
import type { RepairWay } from '#core/defects'
import { formatSpan } from '#core/format'
import { leftMeans } from '#reference'

/** What can be done about a defect now: each way with its cost, what it means for the day due, and its steps. */
const props = defineProps<{ defect: DefectState }>()
const emit = defineEmits<{ choose: [way: RepairWay], leave: [], later: [], back: [] }>()
const { ways, main, scrap, choices, keyOf } = useWays(() => props.defect)
const { cost, due, pairWords, stepsOf } = useWayWords()

const opened = ref<RepairWay>()
const shown = computed(() => ways.value.find(one => one.way === opened.value) ?? main.value[0])
const steps = computed(() => shown.value && stepsOf(shown.value))
const NUMBERS = Array.from({ length: 9 }, (_, index) => index)
useWorkKeys(
  Object.fromEntries(
    NUMBERS.map(index => [
      String(index + 1),
      () => {
        const choice = choices.value[index]
        if (choice) emit('choose', choice.way)
      },
    ]),
  ),
  () => true,
)
</script>

<template>
  <section aria-labelledby="now">
    <h3 id="now">What now</h3>
    <p v-if="!ways.length" class="quiet">Nothing on the shelf mends it here: leave it, or come back to it later.</p>
    <ul class="ways">
      <li v-for="one in main" :key="one.way">
        <button type="button" class="key" :class="{ next: one.recommended }" @click="emit('choose', one.way)">
          <b>{{ one.says }}</b>
          <kbd>{{ keyOf(one) }}</kbd>
          <span>{{ one.why }}. {{ pairWords(one.way) }}</span>
          <span>{{ cost(one) }}</span>
          <span>{{ due(one) }}</span>
          <span v-if="one.recommended && main.length > 1">
            <em>First because it is likely the least work. A mend that fails counts as a new barrel.</em>
          </span>
        </button>
        <button v-if="shown?.way !== one.way" type="button" class="say" @click="opened = one.way">Its steps</button>
        <div v-else-if="steps?.names.length" class="steps quiet">
          <p>
            <template v-for="(step, index) in steps.names" :key="index">
              {{ index ? ' · ' : '' }}{{ step.name }}{{ step.times > 1 ? ` × ${step.times}` : '' }}
            </template>
          </p>
          <p v-for="caution in steps.cautions" :key="caution" class="harm">◆ {{ caution }}</p>
        </div>
      </li>
    </ul>
    <p class="other">
      <button type="button" class="key" @click="emit('leave')">
        <span><b>Leave it</b><small>{{ leftMeans[defect.kind] }}</small></span>
      </button>
      <button v-for="one in scrap" :key="one.way" type="button" class="key" @click="emit('choose', one.way)">
        <span><b>{{ one.says }}</b><small>{{ formatSpan(Math.max(0, one.handsOn)) }} more work. {{ pairWords(one.way) }}</small></span>
        <kbd>{{ keyOf(one) }}</kbd>
      </button>
      <button type="button" class="key" @click="emit('later')">
        <span><b>Later</b><small>It stays open, and comes back</small></span>
        <kbd>esc</kbd>
      </button>
      <button type="button" class="key" @click="emit('back')"><span><b>Take back</b><small>The last entry</small></span></button>
    </p>
  </section>
</template>

<style scoped>
h3 { font: 700 1.2rem var(--font-head); color: var(--ink-2); margin-bottom: 0.3rem; }
.ways { display: grid; gap: 0.5rem; }
.ways .key {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  justify-items: start;
  width: 100%;
  min-height: 64px;
  padding: 0.55rem 0.9rem;
  gap: 0 0.8rem;
  text-align: left;
  line-height: 1.3;
}
.ways b { font: 700 1.25rem/1.2 var(--font-head); }
.ways span { grid-column: 1 / -1; color: var(--ink-2); font-weight: 400; }
.ways .next span { color: var(--on-oxlip-2); }
em { font-style: normal; }
kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); }
.next kbd { color: var(--on-oxlip-2); }
.steps { margin: 0.3rem 0.9rem 0.2rem; font-size: 0.98rem; }
.say {
  min-height: 44px;
  padding: 0 0.7rem 0 0.9rem;
  color: var(--ink-2);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.other { display: grid; grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr)); gap: 0.5rem; }
.other .key { min-height: 64px; justify-content: space-between; text-align: left; padding: 0.4rem 0.9rem; }
.other .key > span { display: grid; line-height: 1.25; }
.other small { color: var(--ink-2); }
@media (hover: none) and (max-width: 1100px) { kbd { display: none; } }
</style>
