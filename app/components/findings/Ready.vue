<script setup lang="ts">
import type { ReadyQuestion } from '#contract'
import { counted } from '#core/format'
import type { FindingQuery } from '#schemas'

/** Questions put ready, those first that the log can answer. */
defineProps<{ ready: readonly ReadyQuestion[], asked: FindingQuery }>()
const emit = defineEmits<{ ask: [question: ReadyQuestion] }>()
/** More than this nobody will wait for. */
const MANY = 500
function says({ sureness, more }: ReadyQuestion): string {
  if (sureness === null) return 'nothing to compare yet'
  if (sureness !== 'not yet') return sureness
  return more && more <= MANY ? `${counted(more, 'pen')} more of each` : 'cannot be told'
}
</script>

<template>
  <section class="sheet" aria-labelledby="ready">
    <h2 id="ready">Worth asking</h2>
    <ul>
      <li v-for="one in ready" :key="one.of + one.by">
        <button type="button" :aria-current="one.of === asked.of && one.by === asked.by && !asked.among?.length" @click="emit('ask', one)">
          <span>{{ ofLabel(one.of) }}, by {{ byLabel(one.by) }}</span>
          <i :class="{ sure: one.sureness === 'sure' || one.sureness === 'likely' }">{{ says(one) }}</i>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section { padding: 1rem 1.1rem 0.6rem; }
h2 { margin-bottom: 0.4rem; }
li + li { border-top: 1px solid var(--line); }
button {
  display: flex; align-items: center; justify-content: space-between; gap: 0.8rem; width: 100%; min-height: 44px; padding: 0.25rem 0;
  text-align: left; cursor: pointer;
}
button[aria-current="true"] span { font-weight: 700; }
button:hover span { text-decoration: underline; }
i { flex: none; font-style: normal; font-size: 0.9rem; color: var(--ink-2); }
i.sure { color: var(--leaf); font-weight: 700; }
</style>
