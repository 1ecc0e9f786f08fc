<script setup lang="ts">
import { addMinutes, format } from 'date-fns'
import type { Column, Group } from '~/utils/evening-view'

/** The line of hands: what they do, where something is changed, and the ends of evenings, which can be drawn longer or shorter. */
const props = defineProps<{ name: string, groups: readonly Group[], columns: readonly Column[], movable?: boolean }>()
const emit = defineEmits<{ ends: [evening: Pick<Stretch, 'day' | 'to'>, until: Date], pulled: [day: string, end: Date | undefined] }>()
const { minute: now } = useClock()
const evenings = computed(() => (props.movable ? props.columns.filter(one => one.kind === 'evening') : []))
const field = useTemplateRef('field')

/** Ends lie on five minutes. */
const STEP = 5
const pulled = ref<{ day: string, x: number, minutes: number }>()
function pull({ day = '' }: Column, event: PointerEvent) {
  pulled.value = { day, x: event.clientX, minutes: 0 }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function pulling({ day = '', from, to, width }: Column, event: PointerEvent) {
  const box = field.value?.getBoundingClientRect()
  if (!pulled.value || !box) return
  const perPixel = (to.getTime() - from.getTime()) / (width * box.width)
  pulled.value.minutes = Math.round(((event.clientX - pulled.value.x) * perPixel) / 60_000 / STEP) * STEP
  emit('pulled', day, addMinutes(to, pulled.value.minutes))
}
function letGo(column: Column) {
  const minutes = pulled.value?.minutes ?? 0
  pulled.value = undefined
  emit('pulled', '', undefined)
  if (minutes) lengthen(column, minutes)
}
/** The evening ends so many minutes later, that day only. */
const lengthen = ({ day = '', to }: Column, minutes: number) => emit('ends', { day, to }, addMinutes(to, minutes))
</script>

<template>
  <div class="row hands">
    <span class="name">{{ name }}</span>
    <div ref="field" class="lane">
      <template v-for="(group, index) in groups" :key="index">
        <span class="work" :style="drawnAt(columns, group)" :title="`${group.title}: ${group.marks.join(' ')}`">
          <b>{{ group.short }}</b>
        </span>
        <i v-if="group.change" class="change" :style="{ left: drawnAt(columns, group).left }" />
      </template>
      <button
        v-for="one in evenings" :key="one.day" type="button" class="end" :style="{ left: `${100 * (one.left + one.width)}%` }"
        :aria-label="`The end of ${eveningName(one.from, now)}, ${format(one.to, 'HH:mm')}: arrow keys make it later or sooner`"
        @pointerdown="pull(one, $event)" @pointermove="pulling(one, $event)" @pointerup="letGo(one)"
        @keydown.right.stop.prevent="lengthen(one, STEP)" @keydown.left.stop.prevent="lengthen(one, -STEP)"
      />
    </div>
  </div>
</template>

<style scoped>
.row { position: relative; display: grid; grid-template-columns: var(--name) minmax(0, 1fr); align-items: center; }
.name { padding-right: 0.6rem; font-size: 0.95rem; font-weight: 700; line-height: 1.15; text-align: right; }
.lane { position: relative; min-height: 2.75rem; }
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
</style>
