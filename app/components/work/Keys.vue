<script setup lang="ts">
/** The keys of the work screen: one yellow, the rest quiet; each says which key of the keyboard does the same. */
defineProps<{ done: string, away: boolean, canTakeBack: boolean, canPutBack: boolean, canSkip: boolean }>()
/** Read from two metres: one key besides is left, which turns the others on again. */
const far = defineModel<boolean>('far', { required: true })
const emit = defineEmits<{ done: [], coat: [], wrong: [], else: [], measure: [], back: [], forth: [], skip: [] }>()

/** A key that was clicked gives the focus back, so that the space bar means “done” again. */
function press(event: MouseEvent, what: 'done' | 'coat' | 'wrong' | 'else' | 'measure' | 'back' | 'forth' | 'skip') {
  if (event.detail > 0) (event.currentTarget as HTMLElement).blur()
  emit(what as 'done')
}
</script>

<template>
  <div class="keys">
    <button type="button" class="key done" :class="{ next: !away }" @click="press($event, 'done')">
      <span>{{ done }}</span>
      <kbd>space</kbd>
    </button>
    <button v-if="far" type="button" class="key far" @click="far = false"><span>Everything</span><kbd>f</kbd></button>
    <template v-if="!far">
      <button type="button" class="key" @click="press($event, 'wrong')"><span>Something is wrong</span><kbd>w</kbd></button>
      <button type="button" class="key" @click="press($event, 'else')"><span>Something else</span><kbd>e</kbd></button>
      <button type="button" class="key" @click="press($event, 'coat')"><span>Coat on</span><kbd>c</kbd></button>
      <button type="button" class="key" @click="press($event, 'measure')"><span>Measure</span><kbd>m</kbd></button>
      <button v-if="canPutBack" type="button" class="key" @click="press($event, 'forth')"><span>Put back</span><kbd>y</kbd></button>
      <button type="button" class="key" :disabled="!canTakeBack" @click="press($event, 'back')"><span>Take back</span><kbd>z</kbd></button>
      <button type="button" class="key" :disabled="!canSkip" @click="press($event, 'skip')"><span>Leave this out</span><kbd>x</kbd></button>
    </template>
  </div>
</template>

<style scoped>
.keys { display: flex; flex-wrap: wrap; gap: 0.85rem; }
.key {
  flex: 1 1 7.4rem;
  min-height: 76px;
  padding: 0.7rem 1rem;
  justify-content: space-between;
  text-align: left;
  font-size: 1.2rem;
  line-height: 1.2;
}
.key.done { flex: 2.4 1 18rem; font: 700 2.1rem/1.1 var(--font-head); }
.key.far { flex-grow: 0.4; }
/* What is next to be done stays in reach, however much stands beside it. */
@media (min-width: 641px) {
  .keys { position: sticky; bottom: 0; z-index: 2; padding-block: 0.5rem; margin-block: -0.5rem; background: var(--ground); }
}
kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); }
.next kbd { color: var(--on-oxlip-2); }
@media (max-width: 1100px) {
  .keys { gap: 0.5rem; }
  .key { flex-basis: 5.2rem; min-height: 68px; padding: 0.4rem 0.7rem; font-size: 1.05rem; }
  .key.done { flex-basis: 11rem; font-size: 1.5rem; }
  kbd { display: none; }
}
@media (max-width: 640px) {
  .key { min-height: 72px; font-size: 1.1rem; flex-basis: 8rem; }
  /* What is next to be done stands at the bottom edge, always in sight. */
  .key.done { position: fixed; inset: auto 0.5rem 0.5rem; z-index: 2; font-size: 1.6rem; box-shadow: 0 0 0 0.5rem var(--ground); }
}
</style>
