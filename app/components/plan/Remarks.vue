<script setup lang="ts">
import type { Remark } from '#core/plan'

/** What a turner should know about a plan: gaps with a mark and in brick, notes quietly. */
defineProps<{ remarks: readonly Remark[] }>()
</script>

<template>
  <ul v-if="remarks.length" class="remarks" aria-label="Remarks">
    <li v-for="remark in remarks" :key="remark.says" :class="remark.weight">
      <b>{{ remark.weight === 'gap' ? '◆ ' : '' }}{{ remark.says }}</b> {{ remark.remedy }}
    </li>
  </ul>
</template>

<style scoped>
.remarks { display: grid; gap: 0.3rem; }
li { color: var(--ink-2); }
li b { font-weight: 600; color: var(--ink); }
.gap b { color: var(--brick); }
</style>
