<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { Column, Shown } from '~/utils/evening-view'
import type { Wish } from '~/composables/usePinning'
import type { Drawn, Row } from '~/utils/evening-rows'

/** One pen in the coming evenings; its work can be taken up and put elsewhere. */
const props = defineProps<{ row: Row, columns: readonly Column[], cost: string, movable: boolean }>()
const emit = defineEmits<{ pick: [block: Shown], hold: [block: Shown, wish: Wish | undefined], put: [block: Shown, wish: Wish] }>()
const { minute: now } = useClock()
const field = useTemplateRef('field')
const { width } = useElementSize(field)
/** A word fits into a block of this width; no block is thinner than this; a letter is about as wide as this, px. */
const INSIDE = 44
const THIN = 5
const LETTER = 7.5
/** What stands beside a block that is too narrow for it: where there is room before the next one. */
const words = computed(() => props.row.bands.flatMap((band, index) => {
  const at = (moment: Date) => alongEvenings(props.columns, moment) * width.value
  const [left, right] = [at(band.from), at(band.to)]
  const next = props.row.bands[index + 1]
  const evening = props.columns.find(one => one.kind === 'evening' && band.to >= one.from && band.to <= one.to)
  const room = Math.min(next ? at(next.from) : Infinity, evening ? at(evening.to) : width.value) - right - 4
  const edge = Math.max(right, left + THIN)
  const says = [band.says, band.first.short].find(one => one.length * LETTER + (edge - right) <= room)
  return right - left < INSIDE && says ? [{ left: edge + 3, says }] : []
}))
const summary = computed(() => props.row.board.summary)
const isDark = computed(() => !isLight(summary.value.material.colour))
/** A finger finds nothing narrower than this, px: blocks that lie closer are taken up as one. */
const FINGER = 24
interface Target extends Drawn { left: number, right: number }
const targets = computed(() => {
  const all: Target[] = []
  for (const band of props.row.bands) {
    const left = Math.max(0, Math.min(alongEvenings(props.columns, band.from) * width.value, width.value - FINGER))
    const right = Math.max(alongEvenings(props.columns, band.to) * width.value, left + FINGER)
    const last = all.at(-1)
    if (last && left < last.right) Object.assign(last, { right, to: band.to, blocks: [...last.blocks, ...band.blocks] })
    else all.push({ ...band, left, right })
  }
  return all
})
function spoken({ blocks, from, to }: Drawn): string {
  const titles = [...new Set(blocks.map(one => one.title))].join(', ')
  return `${props.row.board.pen.mark}, ${titles}: ${clockTime(from, now.value)} to ${clockTime(to, now.value)}`
}

/** What is held, where the finger took it, and what it would be put down as. */
const held = shallowRef<{ block: Shown, x: number, moved: boolean, wish?: Wish | undefined }>()
/** A finger that moves less than this rests, px. */
const RESTS = 8
function take({ left, blocks, first }: Target, event: PointerEvent) {
  // Of several the one under the finger, or the last before it.
  const at = event.clientX - (field.value?.getBoundingClientRect().left ?? 0)
  const under = blocks.filter(one => alongEvenings(props.columns, one.from) * width.value <= Math.max(left, at))
  held.value = { block: under.at(-1) ?? first, x: event.clientX, moved: false }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent) {
  const one = props.movable ? held.value : undefined
  const box = field.value?.getBoundingClientRect()
  if (!one || !box || (!one.moved && Math.abs(event.clientX - one.x) < RESTS)) return
  const wish = wishAt(one.block, (event.clientX - box.left) / box.width)
  const isSame = wish?.at === one.wish?.at && wish?.kind === one.wish?.kind
  held.value = { ...one, moved: true, wish }
  if (!isSame) emit('hold', one.block, wish)
}
/** Later than it lies: not before then. Sooner: begun by then. To five minutes; nothing where no evening is. */
function wishAt(block: Shown, part: number): Wish | undefined {
  const column = props.columns.find(one => one.kind === 'evening' && part >= one.left && part <= one.left + one.width)
  if (!column) return undefined
  const { from, to, left, width } = column
  const moment = from.getTime() + ((part - left) / width) * (to.getTime() - from.getTime())
  const at = new Date(Math.round(moment / 300_000) * 300_000)
  return { kind: at > block.from ? 'not before' : 'by', at: at.toISOString() }
}
function letGo() {
  const one = held.value
  held.value = undefined
  if (!one) return
  if (!one.moved) emit('pick', one.block)
  else if (one.wish) emit('put', one.block, one.wish)
  else emit('hold', one.block, undefined)
}
/** Where what is held would lie, and what is said of that. */
const ghost = computed(() => {
  const one = held.value
  if (!one?.moved) return undefined
  if (!one.wish?.at) return { says: 'Nobody is at the lathe there: let go, and it stays where it was.' }
  const left = `${alongEvenings(props.columns, new Date(one.wish.at)) * width.value}px`
  const cost = props.cost || 'Working out what it costs ...'
  return { left, says: `${one.block.title}. ${wishWords(one.wish, now.value)}. ${cost}` }
})
const isHeld = ({ blocks }: Drawn) => held.value?.moved && blocks.includes(held.value.block)
</script>

