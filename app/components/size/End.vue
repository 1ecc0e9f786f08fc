<script setup lang="ts">
import { meeting } from '#core/barrel'
import { capital } from '#core/format'
import type { SizedBarrel, SizedEnd } from '#core/plan'

/** One end of a barrel: the diameter to turn it to, and how it then meets its metal. */
defineProps<{ end: SizedEnd, of: SizedBarrel, colour: string }>()
const emit = defineEmits<{ turn: [diameter: number | null] }>()
const { units } = storeToRefs(useWorkshop())

const endFault = (one: SizedEnd, barrel: SizedBarrel): string | undefined => {
  if (one.own === undefined) return undefined
  return one.own <= barrel.barrel.tubeOuter
    ? `The tube is ${units.value.length(barrel.barrel.tubeOuter)}: no wood is left over it.`
    : undefined
}
function verdict(end: SizedEnd): string {
  if (end.own === undefined)
    return Math.abs(end.proud) < 0.005
      ? 'ends flush'
      : `ends flush: ${units.value.length(Math.abs(end.proud))} ${end.proud < 0 ? 'under the metal' : 'proud'} now`
  const way = meeting(end.over)
  return way === 'flush' ? 'ends flush' : `ends ${units.value.length(Math.abs(end.over))} ${way}`
}
</script>

<template>
  <div class="joint">
    <FieldMeasure
      :model-value="end.own ?? end.diameter.value" :label="`${capital(end.end)} end, turn to`" size="lg" :digits="2"
      :error="endFault(end, of)" @update:model-value="emit('turn', $event)"
    />
    <BarrelJoint
      :over="end.over" :end="end.end" :colour="colour"
      :label="`The ${end.end} end under a lens: ${verdict(end)}`"
    />
    <p :class="{ harm: meeting(end.over) !== 'flush' }" class="verdict">
      {{ verdict(end) }}<template v-if="end.bushing">; bushing measures {{ units.length(end.bushing.measured.value) }}</template>
      <button v-if="end.own !== undefined" type="button" class="link" @click="emit('turn', null)">
        as worked out, {{ units.length(end.diameter.value) }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.joint { display: grid; grid-template-columns: minmax(7.5rem, 11rem) auto; gap: 0.2rem 0.9rem; align-items: end; justify-content: start; }
.verdict { grid-column: 1 / -1; min-height: 1.5rem; font-size: 0.95rem; color: var(--ink-2); }
.verdict.harm { color: var(--brick); }
.link { min-height: 28px; padding: 0 0.2rem; text-decoration: underline; color: var(--leaf); cursor: pointer; }
</style>
