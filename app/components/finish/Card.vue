<script setup lang="ts">
import { formatSpan } from '#core/format'
import { familyOf, type Method, type Suitability } from '#core/method'
import { leastFilm, type MethodFigures } from '#core/plan'

/**
 * A method at a glance: its picture at the end of its work, what it is good for and asks, and what it comes to on the blank it is shown
 * for.
 */
const props = defineProps<{ method: Method, figures: MethodFigures, suits: Suitability, picked: boolean, siblings: number }>()
defineEmits<{ pick: [] }>()
const family = computed(() => familyOf(props.method.family))
const lower = (text: string) => (text.startsWith('CA') ? text : text.charAt(0).toLowerCase() + text.slice(1))
/** Among several of one family, what this one does differently. */
const school = computed(() => (props.siblings > 1 ? props.method.source.note?.replace('one school of several: ', '') : undefined))
</script>

<template>
  <article class="sheet" :aria-label="method.name">
    <NuxtLink :to="`/methods/${method.id}`" class="to">
      <BuildSection
        size="card" :traced="figures.traced" :least="leastFilm(figures.plan.inputs).value" :colour="figures.plan.inputs.material.colour"
      />
      <h3>{{ method.name }}</h3>
    </NuxtLink>
    <p class="looks">{{ family.looks }}</p>
    <p v-if="school"><b>School</b> {{ school }}.</p>
    <p v-else><b>Good for</b> {{ lower(family.goodFor) }}.</p>
    <p class="quiet"><b>Asks</b> {{ lower(family.asks) }}.</p>
    <p class="sum">
      {{ filmWords(method, figures) }} · {{ formatSpan(figures.finishing.value) }} hands on · ready
      after {{ formatSpan(figures.ready.value) }}
    </p>
    <footer>
      <span :class="{ harm: suits.verdict === 'does not suit', fine: suits.verdict === 'suits' }">
        {{ suits.verdict === 'does not suit' ? '◆ does not suit' : suits.verdict }}
      </span>
      <label><input type="checkbox" :checked="picked" @change="$emit('pick')"> compare</label>
    </footer>
  </article>
</template>

<style scoped>
article {
  display: grid;
  grid-template-rows: auto auto 1fr auto auto auto;
  gap: 0.35rem;
  padding: 0.8rem 0.9rem 0.5rem;
  min-width: 0;
  line-height: 1.4;
}
.to { display: grid; gap: 0.5rem; color: var(--ink); }
.to:hover h3 { text-decoration: underline; }
h3 { font-size: 1.15rem; }
.looks { font-weight: 600; }
p { font-size: 0.98rem; }
.sum { border-top: 1px solid var(--line); padding-top: 0.35rem; }
footer { display: flex; justify-content: space-between; align-items: center; gap: 1rem; }
.fine { color: var(--leaf); }
label { display: flex; align-items: center; gap: 0.5rem; min-height: 44px; cursor: pointer; }
input { width: 1.25rem; height: 1.25rem; accent-color: var(--leaf); }
</style>