<template>
  <div class="row">
    <NuxtLink class="name" :to="`/pens/${row.board.pen.id}`">
      <PenTag :mark="row.board.pen.mark" /><span class="called" :title="row.board.pen.name">{{ row.board.pen.name }}</span>
    </NuxtLink>
    <div ref="field" class="lane">
      <i v-for="(wait, index) in row.waits" :key="`w${index}`" class="wait" :style="drawnAt(columns, wait)" />
      <i
        v-for="band in row.bands" :key="band.first.is.id" class="band" :class="{ held: isHeld(band), dark: isDark }"
        :style="{ ...drawnAt(columns, band), '--wood': summary.material.colour }"
      ><b>{{ band.says }}</b></i>
      <span v-for="word in words" :key="`s${word.left}`" class="word" :style="{ left: `${word.left}px` }">
        {{ word.says }}
      </span>
      <button
        v-for="target in targets" :key="`t${target.first.is.id}`" type="button" class="target" :aria-label="spoken(target)"
        :style="{ left: `${target.left}px`, width: `${target.right - target.left}px` }"
        @pointerdown="take(target, $event)" @pointermove="drag" @pointerup="letGo" @pointercancel="held = undefined"
        @keydown.enter.prevent="emit('pick', target.first)"
      />
      <template v-if="ghost">
        <i v-if="ghost.left" class="ghost" :style="{ left: ghost.left }" />
        <b class="told" role="status" :style="{ '--at': ghost.left ?? '50%' }">{{ ghost.says }}</b>
      </template>
      <i
        v-for="(edge, index) in row.edges" :key="`l${index}`" class="latest" :class="{ missed: edge.missed }"
        :title="edge.missed ? 'past its latest time' : `to be begun by ${clockTime(edge.at, now)}`"
        :style="{ left: drawnAt(columns, { from: edge.at, to: edge.at }).left }"
      />
      <span
        v-if="row.flag" class="flag" :class="{ late: !row.flag.kept }"
        :style="{ left: drawnAt(columns, { from: row.flag.at, to: row.flag.at }).left }"
      >
        <UIcon name="i-lucide-flag" aria-hidden="true" />{{ row.flag.kept ? 'kept' : 'late' }}
      </span>
    </div>
  </div>
</template>

<style scoped>
.row {
  position: relative;
  display: grid;
  grid-template-columns: var(--name) minmax(0, 1fr);
  align-items: center;
  border-top: 1px solid var(--line);
}
.name {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-width: 0;
  padding-right: 0.6rem;
  color: var(--ink);
  font-size: 0.95rem;
  line-height: 1.15;
}
/* A long name does not make its row taller than the others. */
.called { display: -webkit-box; overflow: hidden; -webkit-box-orient: vertical; -webkit-line-clamp: 2; line-clamp: 2; }
.lane { position: relative; height: 100%; min-height: 2.75rem; }
.wait { position: absolute; bottom: 0.5rem; height: 9px; background: var(--wait); }
.word {
  position: absolute;
  top: 0.3rem;
  overflow: hidden;
  white-space: nowrap;
  color: var(--ink);
  font-size: 0.85rem;
  line-height: 1.2;
  pointer-events: none;
}
.band {
  position: absolute;
  top: 0.35rem;
  bottom: 0.35rem;
  min-width: 5px;
  overflow: hidden;
  container-type: inline-size;
  border-radius: 3px;
  background: var(--wood);
  color: #1c2b24;
  box-shadow: inset 0 0 0 1px rgb(0 0 0 / 25%);
  font-style: normal;
  line-height: 2rem;
}
.target { position: absolute; inset-block: 0; border: 0; background: none; cursor: grab; touch-action: pan-y; }
.target:active { cursor: grabbing; }
.band.dark { color: #fff; }
.band b { display: none; overflow: hidden; white-space: nowrap; font-weight: 700; font-size: 0.85rem; text-align: center; }
@container (min-width: 44px) { .band b { display: block; } }
.band.held { outline: 3px solid var(--leaf); }
.ghost { position: absolute; z-index: 3; inset-block: 0; border-left: 3px solid var(--leaf); pointer-events: none; }
/* Below what is held, and within the row. */
.told {
  --wide: min(20rem, 100%);
  position: absolute;
  z-index: 3;
  top: calc(100% + 2px);
  left: clamp(0px, var(--at) - var(--wide) / 2, 100% - var(--wide));
  width: var(--wide);
  pointer-events: none;
  padding: 0.35rem 0.6rem;
  border: 1px solid var(--leaf);
  border-radius: 4px;
  background: var(--surface);
  color: var(--ink);
  font-size: 0.95rem;
  line-height: 1.3;
}
.latest { position: absolute; inset-block: 0.2rem; border-left: 2px dashed var(--brick); }
.latest.missed { border-left: 4px solid var(--brick); }
.flag {
  position: absolute;
  top: 0.3rem;
  display: inline-flex;
  align-items: center;
  gap: 0.2rem;
  height: 2.1rem;
  padding: 0 0.3rem;
  border-left: 2px solid currentColor;
  background: var(--surface);
  font-weight: 700;
  font-size: 0.9rem;
  color: var(--leaf);
}
.flag.late { color: var(--brick); }
@media (max-width: 640px) { .called { display: none; } }
</style>
