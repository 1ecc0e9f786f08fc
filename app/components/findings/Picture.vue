<script setup lang="ts">
import type { Refused } from '~/utils/refusal'

/** A picture of findings: what it says, what is chosen, the picture itself, and the same as a table. */
defineProps<{
  title: string
  says: string
  failed: Refused | undefined
  loaded: boolean
  has: boolean
  /** The name of the file that its drawing is saved as. */
  file?: string
}>()
defineEmits<{ again: [] }>()
const id = useId()
const drawn = useTemplateRef('drawn')
</script>

<template>
  <section class="sheet picture" :aria-labelledby="id">
    <div class="top">
      <h2 :id="id">{{ title }}</h2>
      <slot name="choose" />
    </div>
    <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="$emit('again')" />
    <p v-else role="status">{{ loaded ? says : 'Fetching the picture ...' }}</p>
    <template v-if="loaded && has">
      <div ref="drawn" class="drawn"><slot /></div>
      <FieldSaveSvg v-if="file" :within="drawn" :name="file" />
      <details v-if="$slots.table">
        <summary>As a table</summary>
        <div class="wide"><table><slot name="table" /></table></div>
      </details>
    </template>
  </section>
</template>

<style scoped>
.drawn { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.7rem; }
.picture > :deep(.key) { justify-self: start; }
.picture { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.7rem; padding: 1rem 1.1rem; }
.top { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
.top :deep(button[role="combobox"]) { min-width: 16rem; min-height: 44px; }
summary { min-height: 40px; cursor: pointer; }
.wide { overflow-x: auto; }
table { border-collapse: collapse; }
table :deep(th), table :deep(td) { padding: 0.2rem 1.4rem 0.2rem 0; text-align: left; font-weight: 400; white-space: nowrap; }
table :deep(thead th) { color: var(--ink-2); }
</style>
