<script setup lang="ts">
import { answerTo, type BenchState } from '#core/bench'
import type { DefectKind } from '#core/defects'
import type { Check, CheckAct } from '#core/plan'

/** What to look at in this step, one line each: yes, or no with what to do then. Nothing here holds the work up. */
const props = defineProps<{ checks: readonly Check[], step: string, state: BenchState, short?: boolean, ticked?: boolean }>()
const emit = defineEmits<{ answer: [check: string, answer: 'yes' | 'no'], act: [act: CheckAct], wrong: [looks: readonly DefectKind[]] }>()

/** In the short form one key stands for a thing: a tap says it is there, another that it is not. */
const said = (check: string) => answerTo(props.state, props.step, check)
/** Where the yellow key answers them one after the other: the one it answers next. */
const asked = computed(() => (props.ticked ? props.checks.find(one => !said(one.id))?.id : undefined))

function press(event: MouseEvent, check: string, answer: 'yes' | 'no') {
  if (event.detail > 0) (event.currentTarget as HTMLElement).blur()
  emit('answer', check, answer)
}
</script>

<template>
  <div v-if="short" class="short">
    <ul aria-label="Look at">
      <li v-for="check in checks" :key="check.id">
        <button type="button" class="key" :class="said(check.id)" @click="press($event, check.id, said(check.id) === 'yes' ? 'no' : 'yes')">
          {{ check.ask.replace('?', '') }}<span v-if="said(check.id)"> {{ said(check.id) === 'yes' ? '✓' : '◆ missing' }}</span>
        </button>
      </li>
    </ul>
    <p class="quiet">Tap what is there; once more if it is missing.</p>
    <p v-for="check in checks.filter(one => said(one.id) === 'no')" :key="check.id" class="harm" role="status">◆ {{ check.otherwise }}</p>
  </div>
  <ul v-else class="checks" aria-label="Look at">
    <li v-for="check in checks" :key="check.id" :class="[said(check.id), { asked: check.id === asked }]">
      <span class="ask">{{ check.ask }}</span>
      <span class="answers" role="group" :aria-label="check.ask">
        <button
          type="button" class="key" :aria-pressed="said(check.id) === 'yes'"
          @click="press($event, check.id, 'yes')"
        >
          Yes
        </button>
        <button
          type="button" class="key" :aria-pressed="said(check.id) === 'no'"
          @click="press($event, check.id, 'no')"
        >
          No
        </button>
      </span>
      <p v-if="said(check.id) === 'no'" class="harm otherwise" role="status">◆ {{ check.otherwise }}</p>
      <p v-if="said(check.id) === 'no' && check.acts" class="acts">
        <button v-for="act in check.acts" :key="act.says" type="button" class="key" @click="emit('act', act)">{{ act.says }}</button>
        <button v-if="check.defects" type="button" class="key" @click="emit('wrong', check.defects)">Note it as a defect</button>
      </p>
    </li>
  </ul>
</template>

<style scoped>
.checks { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.2rem; }
.checks li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.2rem 1rem;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding-bottom: 0.2rem;
}
.ask { font-size: 1.25rem; line-height: 1.25; }
.answers { display: flex; gap: 0.5rem; }
.key { min-width: 72px; min-height: 64px; font-size: 1.1rem; }
.key[aria-pressed=true] { background: var(--leaf); border-color: var(--leaf); color: var(--surface); }
.no .key[aria-pressed=true] { background: var(--brick); border-color: var(--brick); }
.short { display: grid; gap: 0.5rem; }
.short ul { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.short .key.yes { border-color: var(--leaf); color: var(--leaf); }
.short .key.no { border-color: var(--brick); color: var(--brick); }
.asked .ask { font-weight: 700; }
.yes .ask { color: var(--ink-2); }
.acts { grid-column: 1 / -1; display: flex; flex-wrap: wrap; gap: 0.5rem; padding-bottom: 0.3rem; }
.otherwise { grid-column: 1 / -1; font-size: 1.15rem; }
@media (max-width: 640px) { .ask { font-size: 1.1rem; } .key { min-width: 60px; } }
</style>
