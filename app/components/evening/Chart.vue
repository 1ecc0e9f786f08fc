<script setup lang="ts">
import { addMinutes, differenceInCalendarDays, format, max, min } from 'date-fns'
import type { Board } from '~/stores/bench'
import type { Column, Shown } from '~/utils/evening-view'
import type { Wish } from '~/composables/usePinning'

/** The coming evenings side by side, nights folded between them: the line of hands on top, a row for each pen. */
const props = defineProps<{
  blocks: readonly Shown[]
  /** What is shown side by side: when anybody is there. */
  evenings: readonly Stretch[]
  /** The turner’s own hours, and those of whoever helps. */
  own: readonly Stretch[]
  helped: readonly Stretch[]
  promised: readonly Promised[]
  boards: readonly Board[]
  before: boolean
  after: boolean
  /** What is held would cost this. */
  cost: string
  /** Whether the order may be changed, and hours. */
  movable: boolean
}>()
const emit = defineEmits<{
  move: [by: number]
  pick: [block: Shown]
  hold: [block: Shown, wish: Wish | undefined]
  put: [block: Shown, wish: Wish]
  drawn: [who: Who, evening: Stretch, edge: Edge, moment: Date]
}>()
const { minute: now } = useClock()
const workshop = useWorkshop()

const columns = computed(() => columnsOf(props.evenings, props.evenings.length))
const all = computed(() => rowsOf(props.boards, props.blocks, props.promised, columns.value, now.value))
const rows = computed(() => all.value.filter(hasMuch))
/** A mark of three figures needs more room than there is beside the evenings on a phone. */
const isLong = computed(() => rows.value.some(one => one.board.pen.mark.length > 3))
const others = computed(() => all.value.filter(one => !hasMuch(one)).map(one => one.board.pen.mark))
const shown = computed(() => props.blocks.filter(one => one.inHours && isShown(columns.value, one)))
/** Somebody’s line: what their hands do, in which of their hours, and where others are there and they are not. */
const lineOf = (who: Who, name: string, hours: readonly Stretch[]) => ({
  who,
  name,
  groups: groupsOf(shown.value.filter(one => (one.crew === 0) === (who === 'turner'))),
  hours: hours.filter(one => isShown(columns.value, one)),
  away: columns.value.flatMap(one => (one.kind === 'evening' ? leftOf(one, hours) : [])),
})
const lines = computed(() => [
  lineOf('turner', 'your hands', props.own),
  lineOf('helper', workshop.workshop?.helper ?? 'who helps', props.helped),
].filter(one => one.who === 'turner' || one.hours.length))
const isNowShown = computed(() => isShown(columns.value, { from: now.value, to: addMinutes(now.value, 1) }))
const asSvg = () => eveningSvg({
  columns: columns.value,
  hands: lines.value,
  rows: rows.value,
  now: now.value,
})
const nightName = ({ from, to }: Column) => {
  const nights = differenceInCalendarDays(to, from)
  if (!nights) return ''
  return nights > 1 ? `${nights} nights` : 'night'
}
/** An end of somebody’s hours while it is drawn out. */
const pulled = shallowRef<{ evening: Stretch, edge: Edge, moment: Date }>()
/** From when until when anybody is there, with what is drawn out as it would be. */
function hoursOf({ from, to }: Column): string {
  const those = [...props.own, ...props.helped].filter(one => one.from >= from && one.to <= to).map(one =>
    (one === pulled.value?.evening ? { ...one, [pulled.value.edge]: pulled.value.moment } : one))
  const clock = (moments: readonly Date[], which: typeof min) => format(which([...moments]), 'HH:mm')
  return `${clock(those.map(one => one.from), min)}–${clock(those.map(one => one.to), max)}`
}
const placed = ({ left, width }: Column) => ({ left: `${100 * left}%`, width: `${100 * width}%` })
</script>

<template>
  <section
    class="chart figures" :class="{ long: isLong }" aria-label="The coming evenings"
    @keydown.left="emit('move', -1)" @keydown.right="emit('move', 1)"
  >
    <div class="ground" aria-hidden="true">
      <i v-for="(one, index) in columns" :key="index" :class="one.kind" :style="placed(one)" />
      <i v-if="isNowShown" class="now" :style="{ left: drawnAt(columns, { from: now, to: now }).left }" />
    </div>
    <div class="heads">
      <span class="turn">
        <button type="button" :disabled="!before" aria-label="Sooner evenings" @click="emit('move', -1)">
          <UIcon name="i-lucide-arrow-left" aria-hidden="true" />
        </button>
        <button type="button" :disabled="!after" aria-label="Later evenings" @click="emit('move', 1)">
          <UIcon name="i-lucide-arrow-right" aria-hidden="true" />
        </button>
      </span>
      <div class="lane">
        <div v-for="(one, index) in columns" :key="index" :class="['head', one.kind]" :style="placed(one)">
          <template v-if="one.kind === 'evening'">
            <b>{{ eveningName(one.from, now) }}</b>
            <span class="hours">{{ hoursOf(one) }}</span>
          </template>
          <span v-else>{{ nightName(one) }}</span>
        </div>
      </div>
    </div>
    <EveningHands
      v-for="line in lines" :key="line.who" v-bind="line" :columns="columns" :movable="movable" @pulled="pulled = $event"
      @drawn="(evening, edge, moment) => emit('drawn', line.who, evening, edge, moment)"
    />
    <EveningRow
      v-for="row in rows" :key="row.board.pen.id" :row="row" :columns="columns" :cost="cost" :movable="movable"
      @pick="emit('pick', $event)" @hold="(block, wish) => emit('hold', block, wish)" @put="(block, wish) => emit('put', block, wish)"
    />
    <FieldSaveSvg :drawn="asSvg" name="oxlip-evenings" label="Save the evenings" class="save" />
    <p v-if="others.length" class="quiet later">Nothing in these evenings: {{ others.join(' ') }}</p>
  </section>
</template>

<style scoped>
.chart { position: relative; --name: 11.5rem; }
.ground { position: absolute; inset: 0 0 0 var(--name); }
.ground i { position: absolute; inset-block: 0; }
.ground .evening { background: var(--surface); }
.ground .night { background: color-mix(in srgb, var(--line) 55%, transparent); }
.ground .now { border-left: 2.5px solid var(--ink); }
.heads { position: relative; display: grid; grid-template-columns: var(--name) minmax(0, 1fr); align-items: center; }
.lane { position: relative; height: 100%; min-height: 2.6rem; }
.head {
  position: absolute;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 0 0.5rem;
  padding: 0.35rem 0.5rem;
}
.head.night { justify-content: center; padding-inline: 0; color: var(--ink-2); font-size: 0.85rem; line-height: 1.1; text-align: center; }
.head b { font: 700 1.15rem var(--font-head); }
.hours { font-family: var(--font-mono); font-size: 0.9rem; color: var(--ink-2); }
.turn { display: flex; gap: 0.4rem; }
.turn button { width: 44px; height: 44px; border: 2px solid var(--line); border-radius: 8px; background: var(--surface); cursor: pointer; }
.turn button:disabled { opacity: 0.4; cursor: default; }
.save { position: relative; margin-top: 0.6rem; }
.later { position: relative; padding: 0.5rem; background: var(--ground); }
@media (max-width: 640px) {
  .chart { --name: 4.6rem; }
  .chart.long { --name: 5.6rem; }
  .turn { gap: 0; }
  .turn button { width: 36px; }
}
</style>
