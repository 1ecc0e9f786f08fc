<script setup lang="ts">
import { addSeconds } from 'date-fns'
import { formatSpan } from '#core/format'
import { stepWaits, type GlueWish, type Plan, type PlanTrace } from '#core/plan'

/** The glue of the tubes: which, how long it takes in this air, and the play it fills. */
const props = defineProps<{ plan: Plan, traced: PlanTrace }>()
const emit = defineEmits<{ glue: [glue: GlueWish] }>()
const { minute: now } = useClock()
const wishes = computed(() => props.plan.inputs.wishes)

const glues: { value: GlueWish, label: string }[] = [
  { value: 'by the shelf', label: 'By what is on the shelf' },
  { value: 'epoxy', label: 'Epoxy' },
  { value: 'CA with accelerator', label: 'CA with accelerator' },
  { value: 'CA overnight', label: 'CA, overnight' },
]
const glue = computed(() => {
  const step = props.plan.steps.find(one => one.kind === 'tube')
  const square = props.plan.steps.find(one => one.kind === 'square')
  const wait = square && stepWaits(props.plan, square, props.plan.inputs.climate)[0]
  return step?.kind === 'tube'
    ? { name: step.product?.name ?? 'nothing on the shelf', accelerated: step.accelerated, wait: wait?.length }
    : undefined
})
</script>

<template>
  <div class="foot">
    <UFormField label="Tube glue">
      <USelect
        :model-value="wishes.glue ?? 'by the shelf'" size="lg" :items="glues"
        @update:model-value="emit('glue', $event as GlueWish)"
      />
    </UFormField>
    <p v-if="glue" class="quiet">
      {{ glue.name }}{{ glue.accelerated ? ', with accelerator' : '' }}.
      <template v-if="glue.wait">
        Glued now, the ends may be squared at <b>{{ clockTime(addSeconds(now, glue.wait.value), now) }}</b>, after
        <FigureOpen :figure="glue.wait">{{ formatSpan(glue.wait.value) }}</FigureOpen>.
      </template>
      <template v-if="traced.size.barrels[0]">
        Play round the tube <FigureOpen :figure="traced.size.barrels[0].glue.play" />, filled all over.
      </template>
    </p>
    <NuxtLink class="key" :to="`/pens/${$route.params.id}/card`">Cut and drill card</NuxtLink>
  </div>
</template>

<style scoped>
.foot { display: flex; flex-wrap: wrap; align-items: end; gap: 0.5rem 1.4rem; }
.foot p { flex: 1 1 22rem; }
.foot :deep(button[role=combobox]) { width: 15rem; }
</style>
