<script setup lang="ts">
import type { Pin } from '#schemas'
import type { Shown } from '~/utils/evening-view'

/** What is wanted of the order, in one list: what was put somewhere by mistake is found here, and taken back. */
const props = defineProps<{ pins: readonly Pin[], blocks: readonly Shown[], movable: boolean }>()
const emit = defineEmits<{ drop: [id: string] }>()
const { minute: now } = useClock()
const wishes = computed(() => wishesOf(props.pins, props.blocks, now.value))
const named = ({ marks, title }: Wished) => [marks.join(' '), title].filter(Boolean).join(', ')
</script>

<template>
  <section v-if="wishes.length" class="figures" aria-labelledby="wishes">
    <h2 id="wishes">As you want it</h2>
    <ul>
      <li v-for="one in wishes" :key="one.id">
        <span class="says"><b>{{ named(one) }}</b><span class="quiet">{{ one.says }}</span></span>
        <button
          v-if="movable" type="button" class="key" :aria-label="`Take back: ${named(one)}, ${one.says}`" @click="emit('drop', one.id)"
        >
          Take back
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.5rem; }
ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 22rem), 1fr)); gap: 0.4rem 1.6rem; }
li { display: flex; align-items: center; justify-content: space-between; gap: 0.8rem; }
li { padding-top: 0.4rem; border-top: 1px solid var(--line); }
.says { display: grid; min-width: 0; }
.key { flex: none; }
</style>
