<script setup lang="ts">
import type { SharedCheck } from '~/composables/useTogether'

/** What to look at on every pen that is in it: one tap says yes for all; a no is said on the tile of that pen. */
defineProps<{ checks: readonly SharedCheck[] }>()
const emit = defineEmits<{ all: [check: string] }>()
</script>

<template>
  <div>
    <ul class="looks" aria-label="Look at">
      <li v-for="check in checks" :key="check.id">
        <span class="ask">{{ check.ask }}</span>
        <span v-if="check.noes" class="harm">◆ no on {{ check.noes }}</span>
        <span v-if="!check.open" class="seen">✓ looked at</span>
        <button v-else type="button" class="key" @click="emit('all', check.id)">
          Yes on {{ check.open === 1 ? 'one' : `all ${check.open}` }}
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.looks { display: grid; }
li { display: flex; flex-wrap: wrap; align-items: center; gap: 0.3rem 1rem; min-height: 64px; border-top: 1px solid var(--line); }
.ask { flex: 1 1 18rem; font-size: 1.2rem; }
.seen { color: var(--leaf); }
.key { min-height: 56px; }
</style>
