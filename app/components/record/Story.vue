<script setup lang="ts">
import { format, isSameDay } from 'date-fns'
import { barrelNames } from '#core/barrel'
import { story, type BenchState, type DefectState, type Evening, type Happening, type PenRecord } from '#core/bench'
import type { AirReading } from '#core/climate'
import { nth } from '#core/sure'
import { capital, decimal, formatSpan } from '#core/format'
import { coatsTitle, waitWords } from '#core/plan'

/** What happened on a pen, evening by evening: what was done, in what air, what went wrong and how it was mended. */
const props = defineProps<{
  told: PenRecord
  state: BenchState
  air: readonly AirReading[]
  titleOf: (step: string) => string
}>()
const { units } = storeToRefs(useWorkshop())
const photos = usePhotos()
const evenings = computed(() => story(props.told, props.state, props.air))

function when({ from, to }: Evening): string {
  const [began, ended] = [new Date(from), new Date(to)]
  const day = format(began, began.getFullYear() === new Date().getFullYear() ? 'EEEE d MMMM' : 'EEEE d MMMM yyyy')
  if (ended.getTime() - began.getTime() < 60_000) return `${day}, ${format(began, 'HH:mm')}`
  return `${day}, ${format(began, 'HH:mm')} to ${format(ended, isSameDay(began, ended) ? 'HH:mm' : 'EEE HH:mm')}`
}
/** The air of an evening, from the lowest reading to the highest. */
function airWords({ air }: Evening): string {
  const range = (values: number[], unit: string, places: number) => {
    const [low, high] = [decimal(Math.min(...values), places), decimal(Math.max(...values), places)]
    return `${low === high ? low : `${low} to ${high}`} ${unit}`
  }
  return `${range(air.map(one => one.celsius), '°C', 1)}, ${range(air.map(one => one.humidity), '%', 0)}`
}
function workedWords(evening: Evening): string {
  const worked = evening.handsOn > 0 ? `${formatSpan(evening.handsOn)} hands on` : ''
  return [worked, evening.air.length ? airWords(evening) : ''].filter(Boolean).join(' · ')
}
/** Titles of steps, coats of one product that followed one another as one. */
function stepsIn(rows: PenRecord['rows']): string[] {
  const keyed = rows.map(({ step }) => ({
    step, alike: step.kind === 'coat' ? coatKey(step) : isBetweenCoats(step) ? props.titleOf(step.id) : null,
  }))
  return runsOf(keyed).flatMap(({ rows: run, period }) => {
    const [first, last, then] = [nth(run, 0).step, nth(run, run.length - period).step, period === 2 ? run[1]?.step : undefined]
    if (first.kind !== 'coat' || last.kind !== 'coat' || first === last) return run.map(({ step }) => props.titleOf(step.id))
    return [`${coatsTitle(props.state.plan, first, last)}${then ? `, after each: ${props.titleOf(then.id)}` : ''}`]
  })
}
const placeOf = (defect: DefectState) =>
  `${units.value.length(defect.size, 1)}, ${barrelNames[defect.barrel]}, ${units.value.length(defect.fromTip, 1)} from its tip end`
const AWAY = { 'set aside': 'Set aside', 'given up': 'Given up', 'mistake': 'Started by mistake' }

