<script setup lang="ts">
import { capital, counted } from '#core/format'
import { leastFilm, trace, type Plan, type PlanTrace } from '#core/plan'
import { settledSteps } from '#core/bench'
import { branchAlong, canBeKept, changesFor, changeWord, goTogether, handOf, type Change, type Hand, type SpreadName } from '#core/simulate'
import type { DefectKind } from '#core/defects'
import { results, type Result } from '~/utils/what-if-talk'

/** No more than so many plans stand side by side. */
const MOST = 4
/** What stands for no choice in a select. */
const NONE = 'none'
const store = usePen()
const { pen, plan, state } = storeToRefs(store)
const workshop = useWorkshop()
const methods = useMethods()
const route = useRoute()
const toast = useToast()
const attempt = useChanging()
const defects = useDefects()
const findings = useFindings()
/** What the shop's own pens add; without them the written tables speak alone. */
const hasShop = ref(false)
onMounted(async () => {
  await Promise.allSettled([methods.load(), defects.load(), findings.load()])
  hasShop.value = true
})

const all = computed(() => methods.methods ?? [])
const done = computed(() => (state.value ? settledSteps(state.value) : new Set<string>()))
/** Branches stand in the address, each as the words of what is otherwise in it. */
const BETWEEN = { branches: ',', words: '~' }
const said = computed(() => {
  const text = typeof route.query.with === 'string' ? route.query.with : ''
  return text.split(BETWEEN.branches).map(one => one.split(BETWEEN.words).filter(Boolean)).filter(one => one.length)
})
const say = (branches: readonly (readonly string[])[]) => {
  const text = branches.filter(one => one.length).map(one => one.join(BETWEEN.words)).join(BETWEEN.branches)
  return navigateTo({ query: { with: text || undefined } }, { replace: true })
}

interface Column {
  changes: readonly Change[]
  label: string
  plan: Plan
  hand: Hand
  traced: PlanTrace
}
const columns = computed((): Column[] => {
  const now = plan.value
  if (!now) return []
  const names = { plan: now, methods: all.value }
  const hand = handOf(now.inputs.material, workshop.learnt, workshop.learnt?.hands)
  return [
    { changes: [], label: 'As planned', plan: now, hand, traced: trace(now) },
    ...said.value
      .map(words => branchAlong(now, words, all.value, done.value))
      .filter(one => one.changes.length)
      .slice(0, MOST - 1)
      .map(({ changes, plan, hand: own }): Column => ({
        changes, plan, hand: { ...hand, ...own }, traced: trace(plan), label: changes.map(one => changeLabel(one, names)).join(' · '),
      })),
  ]
})
/** The branches that are shown, as words. */
const words = computed(() => columns.value.slice(1).map(one => one.changes.map(changeWord)))
const result = ref<Result>('film')
const shop = computed(() => (hasShop.value ? { judged: defects.history.causes, usual: defects.history.usual } : undefined))
const { played, shares, foreseen, runs } = useWhatIf(() => columns.value, { of: () => result.value, shop: () => shop.value })
const lines = computed(() => (foreseen.value.length === columns.value.length ? foreseenLines(foreseen.value) : []))
const pens = computed(() => findings.place?.pens ?? 0)
const foundOn = (kind: DefectKind) => findings.place?.often[kind] ?? 0
/** What can be otherwise in a plan beside what is already. */
function itemsFor({ plan: now, changes }: Pick<Column, 'plan' | 'changes'>, label: string) {
  const open = changesFor(now, all.value, done.value).filter(one => changes.every(each => goTogether(each, one)))
  return [
    { label, value: NONE }, ...open.map(one => ({ label: changeLabel(one, { plan: now, methods: all.value }), value: changeWord(one) })),
  ]
}
const items = computed(() => {
  const [now] = columns.value
  const alone = new Set(words.value.flatMap(([word, ...more]) => (word && !more.length ? [word] : [])))
  return now ? itemsFor(now, 'What if ...').filter(one => !alone.has(one.value)) : []
})
/** The same for each branch; worked out once, not with each thousand of runs. */
const further = computed(() => columns.value.map((column, index) => (index ? itemsFor(column, 'and ...') : [])))
/** All plans on one scale, each line on its own. */
function scaleOf(name: SpreadName): { from: number, to: number } {
  const told = played.value.map(one => one[name])
  return { from: 0, to: Math.max(1e-9, ...told.map(one => one.high)) }
}
function isOther(name: Parameters<typeof differs>[0], index: number): boolean {
  const [planned, other] = [played.value[0], played.value[index]]
  return index > 0 && planned !== undefined && other !== undefined && differs(name, other, planned)
}
function isPlainOther({ says }: (typeof plainLines)[number], index: number): boolean {
  const [planned, other] = [columns.value[0], columns.value[index]]
  const saysOf = ({ traced }: typeof columns.value[number]) => says(traced, workshop.units, workshop.inMoney)
  return planned !== undefined && other !== undefined && saysOf(other) !== saysOf(planned)
}
const productName = (id: string) => plan.value?.inputs.shelf.products.find(one => one.id === id)?.name ?? id
const matters = computed(() => (shares.value?.is ?? []).filter(one => one.total >= 0.08).slice(0, 4))
const resultItems = results.map(value => ({ label: resultLabels[value], value }))

