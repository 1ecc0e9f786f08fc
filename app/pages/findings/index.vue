<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { counted } from '#core/format'
import { readyQuestions, type Question } from '#core/findings'
import type { FindingAnswer } from '#contract'

useHead({ title: 'Findings · Oxlip' })
const store = useFindings()
const { place } = storeToRefs(store)
const { failed, loaded, again } = useLoad(store.load)
/** Until something else is asked it is what the log can answer best. */
const first = computed(() => place.value?.ready[0] ?? readyQuestions[0] ?? { of: 'any defect' as const, by: 'method' as const })
const { asked, ask } = useQuestion(() => ({ of: first.value.of, by: first.value.by }))

const answer = shallowRef<{ of: typeof asked.value, is: FindingAnswer }>()
const { failed: unanswered, again: answerAgain } = useInsist(async () => {
  const question = asked.value
  const is = await api('GET /api/findings/answer', { query: question })
  if (question === asked.value) answer.value = { of: question, is }
})
watch(() => loaded.value && asked.value, now => now && void answerAgain(), { immediate: true })
watch(() => place.value?.pens, () => loaded.value && void answerAgain())
/** While pens are counted for the first time it is asked now and then whether they are. */
const COUNTED = 3000
const { pause, resume } = useIntervalFn(() => void store.load().catch(() => undefined), COUNTED, { immediate: false })
watch(() => place.value?.isCounting, counting => (counting ? resume() : pause()), { immediate: true })
const top = useTemplateRef<HTMLElement>('top')
async function put({ of, by }: Question) {
  await ask({ of, by, among: [] })
  top.value?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!place" class="quiet" role="status">Fetching what the log knows ...</p>
  <div v-else class="findings figures">
    <header>
      <h1>Findings</h1>
      <p class="quiet">from {{ counted(place.pens, 'pen') }} finished or given up</p>
      <NuxtLink class="key" to="/findings/pictures">In pictures</NuxtLink>
      <NuxtLink class="key" to="/findings/hands">What Oxlip learnt of you</NuxtLink>
    </header>
    <section v-if="!place.pens" class="sheet none" role="status">
      <p>No pen is over yet. What the log knows comes from pens that are finished, or given up: what is still in work may yet go wrong.</p>
      <NuxtLink class="key next" to="/">To the bench</NuxtLink>
    </section>
    <template v-else>
      <div ref="top" class="asking">
        <FindingsAsk :asked="asked" :values="place.values" @ask="ask" />
        <ShellTrouble v-if="unanswered && !answer" :refused="unanswered" @again="answerAgain" />
        <FindingsAnswer v-else-if="answer" :asked="answer.of" :answer="answer.is" />
      </div>
      <aside>
        <FindingsTrials />
        <FindingsNoticed :noticed="place.noticed" :counting="place.isCounting" @ask="put" />
        <FindingsReady :ready="place.ready" :asked="asked" @ask="put" />
      </aside>
    </template>
  </div>
</template>

<style scoped>
.findings { display: grid; grid-template-columns: minmax(0, 1.7fr) minmax(0, 1fr); gap: 1.2rem 1.6rem; align-items: start; }
header { grid-column: 1 / -1; display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.5rem 1.2rem; }
header .key { align-self: center; }
header .key:first-of-type { margin-left: auto; }
.none { grid-column: 1 / -1; display: grid; justify-items: start; gap: 0.8rem; padding: 1.25rem; }
.asking, aside { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; min-width: 0; }
@media (max-width: 900px) { .findings { grid-template-columns: minmax(0, 1fr); } }
</style>
