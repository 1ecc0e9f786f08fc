<script setup lang="ts">
import type { DefectState } from '#core/bench'
import { OTHER } from '#core/defects'
import { share } from '#core/format'

/** Why a defect came about: the question that would tell most, and the causes with what speaks for and against them. */
const props = defineProps<{ defect: DefectState }>()
const emit = defineEmits<{ answer: [question: string, answer: 'yes' | 'no' | 'not known'], judge: [cause: string | null] }>()
const { why, all, ranked, likely, own } = useCauses(() => props.defect)
const judge = (cause: string) => emit('judge', cause === props.defect.judged ? null : cause)
const ANSWERS = [['yes', 'Yes'], ['no', 'No'], ['not known', 'Not known']] as const
</script>

<template>
  <section aria-labelledby="why">
    <h3 id="why">Why</h3>
    <div v-if="why?.question && !defect.judged" class="question" role="group" aria-labelledby="ask">
      <p id="ask">{{ why.question.ask }}</p>
      <button v-for="[said, words] in ANSWERS" :key="said" type="button" class="key" @click="emit('answer', why.question.id, said)">
        {{ words }}
      </button>
    </div>
    <ol class="causes" aria-label="Causes, the likeliest first">
      <li v-for="one in ranked" :key="one.id" :class="{ judged: one.id === defect.judged }">
        <div class="cause">
          <b>{{ one.says }}</b><span class="odds">{{ share(one.chance) }}</span>
          <i aria-hidden="true" :style="{ width: `${100 * one.chance}%` }" />
        </div>
        <p v-for="finding in one.for.slice(0, 3)" :key="finding.evidence" class="for">+ {{ finding.says }}</p>
        <p v-for="finding in one.against.slice(0, 2)" :key="finding.evidence" class="against">− {{ finding.says }}</p>
        <button type="button" class="say" :aria-pressed="one.id === defect.judged" @click="judge(one.id)">
          {{ one.id === defect.judged ? 'Judged so' : 'It was this' }}
        </button>
      </li>
    </ol>
    <p class="more">
      <button type="button" class="say" @click="all = !all">{{ all ? 'Fewer causes' : 'All causes' }}</button>
      <button type="button" class="say" :aria-pressed="defect.judged === 'not known'" @click="judge('not known')">Not known</button>
    </p>
    <p v-if="likely && likely.id !== OTHER && likely.avoid" class="quiet">Next time: {{ likely.avoid }}</p>
    <p class="quiet small">Common practice, weighed with our own starting figures{{ own ? ' and your own judgements' : '' }}.</p>
  </section>
</template>

<style scoped>
h3 { font: 700 1.2rem var(--font-head); color: var(--ink-2); margin-bottom: 0.3rem; }
.question {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin-bottom: 0.6rem;
  padding: 0.6rem 0.8rem;
  border: 2px solid var(--ink-2);
  border-radius: 8px;
}
.question p { flex: 1 1 100%; font-size: 1.15rem; line-height: 1.25; }
.question .key { min-height: 64px; flex: 1; }
.causes { display: grid; gap: 0.5rem; }
.cause { position: relative; display: flex; justify-content: space-between; gap: 1rem; padding-bottom: 0.4rem; font-size: 1.1rem; }
.cause i { position: absolute; left: 0; bottom: 0; height: 5px; border-radius: 3px; background: var(--wait); }
.causes li.judged .cause i { background: var(--leaf); }
.odds { white-space: nowrap; }
.for, .against { font-size: 0.98rem; line-height: 1.3; }
.for { color: var(--ink); }
.against { color: var(--ink-2); }
.more { display: flex; gap: 0.8rem; }
.small { font-size: 0.9rem; }
.say {
  min-height: 44px;
  padding: 0 0.7rem 0 0;
  color: var(--ink-2);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.say[aria-pressed=true] { color: var(--leaf); font-weight: 700; }
</style>
