<script setup lang="ts">
/** What every key of the work screen does; each has a place to tap as well. */
const open = defineModel<boolean>('open', { required: true })
const quiet = defineModel<boolean>('quiet', { required: true })
const keys = [
  ['space', 'Done, next. A foot pedal that sends it does the same'],
  ['f', 'From afar: only what is next, in letters to read from two metres; again: everything. Holding the pedal does the same'],
  ['c', 'A coat is on: the one that is next, or one more than planned'],
  ['w', 'Something is wrong: note a defect'],
  ['e', 'Something else was done: a grit or the pads again, a coat wiped off, a remark'],
  ['m', 'Measure a diameter'],
  ['z', 'Take the last entry back'],
  ['y', 'Put it back'],
  ['x', 'Leave this step out'],
  ['n', 'At a grit: not yet'],
  ['t', 'At a grit: cannot tell'],
  ['h', 'At a coat that waits: hard already'],
  ['k', 'At a coat that waits: still tacky'],
  ['1 to 9', 'The pens, as they stand in the row'],
  ['0', 'The pen that comes next'],
  ['q', 'Bell on or off'],
  ['?', 'This list'],
]
</script>

<template>
  <UModal
    v-model:open="open" title="Keys"
    description="Every one has a place to tap as well. A calliper that types figures and Enter is heard at any time."
  >
    <template #body>
      <dl>
        <div v-for="[key, does] in keys" :key="key"><dt><kbd>{{ key }}</kbd></dt><dd>{{ does }}</dd></div>
      </dl>
      <label class="bell"><input v-model="quiet" type="checkbox"> No bell when a wait ends; it still flashes</label>
    </template>
  </UModal>
</template>

<style scoped>
dl { display: grid; gap: 0.2rem; }
dl div {
  display: grid;
  grid-template-columns: 5rem minmax(0, 1fr);
  align-items: baseline;
  padding: 0.25rem 0;
  border-bottom: 1px solid var(--line);
}
kbd { font: 700 1.05rem var(--font-mono); }
.bell { display: flex; gap: 0.6rem; align-items: center; min-height: 56px; cursor: pointer; }
.bell input { width: 1.3rem; height: 1.3rem; accent-color: var(--leaf); }
</style>
