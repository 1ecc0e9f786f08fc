<script setup lang="ts">
import type { Remark } from '#core/plan'

/** What a turner should know about a plan: gaps with a mark and in brick, notes quietly. */
const props = defineProps<{ remarks: readonly Remark[] }>()
const shelf = computed(() => props.remarks.find(remark => remark.weight === 'gap' && remark.shelf)?.shelf)
</script>

<template>
  <ul v-if="remarks.length" class="remarks" aria-label="Remarks">
    <li v-for="remark in remarks" :key="remark.says" :class="remark.weight">
      <b>{{ remark.weight === 'gap' ? '◆ ' : '' }}{{ remark.says }}</b> {{ remark.remedy }}
    </li>
    <li v-if="shelf"><NuxtLink class="way" :to="shelf === 'finishes' ? '/shelf/finishes' : '/shelf'">Look at the shelf</NuxtLink></li>
  </ul>
</template>

<style scoped>
.remarks { display: grid; gap: 0.3rem; }
li { color: var(--ink-2); }
li b { font-weight: 600; color: var(--ink); }
.way { display: inline-grid; align-items: center; min-height: 44px; color: var(--leaf); text-decoration: underline; }
.gap b { color: var(--brick); }
</style>
