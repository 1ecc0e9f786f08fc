<script setup lang="ts">
import { makePlan, planInputs, remarks, trace } from '#core/plan'
import { isResin, planBlank } from '#core/shelf'
import { materialOf, materials } from '#reference'
import type { Pen } from '#contract'
import { errorsOf, MOST_AT_ONCE, newPenSchema, newPensSchema, type FieldErrors, type NewPen } from '#schemas'
import { abrasiveName, grainSize } from '#core/abrasives'

useHead({ title: 'Start a pen · Oxlip' })
const store = useWorkshop()
const stock = useStock()
const methods = useMethods()
const orders = useOrders()
const form = ref<NewPen>(emptyPen())
const errors = ref<FieldErrors>({})
const trouble = ref('')
const sending = ref(false)

const { query } = useRoute()
/** How many are started with this form. */
const count = ref(countIn(query.count))
const { rows, pens, ready } = useSeveral(form, count)
/** The pen that this one is made after, where it is. */
const like = ref<Pen>()
/** Whether it is sized, sanded and finished as that one was. */
const asSized = ref(true)
const { loaded } = useLoad(async () => {
  await Promise.all([fill(), stock.load()])
  form.value.mark ||= (await api('GET /api/pens/mark', { query: {} })).free
})
function countIn(asked: unknown): number {
  const found = Number(asked)
  return Number.isInteger(found) && found >= 1 && found <= MOST_AT_ONCE ? found : 1
}
/** What the address says of it: a pen to make it after, a blank, a fitting. */
async function fill() {
  const said = (name: string) => (typeof query[name] === 'string' && query[name] ? query[name] : undefined)
  const from = said('like')
  if (from) {
    const { pen } = await api('GET /api/pens/:id', { params: { id: from } })
    like.value = pen
    const { name, reason, fitting, material, method, tool, film, blank } = pen
    form.value = { ...form.value, name, reason, fitting, material: material as NewPen['material'], method, tool, film, blank }
  }
  const [fitting, blank] = [said('fitting'), said('blank')]
  if (fitting) form.value.fitting = fitting
  const [material, method, reason, due] = [said('material'), said('method'), said('reason'), said('due')]
  if (material) form.value.material = material as NewPen['material']
  if (method) form.value.method = method
  form.value = { ...form.value, ...(reason ? { reason } : {}), ...(due ? { due } : {}) }
  if (blank) {
    const found = await stock.loadBlanks().then(() => stock.blank(blank))
    if (found) form.value = { ...form.value, blank, material: (found.material ?? 'unknown') as NewPen['material'] }
  }
}
const sizing = computed(() => (like.value && asSized.value && Object.keys(like.value.sizing).length ? like.value.sizing : undefined))

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
      wishes: { tool, film, ...sizing.value },
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
  const own = sizing.value ? { sizing: sizing.value } : {}
  const several = count.value > 1
  const wanted = { ...tidyPen(form.value), ...own }
  const all = several ? pens().map(one => ({ ...one, ...own })) : []
  errors.value = several ? errorsOf(newPensSchema, { pens: all }) : penErrors(wanted)
  if (Object.keys(errors.value).length) {
    // What is wrong with the first of them by the form stands at the form.
    if (several) errors.value = { ...errors.value, ...atForm(errors.value) }
    return
  }
  sending.value = true
  trouble.value = ''
  try {
    if (several) {
      await api('POST /api/pens/several', { body: { pens: all } })
      await navigateTo('/pens?stage=planned')
    } else {
      const pen = await api('POST /api/pens', { body: newPenSchema.cast(wanted) as NewPen })
      const { order, line } = query
      if (typeof order === 'string' && typeof line === 'string') await orders.stand(order, line, pen.id)
      await navigateTo(typeof order === 'string' ? `/pens/orders/${order}` : `/pens/${pen.id}`)
    }
  } catch (error) {
    const answer = refused(error)
    errors.value = several ? { ...answer.fields, ...atForm(answer.fields) } : answer.fields
    if (!Object.keys(answer.fields).length) trouble.value = answer.message
  } finally {
    sending.value = false
  }
}
/** Of the pens’ own fields those that the form has for all of them. */
function atForm(fields: FieldErrors): FieldErrors {
  const shared = ['fitting', 'material', 'method', 'film', 'tool', 'due', 'reason', 'blank']
  return Object.fromEntries(
    shared.flatMap((field) => {
      const says = fields[`pens[0].${field}`]
      return says ? [[field, says] as const] : []
    }),
  )
}
</script>

<template>
  <form v-if="loaded" class="new" novalidate @submit.prevent="start">
    <header>
      <h1>{{ count > 1 ? `Start ${count} pens` : 'Start a pen' }}</h1>
      <p class="quiet">{{ like ? `As ${like.mark}, ${like.name}. ` : '' }}The plan is worked out as you choose.</p>
    </header>
    <div class="halves">
      <div>
        <PenFields v-model="form" :errors="errors" />
        <label v-if="like && Object.keys(like.sizing).length" class="as">
          <input v-model="asSized" type="checkbox"> Shaped, sanded and finished as {{ like.mark }} was
        </label>
        <UFormField label="How many" :hint="count > 1 ? 'a # in the name is the number' : undefined">
          <UInputNumber v-model="count" size="xl" :min="1" :max="MOST_AT_ONCE" />
        </UFormField>
        <PenSeveral v-if="count > 1" v-model="rows" :errors="errors" />
        <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
        <div class="end">
          <button type="submit" class="key next" :disabled="sending || !ready">
            {{ count > 1 ? `Plan these ${count} pens` : 'Plan this pen' }}
          </button>
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
                {{ store.units.length(preview.traced.size.square.value, 1) }} square
              </dd>
            </div>
            <div><dt>Grits</dt><dd>{{ ladder || 'none on the shelf will do' }}</dd></div>
            <div><dt>Coats</dt><dd>{{ preview.traced.steps.at(-1)!.after.coats }}</dd></div>
          </dl>
          <PlanTotals :traced="preview.traced" />
          <PlanParts :fitting="preview.plan.inputs.fitting" :pens="count" />
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
.as { display: flex; gap: 0.6rem; align-items: center; min-height: 44px; }
.as input { width: 1.2rem; height: 1.2rem; accent-color: var(--leaf); }
.end { display: flex; gap: 0.75rem; margin-top: 0.5rem; flex-wrap: wrap; }
.preview { display: grid; gap: 1rem; padding: 1.25rem; }
dl:not(.totals) { display: grid; gap: 0.3rem; }
dl:not(.totals) div { display: flex; gap: 0.8rem; }
dt { color: var(--ink-2); min-width: 3.5rem; }
@media (max-width: 900px) { .halves { grid-template-columns: minmax(0, 1fr); gap: 1.2rem; } }
</style>
