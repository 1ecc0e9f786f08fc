<script setup lang="ts">
import { barrelNames, type BarrelId, type End } from '#core/barrel'
import { capital } from '#core/format'
import type { Plan, PlanTrace, Sizing } from '#core/plan'

/**
 * How a pen is sized: the diameter of every end and how it meets its metal, the outline of each barrel, the wall where it is thinnest,
 * the section, the glue. All of it is worked out while it is changed.
 */
const props = defineProps<{ plan: Plan, traced: PlanTrace }>()
const sizing = defineModel<Sizing | undefined>({ required: true })
const emit = defineEmits<{ keep: [] }>()
const { wishes, change } = useWishes(() => props.plan, sizing)

function setEnd(barrel: BarrelId, end: End, diameter: number | null) {
  const others = (wishes.value.ends ?? []).filter(one => one.barrel !== barrel || one.end !== end)
  if (diameter !== null && !(diameter > 0 && diameter <= 40)) return
  change({ ends: diameter === null ? others : [...others, { barrel, end, diameter }] })
}
defineExpose({ setEnd })
</script>

<template>
  <section class="size sheet figures" aria-labelledby="size-head">
    <PlanPanelHead
      id="size-head" title="Shape and size" keep="Keep this size" :changed="sizing !== undefined" @undo="sizing = undefined"
      @keep="emit('keep')"
    >
      Drag an end on the pen above, or type. Nothing is kept until you say so.
    </PlanPanelHead>
    <div v-for="one in traced.size.barrels" :key="one.barrel.id" class="barrel">
      <h3>{{ capital(barrelNames[one.barrel.id]) }}</h3>
      <SizeEnd
        v-for="end in one.ends" :key="end.end" :end="end" :of="one" :colour="plan.inputs.material.colour"
        @turn="setEnd(one.barrel.id, end.end, $event)"
      />
      <SizeShape class="form" :of="one" @shape="change({ shapes: { ...wishes.shapes, [one.barrel.id]: $event } })" />
    </div>
    <SizeFacts :plan="plan" :traced="traced" />
    <SizeGlue :plan="plan" :traced="traced" @glue="change({ glue: $event })" />
    <SizeSeam :plan="plan" :traced="traced" />
  </section>
</template>

<style scoped>
.size { display: grid; gap: 0.9rem; padding: 1rem 1.2rem; }
.barrel {
  display: grid;
  grid-template-columns: 7.5rem repeat(2, minmax(0, 1fr)) minmax(0, 1.1fr);
  gap: 0.4rem 1.4rem;
  align-items: start;
  border-top: 1px solid var(--line);
  padding-top: 0.7rem;
}
h3 { font-size: 1.05rem; padding-top: 1.9rem; }
@container panels (max-width: 1000px) {
  .barrel { grid-template-columns: repeat(2, minmax(0, 1fr)); }
  .barrel h3 { grid-column: 1 / -1; padding-top: 0; }
  .form { grid-column: 1 / -1; }
}
@container panels (max-width: 560px) { .barrel { grid-template-columns: minmax(0, 1fr); } }
</style>
