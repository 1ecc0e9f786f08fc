<script setup lang="ts">
import type { ListedPen, Trial } from '#contract'
import { capital, counted } from '#core/format'
import { toolIds } from '#core/plan'

/** Ways that are tried out: which the next pen gets, how far it is, and what came of it. */
const store = useFindings()
const methods = useMethods()
const { trials } = storeToRefs(store)
const planned = shallowRef<ListedPen[]>([])
const { again } = useInsist(async () => {
  planned.value = (await api('GET /api/pens', { query: { stage: 'planned', sort: 'marks', limit: 200 } })).pens
})
const going = computed(() => trials.value?.filter(one => one.next !== null).length ?? 0)
watch(going, is => is && void again(), { immediate: true })
const NONE = 'none'
const choices = (trial: Trial) => [
  { label: 'Give it to ...', value: NONE },
  ...planned.value.filter(({ pen }) => !trial.given.some(one => one.id === pen.id))
    .map(({ pen }) => ({ label: `${pen.mark} ${pen.name}`, value: pen.id })),
]
const title = ({ question, ways }: Trial) =>
  `${ofLabel(question.of)}: ${ways.map(way => valueLabel(question.by, way)).join(' or ')}`
const far = ({ given, pens }: Trial) => `${given.filter(one => one.made !== null).length} of ${counted(2 * pens, 'pen')} are over`
const otherwise = ({ given }: Trial) => given.filter(one => one.made !== null && one.made !== one.way).map(one => one.mark)

const said = ref('')
/** Gives a pen its way; what a plan can say of it is changed in its plan. */
async function give(trial: Trial, id: string) {
  said.value = ''
  const { next, question: { by } } = trial
  const found = planned.value.find(one => one.pen.id === id)
  if (next === null || !found) return
  try {
    await store.giveWay(trial.id, id)
    const method = by === 'method' ? (methods.methods ?? []).find(one => one.name === next) : undefined
    const tool = by === 'tool' ? toolIds.find(one => one === next) : undefined
    const { mark, version } = found.pen
    if (method || tool) {
      const change = { version, ...(method ? { method: method.id } : {}), ...(tool ? { tool } : {}) }
      await api('PATCH /api/pens/:id', { params: { id }, body: change })
      said.value = `${mark} is planned with: ${valueLabel(by, next)}.`
    } else said.value = `${mark} is to be made with: ${valueLabel(by, next)}. Change its plan, or remember it at the bench.`
    await again()
  } catch (error) {
    const answer = refused(error)
    said.value = Object.values(answer.fields)[0] ?? answer.message
  }
}
onMounted(() => void methods.load().catch(() => undefined))
</script>

<template>
  <section v-if="trials?.length" class="sheet" aria-labelledby="trials">
    <h2 id="trials">Tried out</h2>
    <p v-if="said" role="status">{{ said }}</p>
    <article v-for="trial in trials" :key="trial.id" :aria-label="title(trial)">
      <h3>{{ title(trial) }}</h3>
      <p class="quiet">{{ far(trial) }}<template v-if="trial.ended">, ended before its time</template></p>
      <template v-if="trial.answer">
        <p>{{ capital(answerSays(trial.question.of, trial.question.by, { kind: 'rate', ...trial.answer })) }}</p>
        <p v-if="otherwise(trial).length" class="quiet">
          Made otherwise than drawn, and counted as drawn: {{ otherwise(trial).join(', ') }}.
        </p>
      </template>
      <template v-else>
        <p v-if="trial.next">The next pen: <b>{{ valueLabel(trial.question.by, trial.next) }}</b>, as the lot has it.</p>
        <p v-else class="quiet">Every pen has its way. What came of it is told once all are over.</p>
        <div class="acts">
          <USelect
            v-if="trial.next" :model-value="NONE" :items="choices(trial)" size="lg" aria-label="Give it to"
            @update:model-value="$event !== NONE && give(trial, $event)"
          />
          <button type="button" class="key" @click="store.endTrial(trial.id)">End it</button>
        </div>
      </template>
    </article>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; padding: 1rem 1.1rem; }
article { display: grid; gap: 0.3rem; padding-top: 0.5rem; border-top: 1px solid var(--line); }
h3 { font-size: 1.05rem; }
.acts { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.acts :deep(button[role="combobox"]) { min-width: 11rem; min-height: 44px; }
</style>
