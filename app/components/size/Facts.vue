<script setup lang="ts">
import { barrelNames, stickGives } from '#core/barrel'
import type { Plan, PlanTrace } from '#core/plan'
import { thinnestSide } from '#core/shelf'

/** What a size comes to: the thinnest walls, the square, the stick, the wood. */
const props = defineProps<{ plan: Plan, traced: PlanTrace }>()
const { units } = storeToRefs(useWorkshop())

const blankSide = computed(() => props.plan.inputs.blank && thinnestSide(props.plan.inputs.blank))
/** What the stick of the blank gives, where its length is known. */
const gives = computed(() => {
  const length = props.plan.inputs.blank?.length
  return length === undefined ? undefined : stickGives(props.traced.stick, length)
})
function placeOf(at: number, length: number): string {
  if (at <= 0) return 'tip end'
  return at >= length ? 'clip end' : `${units.value.length(at, 0)} from the tip`
}
</script>

<template>
  <dl class="facts">
    <div v-for="one in traced.size.barrels" :key="one.barrel.id">
      <dt>Thinnest wall, {{ barrelNames[one.barrel.id] }}</dt>
      <dd :class="{ harm: one.wall.wall.value < traced.size.leastWall.value }">
        <FigureOpen :figure="one.wall.wall">{{ one.wall.wall.value > 0 ? units.length(one.wall.wall.value) : 'none left' }}</FigureOpen>,
        {{ placeOf(one.wall.at, one.barrel.tubeLength) }}
      </dd>
    </div>
    <div>
      <dt>Square to cut</dt>
      <dd :class="{ harm: blankSide !== undefined && blankSide < traced.size.section.value }">
        <FigureOpen :figure="traced.size.square">{{ units.length(traced.size.square.value, 1) }}</FigureOpen>, at least
        <FigureOpen :figure="traced.size.section">{{ units.length(traced.size.section.value, 1) }}</FigureOpen>
        <template v-if="blankSide !== undefined">; this blank has {{ units.length(blankSide, 1) }}</template>
      </dd>
    </div>
    <div>
      <dt>Stick for the pen</dt>
      <dd :class="{ harm: gives && !gives.pens }">
        <FigureOpen :figure="traced.stick.total">{{ units.length(traced.stick.total.value, 1) }}</FigureOpen>
        <template v-if="gives">; this blank gives {{ gives.pens }}, {{ units.length(gives.over, 0) }} over</template>
      </dd>
    </div>
    <div>
      <dt>Wood in the barrels</dt>
      <dd><FigureOpen :figure="traced.size.mass" />, turned away <FigureOpen :figure="traced.size.away" /></dd>
    </div>
  </dl>
</template>

<style scoped>
.facts { display: flex; flex-wrap: wrap; gap: 0.3rem 2rem; border-top: 1px solid var(--line); padding-top: 0.7rem; }
.facts div { display: flex; gap: 0.6rem; }
.facts dt { color: var(--ink-2); }
</style>
