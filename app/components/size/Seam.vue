<script setup lang="ts">
import { seamBand, slimmest } from '#core/barrel'
import type { Plan, PlanTrace } from '#core/plan'
import { isHybrid } from '#core/shelf'

/** Where the seam of a hybrid must lie so that both halves show, and are held. */
const props = defineProps<{ plan: Plan, traced: PlanTrace }>()
const { units } = storeToRefs(useWorkshop())

/** How far the bore lies from the middle of the blank, mm towards the far face. */
const boreOff = ref<number | null>(0)
/** The band for a hybrid’s seam, of the barrel that leaves it least. */
const seam = computed(() => {
  const { blank, material } = props.plan.inputs
  if (!isHybrid(material)) return undefined
  const slim = props.traced.size.barrels.reduce((a, b) => (slimmest(b.finished).diameter < slimmest(a.finished).diameter ? b : a))
  const wide = Math.max(...props.traced.size.barrels.map(one => one.drilling.bit.value))
  const [width, height] = [
    blank?.width ?? props.traced.size.section.value,
    blank?.height ?? blank?.width ?? props.traced.size.section.value,
  ]
  const finished = slimmest(slim.finished).diameter
  const wander = Math.max(...props.traced.size.barrels.map(one => one.section.wander.value))
  const off = boreOff.value !== null && Math.abs(boreOff.value) < width / 2 ? boreOff.value : 0
  return { width, height, bore: wide, finished, off, band: seamBand({ width, bore: wide, finished, wander, offset: off }) }
})
</script>

<template>
  <div v-if="seam" class="seam">
    <BarrelSeam
      :width="seam.width" :height="seam.height" :bore="seam.bore" :finished="seam.finished" :off="seam.off" :band="seam.band"
      :colour="plan.inputs.material.colour"
    />
    <FieldMeasure
      v-model="boreOff" label="Bore off the middle by" size="lg"
      :error="boreOff !== null && Math.abs(boreOff) >= seam.width / 2 ? 'That is outside the blank.' : undefined"
    />
    <p v-if="seam.band.shows">
      <b>Seam between {{ units.length(seam.band.shows.from, 1) }} and {{ units.length(seam.band.shows.to, 1) }}</b> from one face of a
      blank {{ units.length(seam.width, 1) }} wide: there both halves still show at the finished surface along the whole barrel.
      <template v-if="seam.band.held">
        Between {{ units.length(seam.band.held.from, 1) }} and {{ units.length(seam.band.held.to, 1) }} both are glued to the tube as
        well; outside that the smaller half is held by the seam alone.
      </template>
    </p>
    <p v-else class="harm">◆ The bit may wander further than this barrel is thick: no seam is sure to show on both sides.</p>
  </div>
</template>

<style scoped>
.seam { display: flex; flex-wrap: wrap; gap: 1rem; align-items: center; border-top: 1px solid var(--line); padding-top: 0.8rem; }
.seam p { flex: 1 1 20rem; max-width: 46rem; }
.seam > .measure { flex: 0 0 12rem; }
</style>
