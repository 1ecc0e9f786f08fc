<script setup lang="ts">
import { AGREE, CLEAR, type ClassWork, type Held } from '#core/classroom'
import type { BenchState } from '#core/bench'
import { cautionsFor } from '#reference'

/** What stands between a pupil and the next step of a pen of a class: to say yes to tools and cautions, a look, clearing up. */
const props = defineProps<{ held: Held, work: ClassWork, state: BenchState }>()
const store = usePen()
const { minute: now } = useClock()
const enter = (gate: string, how: 'agreed' | 'asked') => store.enter({ kind: 'gate', payload: { gate, how } })
/** Every caution of this pen’s steps, each once, and the class’s own. */
const lines = computed(() => {
  if (props.held.what === 'clear') return [...props.work.clearing]
  const { plan } = props.state
  return [...new Set([...props.work.cautions, ...plan.steps.flatMap(step => cautionsFor(step).map(one => one.short))])]
})
const said = ref<string[]>([])
const isWhole = computed(() => lines.value.every(line => said.value.includes(line)))
</script>

<template>
  <section class="gate" aria-live="polite">
    <template v-if="held.what === 'look'">
      <h2>Your teacher looks first, {{ gateWords(held.gate) }}</h2>
      <p v-if="held.since" role="status">Asked for {{ clockTime(held.since, now) }}. It goes on here by itself.</p>
      <button v-else type="button" class="key next" @click="enter(held.gate, 'asked')">Ask for a look</button>
    </template>
    <template v-else>
      <h2>{{ held.what === 'agree' ? 'Before the lathe: say yes to each' : 'Clear up: tick each' }}</h2>
      <template v-if="held.what === 'agree' && work.tools.length">
        <h3>What lies ready</h3>
        <p>{{ work.tools.join(' · ') }}</p>
      </template>
      <ul>
        <li v-for="line in lines" :key="line">
          <label><input v-model="said" type="checkbox" :value="line"> <span>{{ line }}</span></label>
        </li>
      </ul>
      <button
        type="button" class="key next" :disabled="!isWhole" @click="enter(held.what === 'agree' ? AGREE : CLEAR, 'agreed')"
      >
        {{ held.what === 'agree' ? 'Yes to all of it' : 'All cleared up' }}
      </button>
    </template>
  </section>
</template>

<style scoped>
.gate { display: grid; justify-items: start; gap: 0.7rem; padding: 1rem 1.25rem; border: 2px solid var(--line); border-radius: 10px; }
h2 { font-size: 1.4rem; }
h3 { font-size: 1.05rem; }
ul { display: grid; gap: 0.3rem; }
label { display: flex; gap: 0.7rem; align-items: center; min-height: 44px; cursor: pointer; }
input { flex: none; width: 24px; height: 24px; accent-color: var(--leaf); }
</style>
