<script setup lang="ts">
import type { Stick } from '#core/barrel'

/**
 * The stick of one pen to scale: its pieces, the kerfs in the order they are cut, the witness mark across the cut, and from where each
 * piece is drilled.
 */
const props = withDefaults(
  defineProps<{ stick: Stick, mark: string, colour: string, section: number, drilled?: boolean, label: string }>(),
  { drilled: false },
)
const { units } = storeToRefs(useWorkshop())

const MARGIN = 3
const length = computed(() => props.stick.total.value)
const deep = computed(() => Math.max(9, Math.min(20, props.section)))
const order = computed(() => props.stick.cuts.map((cut, index) => ({ ...cut, number: index + 1 })))
/** Drilled from the middle cut outwards: the first piece to the left, the second to the right. */
const arrows = computed(() =>
  props.stick.pieces.map(({ from, length: { value } }, index) => {
    const [start, end] = index === 0 && props.stick.pieces.length > 1 ? [from + value - 3, from + 6] : [from + 3, from + value - 6]
    return { start, end, way: end < start ? -1 : 1 }
  }),
)
</script>

<template>
  <figure class="stick figures">
    <svg :viewBox="`${-MARGIN} -7 ${length + 2 * MARGIN} ${deep + 21}`" role="img" :aria-label="label">
      <rect
        v-for="piece in stick.pieces" :key="piece.barrel" :x="piece.from" y="0" :width="piece.length.value" :height="deep"
        :fill="colour" class="piece"
      />
      <path
        v-for="piece in stick.pieces" :key="`${piece.barrel}axis`" :d="`M${piece.from} ${deep / 2}h${piece.length.value}`" class="axis"
      />
      <path
        v-for="cut in order" :key="cut.number" :d="`M${cut.at + stick.kerf / 2} -2v${deep + 4}`" class="kerf"
        :style="{ strokeWidth: stick.kerf }"
      />
      <text v-for="cut in order" :key="`${cut.number}text`" :x="Math.min(length - 1, cut.at + stick.kerf / 2)" y="-3.2" class="order">
        {{ cut.number }}
      </text>
      <g class="witness">
        <path :d="`M${stick.witness - 5} ${deep - 1.5}l10 ${-deep + 3}`" />
        <text v-if="stick.pieces.length > 1" :x="stick.witness - 8" :y="deep * 0.42" class="letter end">{{ mark }}</text>
        <text :x="stick.witness + 7" :y="deep * 0.42" class="letter">{{ mark }}</text>
      </g>
      <g v-if="drilled" class="drill">
        <path
          v-for="(arrow, index) in arrows" :key="index"
          :d="`M${arrow.start} ${deep * 0.74}H${arrow.end}m${-arrow.way * 3} -2l${arrow.way * 3} 2l${-arrow.way * 3} 2`"
        />
      </g>
      <text
        v-for="piece in stick.pieces" :key="`${piece.barrel}length`" :x="piece.from + piece.length.value / 2" :y="deep + 5.6"
        class="length"
      >{{ units.length(piece.length.value, 1) }}</text>
      <text :x="length / 2" :y="deep + 11.6" class="length total">{{ units.length(length, 1) }} in all</text>
    </svg>
  </figure>
</template>

<style scoped>
svg { display: block; width: 100%; max-height: 11rem; }
.piece { stroke: none; }
.axis { stroke: #fffdf4; stroke-width: 0.25; stroke-dasharray: 2 1 0.5 1; opacity: 0.7; }
.kerf { stroke: var(--brick); opacity: 0.75; }
.witness path { stroke: #fffdf4; stroke-width: 0.9; fill: none; }
.letter { font: 700 4.4px var(--font-head); fill: #fffdf4; stroke: #241a10; stroke-width: 0.9px; paint-order: stroke; }
.letter.end { text-anchor: end; }
.order { font-size: 3.6px; font-weight: 700; text-anchor: middle; fill: var(--brick); }
.length { font-size: 4px; text-anchor: middle; fill: var(--ink); }
.total { fill: var(--ink-2); font-size: 3.6px; }
.drill path { fill: none; stroke: #fffdf4; stroke-width: 1; }
</style>
