<script setup lang="ts">
import type { Tile } from '~/composables/useTogether'

/** A pen among those that are worked together. */
const props = defineProps<{ tile: Tile, tapped: boolean }>()
/** None is the same none each time, so that an entry has no strip drawn anew that it changes nothing on. */
const NONE: Tile['board']['state']['defects'] = []
const defects = computed(() => (props.tile.board.state.defects.length ? props.tile.board.state.defects : NONE))
const emit = defineEmits<{ tap: [] }>()
</script>

<template>
  <button type="button" class="tile" :class="[tile.is, { wrong: tile.open, tapped }]" :aria-expanded="tapped" @click="emit('tap')">
    <PenTag :mark="tile.board.pen.mark" />
    <span class="strip">
      <PenStrip
        :fitting="tile.board.summary.fitting" :colour="tile.board.summary.material.colour" :resin="tile.board.summary.material.resin"
        :defects="defects" :label="tile.board.pen.name"
      />
    </span>
    <span class="says">{{ tile.open ? '◆ Something is wrong' : tile.says }}</span>
    <UIcon v-if="tile.is === 'in' && !tile.open" name="i-lucide-check" class="tick" aria-hidden="true" />
  </button>
</template>

<style scoped>
.tile {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.4rem 0.8rem;
  width: 100%;
  height: 100%;
  min-height: 92px;
  padding: 0.6rem 0.8rem;
  border: 2px solid var(--ink-2);
  border-radius: 8px;
  background: var(--surface);
  color: var(--ink);
  text-align: left;
  cursor: pointer;
}
.tile :deep(.tag) { justify-self: start; }
.strip { width: 9.5rem; }
.out, .elsewhere, .finished { border: 2px dashed var(--line); color: var(--ink-2); }
.out .strip, .elsewhere .strip, .finished .strip { opacity: 0.45; }
.waits { border-color: var(--line); }
.waits .says { color: var(--wait); }
.wrong { border-color: var(--brick); }
.wrong .says { color: var(--brick); }
.tapped { outline: 3px solid var(--leaf); outline-offset: 2px; }
.says { grid-column: 1 / -1; grid-row: 2; padding-right: 2.2rem; font-size: 1.05rem; line-height: 1.2; }
.tick { grid-column: 2; grid-row: 2; justify-self: end; font-size: 1.5rem; }
@media (max-width: 640px) { .tile { min-height: 76px; } }
</style>
