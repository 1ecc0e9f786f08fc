<script setup lang="ts">
import { decimal } from '#core/format'
import { useElementSize } from '@vueuse/core'
import type { PlanTrace } from '#core/plan'

/**
 * What happens at the surface, step by step: scratches hang below the wood surface, film stands above it, both in µm on a logarithmic
 * scale. Dashed is what a levelling or a grit takes off; the dotted line is the least film wanted.
 */
const props = defineProps<{ traced: PlanTrace, least: number, chosen: string | null, next: string | null }>()
const emit = defineEmits<{ choose: [step: string] }>()

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const LEFT = 46
const HALF = 104
const TOP = 20
const surfaceY = TOP + HALF
const bottom = surfaceY + HALF
const labels = 74

const columns = computed(() => surfaceColumns(props.traced))
const step = computed(() => Math.max(12, (width.value - LEFT - 8) / Math.max(1, columns.value.length)))
const bar = computed(() => step.value * 0.82)
const up = (um: number) => surfaceY - logDepth(um) * HALF
const down = (um: number) => surfaceY + logDepth(um) * HALF
const xOf = (index: number) => LEFT + index * step.value + (step.value - bar.value) / 2
const ticks = [1, 3, 10, 30, 100]

/** A row of teeth of a depth, hanging from the surface. */
function teeth(index: number, um: number): string {
  const count = 4
  const wide = bar.value / count
  return Array.from(
    { length: count },
    (_, tooth) => `M${xOf(index) + tooth * wide} ${surfaceY}l${wide / 2} ${down(um) - surfaceY}l${wide / 2} ${surfaceY - down(um)}z`,
  ).join('')
}

/** The top of a film with its peaks and valleys, as a filled outline down to the surface. */
function filmPath(index: number, mean: number, unevenness: number): string {
  const [left, right] = [xOf(index), xOf(index) + bar.value]
  const [high, low] = [up(mean + unevenness / 2), up(Math.max(0.6, mean - unevenness / 2))]
  const part = bar.value / 4
  const wave = `q${part / 2} ${2 * (high - low)} ${part} 0`
  return `M${left} ${surfaceY}V${low}${wave.repeat(4)}V${surfaceY}H${right}Z`
}
/** Scratches in the top of a film. */
function filmTeeth(index: number, mean: number, scratch: number): string {
  const count = 5
  const wide = bar.value / count
  const depth = up(Math.max(0.6, mean - scratch)) - up(mean)
  return Array.from(
    { length: count },
    (_, tooth) => `M${xOf(index) + tooth * wide} ${up(mean)}l${wide / 2} ${Math.max(2, depth)}l${wide / 2} ${-Math.max(2, depth)}z`,
  ).join('')
}
const label = computed(() => {
  const chosen = columns.value.find(column => column.step === props.chosen)?.label
  return `What happens at the surface, ${columns.value.length} steps; arrow keys choose a step. ${chosen ? `Chosen: ${chosen}` : ''}`
})
function move(event: KeyboardEvent, by: number) {
  const at = columns.value.findIndex(column => column.step === props.chosen)
  const to = columns.value[Math.min(columns.value.length - 1, Math.max(0, at + by))]
  if (to) emit('choose', to.step)
  event.preventDefault()
}
</script>

