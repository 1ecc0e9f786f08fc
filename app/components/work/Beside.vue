<script setup lang="ts">
import type { BenchState } from '#core/bench'
import type { DefectKind } from '#core/defects'
import { leastFilm, type Check, type CheckAct, type DiameterReading, type Plan, type PlanTrace, type StepTrace } from '#core/plan'
import type { Pen } from '#contract'

/** What stands beside the next action: things to look at and to measure. */
const props = defineProps<{
  pen: Pen
  plan: Plan
  traced: PlanTrace
  state: BenchState
  next: StepTrace
  checks: readonly Check[]
  /** Whether diameters are measured now. */
  measuring: boolean
}>()
const emit = defineEmits<{
  look: [said: 'not yet' | 'cannot tell']
  on: []
  measure: [reading: DiameterReading]
  answer: [check: string, said: 'yes' | 'no']
  wrong: [looks: readonly DefectKind[]]
  act: [act: CheckAct]
}>()
const stock = useStock()

const blank = computed(() => stock.blank(props.pen.blank ?? null))
/** The step before the next one, for the section as it stands now. */
const before = computed(() => {
  const at = props.traced.steps.findIndex(one => one.step.id === props.next.step.id)
  return props.traced.steps[at - 1]?.step.id ?? null
})
const stations = useTemplateRef<{ take: (mm: number) => void }>('stations')
defineExpose({ take: (mm: number) => stations.value?.take(mm) })
</script>

<template>
  <aside class="beside" aria-label="To look at and to measure">
    <LazyBarrelStick
      v-if="['cut', 'drill'].includes(next.step.kind) && !next.step.again" :stick="traced.stick" :mark="pen.mark"
      :colour="plan.inputs.material.colour" :section="traced.size.section.value" :drilled="next.step.kind === 'drill'"
      label="The stick to scale, with its cuts, the witness mark and from where it is drilled"
    />
    <LazyPlanParts v-if="next.step.kind === 'parts'" :fitting="plan.inputs.fitting" class="parts" />
    <LazyShelfMoisture v-if="next.step.kind === 'dry' && blank" :blank="blank" />
    <WorkGrit
      v-if="next.step.kind === 'sand'" :key="next.step.id" :plan="plan" :traced="traced" :state="state" :step="next.step"
      @look="emit('look', $event)" @on="emit('on')"
    />
    <WorkMeasure v-if="measuring" ref="stations" :traced="traced" :state="state" :step="next.step.id" @measure="emit('measure', $event)" />
    <WorkOwnBuild v-if="measuring" :plan="plan" :mark="pen.mark" />
    <BuildSection
      v-if="next.step.kind === 'level' && !measuring" size="work" :traced="traced" :step="before"
      :least="leastFilm(plan.inputs).value" :colour="plan.inputs.material.colour"
    />
    <LazyWorkAssembly
      v-if="next.step.kind === 'assemble'" :state="state" :step="next.step.id" @wrong="emit('wrong', $event)"
    />
    <WorkChecks
      v-if="checks.length" :checks="checks" :short="next.step.kind === 'parts'" :step="next.step.id" :state="state"
      :ticked="next.step.kind === 'ends'"
      @answer="(check, said) => emit('answer', check, said)" @act="emit('act', $event)" @wrong="emit('wrong', $event)"
    />
  </aside>
</template>

<style scoped>
.beside { display: grid; gap: 0.9rem; }
.parts { font-size: 1.1rem; }
@media (max-width: 1100px) { .beside > svg { order: 2; } }
</style>
