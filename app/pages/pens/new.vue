<script setup lang="ts">
import { makePlan, planInputs, remarks, trace } from '#core/plan'
import { isResin, planBlank } from '#core/shelf'
import { materialOf, materials } from '#reference'
import { newPenSchema, type FieldErrors, type NewPen } from '#schemas'
import { abrasiveName, grainSize } from '#core/abrasives'

useHead({ title: 'Start a pen · Oxlip' })
const store = useWorkshop()
const stock = useStock()
const methods = useMethods()
const form = ref<NewPen>(emptyPen())
const errors = ref<FieldErrors>({})
const trouble = ref('')
const sending = ref(false)

const { loaded } = useLoad(async () => {
  form.value.mark ||= (await api('GET /api/pens/mark')).free
})

/** The plan as it would be, worked out here while the form is filled in. */
const preview = computed(() => {
  const { fitting, material, method, tool, film, blank } = form.value
  const from = stock.blank(blank ?? null)
  const [chosenFitting, chosenMaterial, chosenMethod] = [
    stock.fitting(fitting)?.fitting,
    from ? materialOf(from) : materials.find(row => row.id === material),
    methods.method(method),
  ]
  if (!chosenFitting || !chosenMaterial || !chosenMethod || !store.shelf || !store.workshop) return undefined
  const plan = makePlan(
    planInputs({
      fitting: chosenFitting,
      material: chosenMaterial,
      method: chosenMethod,
      shelf: store.shelf,
      workshop: store.workshop,
      wishes: { tool, film },
      taught: store.learnt,
      ...(from ? { blank: planBlank(from) } : {}),
    }),
  )
  const traced = trace(plan)
  return { plan, traced, remarks: remarks(plan, traced, store.units, new Date().toISOString()) }
})
const ladder = computed(() =>
  preview.value?.plan.steps
    .flatMap(step =>
      step.kind === 'sand' ? [`${abrasiveName(step.abrasive)} (${grainSize(step.abrasive.scale, step.abrasive.mark)} µm)`] : [],
    )
    .join(' · '),
)

async function start() {
  const wanted = tidyPen(form.value)
  errors.value = penErrors(wanted)
  if (Object.keys(errors.value).length) return
  sending.value = true
  trouble.value = ''
  try {
    const pen = await api('POST /api/pens', { body: newPenSchema.cast(wanted) })
    await navigateTo(`/pens/${pen.id}`)
  } catch (error) {
    const answer = refused(error)
    errors.value = answer.fields
    if (!Object.keys(answer.fields).length) trouble.value = answer.message
  } finally {
    sending.value = false
  }
}
</script>

<template>
  <form v-if="loaded" class="new" novalidate @submit.prevent="start">
    <header><h1>Start a pen</h1><p class="quiet">The plan is worked out as you choose.</p></header>
    <div class="halves">
      <div>
        <PenFields v-model="form" :errors="errors" />
        <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
        <div class="end">
          <button type="submit" class="key next" :disabled="sending">Plan this pen</button>
          <NuxtLink class="key" to="/pens">Leave it</NuxtLink>
        </div>
      </div>
      <section class="preview sheet" aria-live="polite" aria-label="The plan so far">
        <template v-if="preview">
          <PenStrip
            :fitting="preview.plan.inputs.fitting" :colour="preview.plan.inputs.material.colour"
            :resin="isResin(preview.plan.inputs.material)" :ends="preview.traced.ends" size="head"
            label="The pen, to scale, with the diameters to turn to"
          />
          <dl class="figures">
            <div>
              <dt>Cut</dt>
              <dd>
                {{ preview.traced.stick.pieces.map(piece => store.units.length(piece.length.value, 1)).join(' and ') }},
                {{ store.units.length(preview.traced.size.section.value, 1) }} square at least
              </dd>
            </div>
            <div><dt>Grits</dt><dd>{{ ladder || 'none on the shelf will do' }}</dd></div>
            <div><dt>Coats</dt><dd>{{ preview.traced.steps.at(-1)!.after.coats }}</dd></div>
          </dl>
          <PlanTotals :traced="preview.traced" />
          <PlanParts :fitting="preview.plan.inputs.fitting" />
          <PlanRemarks :remarks="preview.remarks" />
        </template>
        <p v-else class="quiet">Choose a fitting and a material, and here stands what it will take: diameters, grits, coats, time.</p>
      </section>
    </div>
  </form>
  <p v-else class="quiet" role="status">Laying out the bench ...</p>
</template>

<style scoped>
.new { display: grid; gap: 1.1rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.4rem 1.2rem; }
.halves { display: grid; grid-template-columns: minmax(0, 31rem) minmax(0, 1fr); gap: 2rem; align-items: start; }
.end { display: flex; gap: 0.75rem; margin-top: 0.5rem; flex-wrap: wrap; }
.preview { display: grid; gap: 1rem; padding: 1.25rem; }
dl:not(.totals) { display: grid; gap: 0.3rem; }
dl:not(.totals) div { display: flex; gap: 0.8rem; }
dt { color: var(--ink-2); min-width: 3.5rem; }
@media (max-width: 900px) { .halves { grid-template-columns: minmax(0, 1fr); gap: 1.2rem; } }
</style>
