<script setup lang="ts">
/** The head of a panel of the plan: what it is, how it stands, and the keys that keep what was changed in it or take it back. */
defineProps<{ id: string, title: string, keep: string, changed: boolean }>()
const emit = defineEmits<{ undo: [], keep: [] }>()
</script>

<template>
  <header>
    <h2 :id="id">{{ title }}</h2>
    <p class="quiet"><slot /></p>
    <span class="end">
      <button v-if="changed" type="button" class="key" @click="emit('undo')">As it was</button>
      <button type="button" class="key" :disabled="!changed" @click="emit('keep')">{{ keep }}</button>
    </span>
  </header>
</template>

<style scoped>
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.3rem 1.2rem; }
header p { flex: 1 1 16rem; }
.end { display: flex; gap: 0.6rem; }
</style>