/** What it is, and more of it. */
function says(one: Exclude<Happening, { kind: 'steps' }>): { label: string, more: string } {
  switch (one.kind) {
    case 'defect':
      return { label: defectName(one.defect.kind), more: placeOf(one.defect) }
    case 'mend':
      return { label: one.failed ? 'Mend that did not hold' : 'Mend', more: `${one.way}; ${defectName(one.defect.kind).toLowerCase()}` }
    case 'settled':
      return { label: one.defect.status === 'mended' ? 'Mended' : 'Left as it is', more: defectName(one.defect.kind).toLowerCase() }
    case 'measured': {
      const { barrel, fromTip, diameter } = one.reading
      return {
        label: `Measured ${units.value.length(diameter)}`,
        more: `${barrelNames[barrel]}, ${units.value.length(fromTip, 1)} from its tip end`,
      }
    }
    case 'part':
      return { label: one.part, more: otherwiseWords(one.as, mm => units.value.length(mm, 1)) }
    case 'remark':
      return one.remark.photo ? { label: one.remark.text, more: '' } : { label: 'Remark', more: one.remark.text }
    case 'left out':
      return { label: 'Left out', more: props.titleOf(one.step) }
    case 'cut short': {
      const label = `Wait cut short by ${formatSpan(one.wait.shortBy)}`
      return { label, more: `${waitWords[one.wait.purpose]}; ${props.titleOf(one.step)}` }
    }
    case 'away':
      return { label: AWAY[one.away.how], more: one.away.why }
    case 'made':
      return { label: 'Finished before its log was kept here', more: one.made.words }
    case 'leave':
      return { label: one.gone.how === 'sold' ? 'Sold' : 'Given away', more: leavingWords(one.gone) }
    case 'gate':
      return { label: one.how === 'seen' ? 'The teacher has looked' : 'Agreed', more: gateWords(one.gate) }
    case 'return':
      return { label: one.back.why === 'repair' ? 'Came back to be mended' : 'Given back', more: returnWords(one.back) }
  }
}
const isBad = (one: Happening) => one.kind === 'defect' || one.kind === 'cut short' || (one.kind === 'mend' && one.failed)
</script>

<template>
  <section class="went" aria-labelledby="story">
    <h2 id="story">How it went</h2>
    <ol class="evenings">
      <li v-for="evening in evenings" :key="evening.from" class="sheet">
        <header>
          <h3>{{ when(evening) }}</h3>
          <p class="quiet">{{ workedWords(evening) }}</p>
        </header>
        <ol class="moments">
          <li v-for="(one, index) in evening.happenings" :key="index" :class="{ bad: isBad(one), steps: one.kind === 'steps' }">
            <time :datetime="one.at">{{ format(new Date(one.at), 'HH:mm') }}</time>
            <p v-if="one.kind === 'steps'">
              <span v-for="title in stepsIn(one.rows)" :key="title" class="did">{{ title }}</span>
            </p>
            <p v-else>
              <b>{{ isBad(one) ? '◆ ' : '' }}{{ capital(says(one).label) }}</b> <span class="more">{{ says(one).more }}</span>
              <a
                v-if="one.kind === 'remark' && one.remark.photo" :href="photos.urlOf(one.remark.photo, 'large')" target="_blank"
                rel="noopener"
              >
                <img :src="photos.urlOf(one.remark.photo)" :alt="`${one.remark.text}, opens large`">
              </a>
              <template v-if="one.kind === 'defect'">
                <a v-for="photo in one.defect.photos" :key="photo" :href="photos.urlOf(photo, 'large')" target="_blank" rel="noopener">
                  <img :src="photos.urlOf(photo)" alt="The defect, opens large">
                </a>
              </template>
            </p>
          </li>
        </ol>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.went { display: grid; gap: 0.5rem; }
.evenings { display: grid; gap: 0.7rem; }
.evenings > li { display: grid; gap: 0.4rem; padding: 0.8rem 1.1rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.1rem 1.2rem; }
h3 { font-size: 1.1rem; }
.moments { display: grid; gap: 0.25rem; }
.moments li { display: grid; grid-template-columns: 3.4rem minmax(0, 1fr); gap: 0.6rem; align-items: baseline; }
time { color: var(--ink-2); font: 0.9rem var(--font-mono); }
.did { display: inline-block; }
.did:not(:last-child)::after { content: '·'; margin: 0 0.5rem; color: var(--ink-2); }
.more { color: var(--ink-2); white-space: pre-line; }
.bad b { color: var(--brick); }
img { display: block; height: 6rem; margin-top: 0.3rem; border-radius: 6px; }
</style>
