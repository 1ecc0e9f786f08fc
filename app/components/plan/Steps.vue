<script setup lang="ts">
import { nth } from '#core/sure'
import { formatSpan } from '#core/format'
import type { BenchState } from '#core/bench'
import { coatsTitle, stepWords, type Plan, type PlanTrace, type Step } from '#core/plan'

/**
 * The steps of a plan as rows; the next one is yellow, the chosen one stands open. A run of done ones is folded, and so are coats that
 * are put on alike one after another.
 */
const props = defineProps<{ plan: Plan, traced: PlanTrace, state: BenchState, chosen: string | null }>()
const emit = defineEmits<{ choose: [step: string | null] }>()
const { units } = storeToRefs(useWorkshop())

/** Cutting and turning are about their figures: these stand in the row, the reason below. */
const figuresFirst = (step: Step) => step.kind === 'cut' || step.kind === 'turn'
const rows = computed(() =>
  props.traced.steps.map((one, index) => {
    const words = stepWords(props.plan, one, units.value, props.traced)
    const status = nth(props.state.steps, index).status
    const next = props.state.next?.id === one.step.id
    const row = {
      one,
      index,
      status,
      next,
      title: words.title,
      short: figuresFirst(one.step) ? words.how : words.why,
      more: figuresFirst(one.step) ? words.why : words.how,
      time: formatSpan(one.handsOn.value),
      wait: one.wait ? formatSpan(one.wait.length.value) : '',
    }
    const folds = !next && (one.step.kind === 'coat' || isBetweenCoats(one.step))
    const what = one.step.kind === 'coat' ? coatKey(one.step) : row.title
    return { ...row, alike: folds ? [status, what, row.short, row.more, row.time, row.wait].join('|') : null }
  }),
)
/** The run of settled steps at the start, folded away so that the next one is in sight. */
const settled = computed(() => {
  const first = rows.value.findIndex(row => row.status === 'open')
  return first < 0 ? 0 : first
})
const unfolded = ref(false)
const seen = computed(() =>
  unfolded.value || settled.value < 3
    ? rows.value
    : rows.value.filter(row => row.index >= settled.value || row.one.step.id === props.chosen),
)
/** The runs of coats that are shown one by one, each by its first step. */
const apart = ref(new Set<string>())
const shown = computed(() =>
  runsOf(seen.value).flatMap(({ rows, period }) => {
    const [first, last, then] = [nth(rows, 0), nth(rows, rows.length - period), period === 2 ? rows[1] : undefined]
    const [from, to] = [first.one.step, last.one.step]
    const alone = rows.map(row => ({ id: row.one.step.id, title: '', first: row, then: undefined, open: true, rows: [row] }))
    if (from.kind !== 'coat' || to.kind !== 'coat' || from === to) return alone
    const open = apart.value.has(from.id) || rows.some(row => row.one.step.id === props.chosen)
    return [{ id: from.id, title: coatsTitle(props.plan, from, to), first, then, open, rows: open ? rows : [] }]
  }),
)
function unfold(id: string, open: boolean) {
  const isChosenIn = open && shown.value.find(run => run.id === id)?.rows.some(row => row.one.step.id === props.chosen)
  if (isChosenIn) emit('choose', null)
  apart.value = new Set(open ? [...apart.value].filter(one => one !== id) : [...apart.value, id])
}
const toggle = (id: string) => emit('choose', id === props.chosen ? null : id)
</script>

<template>
  <ol class="sheet figures">
    <li v-if="settled >= 3" class="done">
      <button type="button" class="head fold" :aria-expanded="unfolded" @click="unfolded = !unfolded">
        <span class="number" aria-hidden="true">✓</span>
        <b>{{ settled }} steps done</b>
        <span class="why">{{ rows[0]!.title }} to {{ rows[settled - 1]!.title }}</span>
        <span class="time">{{ unfolded ? 'fold' : 'show' }}</span>
      </button>
    </li>
    <template v-for="run in shown" :key="run.id">
      <li v-if="run.title" :class="run.first.status">
        <button type="button" class="head" :aria-expanded="run.open" @click="unfold(run.id, run.open)">
          <span class="number" aria-hidden="true">{{ run.first.status === 'done' ? '✓' : run.first.index + 1 }}</span>
          <b>{{ run.title }}</b>
          <span class="why">{{ run.open ? 'each by itself' : run.first.short }}<template v-if="run.then && !run.open">.
            After each: {{ run.then.title }}</template></span>
          <span class="time">
            <template v-if="run.open">fold</template>
            <template v-else>{{ run.first.time }} each<small v-if="run.first.wait">after {{ run.first.wait }} each</small><small
              v-if="run.then"
            >and {{ run.then.time }}<template v-if="run.then.wait"> after {{ run.then.wait }}</template></small></template>
          </span>
        </button>
      </li>
      <li
        v-for="{ one, index, title, short, more, time, wait, status, next } in run.rows" :key="one.step.id"
        :class="[status, { next, chosen: one.step.id === chosen }]"
      >
        <button type="button" class="head" :aria-expanded="one.step.id === chosen" @click="toggle(one.step.id)">
          <span class="number" aria-hidden="true">{{ status === 'done' ? '✓' : status === 'skipped' ? '–' : next ? '▸' : index + 1 }}</span>
          <span class="sr-only">{{ { done: 'Done:', skipped: 'Left out:', open: next ? 'Next:' : '' }[status] }}</span>
          <b>{{ title }}</b>
          <span class="why">{{ short }}</span>
          <span class="time">{{ status === 'skipped' ? '' : time }}<small v-if="wait">after {{ wait }}</small></span>
        </button>
        <PlanOpened
          v-if="one.step.id === chosen" :plan="plan" :traced="traced" :state="state" :one="one" :status="status" :says="more"
        />
      </li>
    </template>
  </ol>
</template>

<style scoped>
ol { overflow: hidden; }
li + li { border-top: 1px solid var(--line); }
.head {
  display: grid;
  grid-template-columns: 1.4rem minmax(6.5rem, 9.4rem) minmax(0, 1fr) auto;
  gap: 0.7rem;
  align-items: baseline;
  width: 100%;
  min-height: 40px;
  padding: 0.5rem 0.8rem;
  text-align: left;
  cursor: pointer;
  color: var(--ink);
}
.head:hover { background: color-mix(in srgb, var(--line) 35%, transparent); }
.number { text-align: right; color: var(--ink-2); }
.why { color: var(--ink-2); font-size: 0.95rem; line-height: 1.35; }
.done:not(.chosen) .why { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.time { text-align: right; white-space: nowrap; display: grid; }
.time small { color: var(--ink-2); font-size: 0.82rem; }
.done .head, .skipped .head { color: var(--ink-2); }
.skipped b { text-decoration: line-through; }
.next .head { background: var(--oxlip); color: var(--on-oxlip); }
.next .why, .next .number, .next small { color: var(--on-oxlip-2); }
.chosen .head { box-shadow: inset 3px 0 var(--ink); }
@media (max-width: 640px) {
  .head { grid-template-columns: 1.4rem minmax(0, 1fr) auto; }
  .why { grid-column: 2 / -1; grid-row: 2; }
}
</style>