<template>
  <div ref="box" class="surface figures">
    <svg
      v-if="width > 0" :width="width" :height="bottom + labels" role="application" tabindex="0"
      :aria-label="label"
      @keydown.right="move($event, 1)" @keydown.left="move($event, -1)"
    >
      <rect :x="LEFT" :y="surfaceY" :width="width - LEFT" :height="HALF" class="wood" />
      <g v-for="tick in ticks" :key="tick">
        <path :d="`M${LEFT} ${up(tick)}H${width}M${LEFT} ${down(tick)}H${width}`" class="grid" />
        <text :x="LEFT - 8" :y="up(tick) + 4" class="tick">{{ tick }}</text>
        <text :x="LEFT - 8" :y="down(tick) + 4" class="tick">{{ tick }}</text>
      </g>
      <text class="axis" :transform="`translate(12 ${TOP + HALF / 2}) rotate(-90)`">film, µm</text>
      <text class="axis" :transform="`translate(12 ${surfaceY + HALF / 2}) rotate(-90)`">scratches, µm</text>
      <g v-for="(column, index) in columns" :key="column.step">

        <g v-if="column.wood">
          <path :d="teeth(index, column.wood.before)" class="teeth pale" />
          <path :d="teeth(index, column.wood.after)" class="teeth" />
        </g>
        <g v-if="column.film">

          <path
            v-if="column.film.cut" :d="`M${xOf(index)} ${up(column.film.mean)}V${up(column.film.cut)}h${bar}V${up(column.film.mean)}`"
            class="cut"
          />
          <path
            :d="filmPath(index, column.film.mean, column.film.unevenness)"
            :class="['film', { level: column.film.cut || column.label === 'polish' }]"
          />
          <path v-if="column.film.scratch" :d="filmTeeth(index, column.film.mean, column.film.scratch)" class="teeth" />
        </g>
        <text
          class="name" :class="{ strong: column.step === chosen }"
          :transform="`translate(${xOf(index) + bar / 2 + 4} ${bottom + 14}) rotate(-45)`"
        >{{ column.label }}</text>
        <path v-if="column.step === next" :d="`M${xOf(index) + bar / 2 - 8} 4h16l-8 11z`" class="now" />
        <rect
          :x="LEFT + index * step" :y="TOP - 4" :width="step" :height="bottom - TOP + 8"
          :class="['hit', { chosen: column.step === chosen }]" @click="emit('choose', column.step)"
        />
      </g>
      <path :d="`M${LEFT} ${surfaceY}H${width}`" class="line" />
      <g v-if="least > 0 && columns.some(column => column.film)">
        <path :d="`M${LEFT} ${up(least)}H${width}`" class="least" />
        <text :x="LEFT + 6" :y="up(least) - 6" class="least-words">least film wanted, {{ decimal(least) }} µm</text>
      </g>
      <text :x="width - 6" :y="surfaceY + 18" class="axis end">wood surface</text>
    </svg>
  </div>
</template>

<style scoped>
/* As drawn it must not keep the page from becoming narrower. */
.surface { min-width: 0; contain: inline-size; }
svg { display: block; overflow: visible; }
.wood { fill: var(--wood-ground); }
.grid { stroke: var(--line); stroke-width: 1; }
.tick { font: 13px var(--font-mono); text-anchor: end; fill: var(--ink-2); }
.axis { font-size: 14px; fill: var(--ink-2); text-anchor: middle; }
.axis.end { text-anchor: end; }
.teeth { fill: var(--scratch); }
.teeth.pale { fill: var(--scratch-pale); }
.film { fill: var(--film-pale); }
.film.level { fill: var(--film); }
.cut { fill: none; stroke: var(--film); stroke-width: 1.5; stroke-dasharray: 3 2; }
.line { stroke: var(--ink); stroke-width: 3; }
.least { stroke: var(--leaf); stroke-width: 2; stroke-dasharray: 2 4; }
.least-words { font-size: 14px; font-weight: 600; fill: var(--leaf); }
/* Words stand on their own ground, not across lines. */
.least-words, .axis.end { paint-order: stroke; stroke-width: 5px; stroke-linejoin: round; stroke: var(--ground); }
.axis.end { stroke: var(--wood-ground); }
.name { font-size: 13px; text-anchor: end; fill: var(--ink-2); }
.name.strong { fill: var(--ink); font-weight: 700; }
.hit { fill: transparent; cursor: pointer; }
.hit.chosen { stroke: var(--ink); stroke-width: 2.5; }
.now { fill: var(--ink); }
</style>
