<script setup lang="ts">
import { unprinted } from '#reference'

/** What of some texts no paper can show, before it is printed. */
const props = defineProps<{ texts: readonly (string | null | undefined)[] }>()
const MOST = 8
const signs = computed(() => unprinted(props.texts.filter(text => typeof text === 'string')))
</script>

<template>
  <p v-if="signs.length" class="sheet signs" role="status">
    <b>Papers have no letters for {{ signs.slice(0, MOST).join(' ') }}{{ signs.length > MOST ? ' and others' : '' }}.</b>
    They print them as empty boxes. Write them in by hand, or spell the name in other letters.
  </p>
</template>

<style scoped>
.signs { max-width: 44rem; padding: 0.8rem 1.1rem; }
</style>