const putAway = (index: number) => say(words.value.filter((_, at) => at !== index - 1))
const addTo = (index: number, word: string) => say(words.value.map((one, at) => (at === index - 1 ? [...one, word] : one)))

/** Takes what a branch has otherwise in its plan; the one before is kept as an older version. */
async function take({ changes, plan: { inputs: { wishes } } }: Column, index: number) {
  const { tool: _t, film: _f, ...sizing } = wishes
  const kept = changes.filter(canBeKept)
  const method = kept.find(one => one.kind === 'method')
  await attempt(async () => {
    await store.change({ ...(method ? { method: method.method } : {}), ...(kept.some(one => one !== method) ? { sizing } : {}) })
    toast.add({ title: 'Taken. The plan follows.' })
    await putAway(index)
  })
}
/** Of what is otherwise in a branch, what is of the room or the hand is not taken with it. */
const takesAll = ({ changes }: Column) => changes.every(canBeKept)
</script>

<template>
  <div v-if="pen && plan && state" class="what-if figures">
    <PenHead :pen="pen" />
    <div class="top">
      <h2>What if</h2>
      <p class="quiet">
        Each plan is made {{ runs }} times over, as your hands, the paper and the bottles may have it.
        <span role="status">{{ played[0] ? `${played[0].runs} so far.` : 'Playing ...' }}</span>
      </p>
      <USelect
        v-if="columns.length < MOST" :model-value="NONE" :items="items" size="xl" aria-label="What if"
        @update:model-value="$event !== NONE && say([...words, [$event]])"
      />
    </div>
    <p v-if="state.finished" class="quiet">It is finished: what is told here is what its plan would come to, made once more.</p>
    <div class="scrolls" tabindex="0" role="region" aria-label="Plans side by side">
      <table class="sheet">
        <thead>
          <tr>
            <td />
            <th v-for="(column, index) in columns" :key="column.label" scope="col">
              <span class="head">{{ column.label }}</span>
              <BuildSection
                :traced="column.traced" :least="leastFilm(column.plan.inputs).value" size="card"
                :colour="column.plan.inputs.material.colour"
              />
              <span class="quiet">{{ coatsLabel(column.plan) }}</span>
              <span v-if="index" class="acts">
                <button
                  v-if="column.changes.some(canBeKept) && !state.finished" type="button" class="key" @click="take(column, index)"
                >
                  {{ takesAll(column) ? 'Take this one' : 'Take what is of the plan' }}
                </button>
                <button type="button" class="key" :aria-label="`Put away: ${column.label}`" @click="putAway(index)">Put away</button>
                <USelect
                  :model-value="NONE" :items="further[index] ?? []" size="lg" :aria-label="`And what if: ${column.label}`"
                  @update:model-value="$event !== NONE && addTo(index, $event)"
                />
              </span>
            </th>
          </tr>
        </thead>
        <tbody v-if="played.length === columns.length">
          <tr v-for="line in spreadLines" :key="line.name">
            <th scope="row">{{ line.label }}</th>
            <td v-for="(one, index) in played" :key="index">
              <WhatifSpread
                v-bind="scaleOf(line.name)" :spread="one[line.name]" :text="line.says(one[line.name].middle)"
                :marked="isOther(line.name, index)" :range="rangeWords(one[line.name], line.says)"
              />
            </td>
          </tr>
          <tr v-for="line in plainLines" :key="line.label">
            <th scope="row">{{ line.label }}</th>
            <td v-for="(column, index) in columns" :key="index" :class="{ marked: isPlainOther(line, index) }">
              {{ line.says(column.traced, workshop.units, workshop.inMoney) }}
            </td>
          </tr>
          <tr v-for="line in hazardLines" :key="line.name">
            <th scope="row">{{ line.label }}</th>
            <td v-for="(one, index) in played" :key="index" :class="{ marked: isOther(line.name, index) }">
              {{ oftenWords(one[line.name], one.runs) }}
            </td>
          </tr>
        </tbody>
        <tbody v-if="lines.length && played.length === columns.length" aria-label="Defects that the causes speak for">
          <tr v-for="line in lines" :key="line.kind">
            <th scope="row">
              {{ ofLabel(line.kind) }}
              <span v-if="tellsOwn(pens)" class="quiet">on {{ foundOn(line.kind) }} of {{ counted(pens, 'pen') }} so far</span>
            </th>
            <td v-for="(times, index) in line.times" :key="index" :class="{ marked: foreseenDiffers(line, index) }">
              {{ timesWords(times, foundOn(line.kind), pens) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <section class="sheet matters" aria-labelledby="matters">
      <h2 id="matters">What matters here</h2>
      <USelect v-model="result" :items="resultItems" size="lg" aria-label="For which result" />
      <ol v-if="matters.length">
        <li v-for="one in matters" :key="one.id">
          <b>{{ capital(partWords(one.total)) }}</b> of what is unknown of {{ resultLabels[result] }}: {{ knowWords(one.id, productName) }}.
        </li>
      </ol>
      <p v-else class="quiet" role="status">{{ shares ? 'Nothing of it is unknown.' : 'Weighing ...' }}</p>
    </section>
    <p class="quiet">
      Bars: nine of ten times. Bold: otherwise than planned by more than the runs differ by chance. Kinds of defects are weighed by the
      tables of their causes, against what is usual here; what comes of it in truth the log tells under Findings. The product label stands
      above every wait told here.
    </p>
  </div>
</template>

<style scoped>
.what-if { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
.top { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 1.2rem; }
.top :deep(button[role="combobox"]) { min-width: 16rem; min-height: 44px; margin-left: auto; }
.scrolls { overflow-x: auto; }
table { width: 100%; border-collapse: separate; border-spacing: 0; table-layout: fixed; }
th, td { padding: 0.55rem 0.9rem; text-align: left; vertical-align: top; font-weight: 400; }
th:first-child, thead td { width: 13rem; }
thead th > * { display: block; }
.head { min-height: 2.8rem; font: 700 1.05rem var(--font-head); }
.acts { display: flex; flex-wrap: wrap; gap: 0.5rem; margin-top: 0.4rem; }
.acts .key { min-height: 40px; padding: 0.3rem 0.7rem; }
tbody tr > * { border-top: 1px solid var(--line); }
td.marked { font-weight: 800; }
.matters { display: grid; justify-items: start; gap: 0.6rem; padding: 1rem 1.1rem; }
.matters ol { display: grid; gap: 0.35rem; }
@media (max-width: 900px) {
  th:first-child, thead td { width: 8rem; }
  table { min-width: 36rem; }
}
</style>
