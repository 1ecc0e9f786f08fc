<script setup lang="ts">
import { addMinutes, format } from 'date-fns'
import { forHelper } from '#core/evening'
import type { Column, Group } from '~/utils/evening-view'

/** Somebody’s line: what hands do, where something is changed, and both ends of their hours, which can be drawn out and in. */
const props = defineProps<{
  who: Who
  name: string
  groups: readonly Group[]
  columns: readonly Column[]
  /** When they are there, of what is shown. */
  hours: readonly Stretch[]
  /** When others are there and they are not. */
  away: readonly Pick<Stretch, 'from' | 'to'>[]
  movable: boolean
}>()
const emit = defineEmits<{
  drawn: [evening: Stretch, edge: Edge, moment: Date]
  pulled: [held: { evening: Stretch, edge: Edge, moment: Date } | undefined]
}>()
const { minute: now } = useClock()
const workshop = useWorkshop()
/** What has begun begins where it began. */
const ends = computed(() => (props.movable ? props.hours : []).flatMap((evening): End[] => [
  ...(evening.from > now.value ? [{ evening, edge: 'from', at: evening.from } as const] : []),
  { evening, edge: 'to', at: evening.to },
]))
interface End { evening: Stretch, edge: Edge, at: Date }
const field = useTemplateRef('field')
function called({ evening, edge, at }: End): string {
  const whose = props.who === 'helper' ? forHelper(workshop.workshop?.helper) : ''
  const which = `The ${edge === 'to' ? 'end' : 'beginning'} of ${eveningName(evening.from, now.value)}${whose}`
  return `${which}, ${format(at, 'HH:mm')}: arrow keys make it later or sooner`
}

/** Ends lie on five minutes. */
const STEP = 5
const pulled = ref<{ x: number, minutes: number }>()
function pull(event: PointerEvent) {
  pulled.value = { x: event.clientX, minutes: 0 }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function pulling({ evening, edge, at }: End, event: PointerEvent) {
  const box = field.value?.getBoundingClientRect()
  const column = props.columns.find(one => one.kind === 'evening' && one.from <= evening.from && one.to >= evening.to)
  if (!pulled.value || !box || !column) return
  const perPixel = (column.to.getTime() - column.from.getTime()) / (column.width * box.width)
  pulled.value.minutes = Math.round(((event.clientX - pulled.value.x) * perPixel) / 60_000 / STEP) * STEP
  emit('pulled', { evening, edge, moment: addMinutes(at, pulled.value.minutes) })
}
function letGo(end: End) {
  const minutes = pulled.value?.minutes ?? 0
  pulled.value = undefined
  emit('pulled', undefined)
  if (minutes) move(end, minutes)
}
/** So many minutes later, that day only. */
const move = ({ evening, edge, at }: End, minutes: number) => emit('drawn', evening, edge, addMinutes(at, minutes))
</script>

<template>
  <div class="row hands">
    <span class="name">{{ name }}</span>
    <div ref="field" class="lane">
      <i v-for="one in away" :key="one.from.getTime()" class="away" :style="drawnAt(columns, one)" :title="`${name}: not there`" />
      <template v-for="(group, index) in groups" :key="index">
        <span class="work" :style="drawnAt(columns, group)" :title="`${group.title}: ${group.marks.join(' ')}`">
          <b>{{ group.short }}</b>
        </span>
        <i v-if="group.change" class="change" :style="{ left: drawnAt(columns, group).left }" />
      </template>
      <button
        v-for="one in ends" :key="one.edge + one.at.getTime()" type="button" class="end" :class="one.edge" :aria-label="called(one)"
        :style="{ left: drawnAt(columns, { from: one.at, to: one.at }).left }"
        @pointerdown="pull($event)" @pointermove="pulling(one, $event)" @pointerup="letGo(one)"
        @keydown.right.stop.prevent="move(one, STEP)" @keydown.left.stop.prevent="move(one, -STEP)"
      />
    </div>
  </div>
</template>

<style scoped>
.row { position: relative; display: grid; grid-template-columns: var(--name) minmax(0, 1fr); align-items: center; }
.name { padding-right: 0.9rem; font-size: 0.95rem; font-weight: 700; line-height: 1.15; text-align: right; }
.lane { position: relative; min-height: 2.75rem; }
.away { position: absolute; inset-block: 0; background: color-mix(in srgb, var(--line) 55%, transparent); }
.work {
  position: absolute;
  top: 0.85rem;
  height: 1.3rem;
  overflow: hidden;
  container-type: inline-size;
  border-right: 1px solid var(--surface);
  border-radius: 2px;
  background: var(--ink);
  color: var(--surface);
}
/* A word stands in a block that has room for it, and in no other. */
.work b {
  display: none;
  padding: 0 0.25rem;
  overflow: hidden;
  white-space: nowrap;
  font-weight: 500;
  font-size: 0.85rem;
  line-height: 1.3rem;
  text-align: center;
}
@container (min-width: 42px) { .work b { display: block; } }
.change { position: absolute; top: 0.3rem; height: 0.45rem; border-left: 2px solid var(--ink-2); }
.end {
  position: absolute;
  top: 0;
  width: 24px;
  height: 2.75rem;
  margin-left: -12px;
  border: 0;
  background: none;
  cursor: ew-resize;
  touch-action: none;
}
.end::after {
  content: "";
  position: absolute;
  left: 9px;
  top: 0.55rem;
  width: 6px;
  height: 1.9rem;
  border-radius: 3px;
  background: var(--ink);
}
/* A beginning stands before it, so that it lies on nothing that is done first. */
.end.from { margin-left: -21px; }
.end.from::after { left: 12px; }
</style>
