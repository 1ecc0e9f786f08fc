<script setup lang="ts">
import type { ClassPage, Person } from '#contract'

/** More pupils for a class that goes on: whoever belongs to the workshop and has no pen in it yet. */
const props = defineProps<{ page: ClassPage, people: readonly Person[] }>()
const emit = defineEmits<{ kept: [page: ClassPage] }>()
const others = computed(() => {
  const there = new Set(props.page.seats.map(seat => seat.person))
  return props.people.filter(one => one.role && one.role !== 'looker' && !there.has(one.id))
})
const chosen = ref<string[]>([])
const fault = ref('')
async function add() {
  fault.value = ''
  try {
    emit('kept', await api('POST /api/classes/:id/pupils', { params: { id: props.page.entry.id }, body: { people: chosen.value } }))
    chosen.value = []
  } catch (error) {
    fault.value = refused(error).message
  }
}
</script>

<template>
  <details v-if="others.length && !page.entry.ended">
    <summary>More pupils</summary>
    <form @submit.prevent="add">
      <label v-for="one in others" :key="one.id">
        <input v-model="chosen" type="checkbox" :value="one.id"> <PersonMark :person="one" /> {{ one.name }}
      </label>
      <p v-if="fault" class="harm" role="alert">◆ {{ fault }}</p>
      <button type="submit" class="key" :disabled="!chosen.length">Give each a pen</button>
    </form>
  </details>
</template>

<style scoped>
summary { min-height: 44px; cursor: pointer; }
form { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
label { display: inline-flex; align-items: center; gap: 0.5rem; min-height: 44px; cursor: pointer; }
input { width: 22px; height: 22px; accent-color: var(--leaf); }
</style>
