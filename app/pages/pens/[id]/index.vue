<script setup lang="ts">
import { must } from '#core/sure'
import { useLocalStorage } from '@vueuse/core'
import type { BarrelId, End } from '#core/barrel'
import { settledSteps } from '#core/bench'
import type { Method } from '#core/method'
import { leastFilm, planDifference, planInputs, revisePlan, stepWords } from '#core/plan'
import { isResin, planBlank } from '#core/shelf'
import { materialOf, materials } from '#reference'

const me = useMe()
const store = usePen()
const workshop = useWorkshop()
const stock = useStock()
const methods = useMethods()
const toast = useToast()
const attempt = useChanging()
const { pen, plan, planned, traced, state, said, measured, draft } = storeToRefs(store)
const chosen = ref<string | null>(null)
/** Drawings that can be saved. */
const surface = useTemplateRef('surface')
const layers = useTemplateRef('layers')
const changing = ref(false)
/** Fetched when it is opened first. */
const changed = ref(false)
watch(changing, () => {
  changed.value = true
}, { once: true })
const sizing = useLocalStorage('oxlip-sizing-open', false)
const laddering = useLocalStorage('oxlip-ladder-open', false)
const finishing = useLocalStorage('oxlip-finish-open', false)
const size = useTemplateRef<{ setEnd: (barrel: BarrelId, end: End, diameter: number) => void }>('size')

/**
 * What the steps and their drawing follow from: while only the size is edited they stay as they stand, which keeps every edit within a
 * frame.
 */
const drawn = computed(() => [plan.value?.steps, state.value?.log.length, chosen.value, workshop.units])

/** An end that was dragged on the strip; the panel that shows what it means opens with it. */
async function turn({ barrel, end, diameter }: { barrel: BarrelId, end: End, diameter: number }) {
  if (!sizing.value) {
    sizing.value = true
    await nextTick()
  }
  size.value?.setEnd(barrel, end, diameter)
}
async function keepSize() {
  await attempt(async () => {
    await store.keepSizing()
    toast.add({ title: 'Kept. The plan follows.' })
  })
}

/** What the plan would be with the shelf, the air, the method and the rates as they are now. */
const changes = computed(() => {
  if (!planned.value || !state.value || state.value.finished || draft.value) return []
  const now = inputsNow()
  // What mends put in is no difference: it would come again.
  return now ? planDifference(planned.value, revisePlan(planned.value, now, settledSteps(state.value))) : []
})
/** All that a plan of this pen would be made from now. */
function inputsNow() {
  if (!pen.value || !plan.value || !workshop.shelf || !workshop.workshop) return undefined
  const { fitting, material, method, blank, sizing: own, tool, film } = pen.value
  const { inputs } = plan.value
  const cutFrom = stock.blank(blank)
  const wood = blank ? inputs.material : (materials.find(row => row.id === material) ?? inputs.material)
  return planInputs({
    fitting: stock.fitting(fitting)?.fitting ?? inputs.fitting,
    material: cutFrom ? materialOf(cutFrom) : wood,
    method: methods.method(method) ?? inputs.method,
    shelf: workshop.shelf,
    wishes: { tool, film, ...own },
    ...(cutFrom ? { blank: planBlank(cutFrom) } : inputs.blank && blank ? { blank: inputs.blank } : {}),
    workshop: workshop.workshop,
    taught: workshop.learnt,
  })
}

/** Another method for this pen; the one before is one tap away. */
async function use(method: Method) {
  const before = must(plan.value, 'the panel shows a plan').inputs.method
  await attempt(async () => {
    await (method.id === before.id ? store.planAgain() : store.change({ method: method.id }))
    toast.add({
      title: `${method.name}. The plan follows.`,
      ...(method.id === before.id
        ? {}
        : { actions: [{ label: `Back to ${before.name}`, onClick: () => void store.change({ method: before.id }) }] }),
    })
  })
}
const shownFor = computed(() => {
  const one = chosen.value && traced.value?.steps.find(step => step.step.id === chosen.value)
  return one && plan.value && traced.value ? `after ${stepWords(plan.value, one, workshop.units, traced.value).title}` : 'at the end'
})

/** Whether the pens of the log that are like this one are shown. */
const comparing = ref(false)
/** Whether what it costs is shown. */
const costing = ref(false)
/** Whether it is asked why the pen leaves the bench. */
const leaving = ref(false)
async function planAgain() {
  await attempt(async () => {
    await store.planAgain()
    toast.add({ title: 'Planned again. The older plan is kept.' })
  })
}
</script>

<template>
  <div v-if="pen && plan && traced && state" class="plan">
    <PenHead :pen="pen" />
    <PenStrip
      :fitting="plan.inputs.fitting" :colour="plan.inputs.material.colour" :resin="isResin(plan.inputs.material)"
      :shapes="plan.inputs.wishes.shapes" :ends="traced.ends" :measured="measured" :defects="state.defects" live size="head"
      :label="`${plan.inputs.fitting.name} in ${plan.inputs.material.name}, to scale, with the diameters to turn to`" @turn="turn"
    />
    <p class="quiet figures">
      {{ plan.inputs.fitting.name }} · {{ plan.inputs.material.name }} · {{ plan.inputs.method.name }} · plan {{ pen.planVersion }}
      <span v-if="draft" role="status">· not kept yet</span>
    </p>
    <div class="under">
      <p class="made">
        <button type="button" class="key small" @click="changing = true">Change</button>
        <button type="button" class="key small" :aria-expanded="sizing" @click="sizing = !sizing">Shape and size</button>
        <button type="button" class="key small" :aria-expanded="laddering" @click="laddering = !laddering">Sanding ladder</button>
        <button type="button" class="key small" :aria-expanded="finishing" @click="finishing = !finishing">Finish</button>
        <button v-if="!state.away" type="button" class="key small" :aria-expanded="leaving" @click="leaving = !leaving">
          Off the bench
        </button>
        <NuxtLink class="key small" :to="`/pens/${pen.id}/what-if`">What if</NuxtLink>
        <button type="button" class="key small" :aria-expanded="comparing" @click="comparing = !comparing">Pens like this one</button>
        <button type="button" class="key small" :aria-expanded="costing" @click="costing = !costing">Cost</button>
        <NuxtLink class="key small" :to="`/pens/new?like=${pen.id}`">Another like it</NuxtLink>
      </p>
      <NuxtLink
        v-if="!state.away" class="key go" :class="{ next: !state.finished }" :to="`/pens/${pen.id}/${state.finished ? 'record' : 'work'}`"
      >
        {{ state.finished ? 'Read the record' : state.begun ? 'Go on at the bench' : 'Begin at the bench' }}
      </NuxtLink>
    </div>
    <PenAway v-model:open="leaving" :state="state" />
    <LazyPlanAlike v-if="comparing" />
    <section v-if="costing && me.may('money')" class="sheet costed" aria-labelledby="cost">
      <h2 id="cost">What it costs by its plan</h2>
      <LazyPlanCost
        :plan="plan" :traced="traced" :hands-on="traced.handsOn.value" :is-done="false" v-bind="sharedBlank(stock.blank(pen.blank), traced)"
      />
    </section>
    <PlanParts v-if="!state.begun" :fitting="plan.inputs.fitting" />
    <PlanRemarks :remarks="said" />
    <section v-if="changes.length" class="sheet again" role="status">
      <p>
        <b>Shelf or air have changed since this was planned.</b> A new plan would be
        {{ changes.join(', ') }}.<span v-if="state.begun"> What is done stays done.</span>
      </p>
      <button type="button" class="key" @click="planAgain">Plan again</button>
    </section>
    <div class="halves">
      <section aria-labelledby="steps">
        <h2 id="steps">Steps</h2>
        <PlanSteps
          v-memo="[...drawn, plan.inputs.wishes.ends, chosen === 'turn' ? traced : null]" :plan="plan" :traced="traced" :state="state"
          :chosen="chosen" @choose="chosen = $event"
        />
      </section>
      <div class="right" :class="{ still: !sizing && !laddering && !finishing }">
        <div v-if="sizing || laddering || finishing" class="panels">
          <PlanSize v-if="sizing" ref="size" v-model="draft" :plan="plan" :traced="traced" @keep="keepSize" />
          <PlanLadder
            v-if="laddering" v-model="draft" :plan="plan" :traced="traced" :pen="pen.id" :started="state.begun" @keep="keepSize"
          />
          <LazyPlanFilmLadder v-if="laddering" v-model="draft" :plan="plan" :traced="traced" @keep="keepSize" />
          <PlanFinish v-if="finishing" v-model="draft" :plan="plan" :traced="traced" :started="state.begun" @keep="keepSize" @use="use" />
        </div>
        <section class="side" aria-labelledby="surface">
          <h2 id="surface">What happens at the surface</h2>
          <div ref="surface">
            <PlanSurface
              v-memo="drawn" :traced="traced" :least="leastFilm(plan.inputs).value" :chosen="chosen" :next="state.next?.id ?? null"
              @choose="chosen = $event"
            />
          </div>
          <PlanTotals :traced="traced" :begun="state.begun" :board="{ state, traced }" />
          <h2>Build section <span class="quiet after">{{ shownFor }}</span></h2>
          <div ref="layers">
            <BuildSection
              v-memo="drawn" :traced="traced" :step="chosen" :least="leastFilm(plan.inputs).value" :colour="plan.inputs.material.colour"
            />
          </div>
          <p class="saves">
            <LazyFieldSaveSvg :within="surface" :name="`${pen.mark}-surface`" label="Save the surface" />
            <LazyFieldSaveSvg :within="layers" :name="`${pen.mark}-layers`" label="Save the build section" />
          </p>
        </section>
      </div>
    </div>
    <LazyPenChange v-if="changed" v-model:open="changing" :pen="pen" :begun="state.begun" />
  </div>
</template>

<style scoped>
.saves { display: flex; flex-wrap: wrap; gap: 0.5rem; margin-top: 0.6rem; }
.costed { display: grid; gap: 0.6rem; padding: 1rem 1.25rem; }
.plan { display: grid; gap: 0.7rem; }
.under { display: flex; align-items: center; gap: 0.3rem 2rem; }
.go { margin-left: auto; flex: none; }
.made { flex: 1 1 auto; min-width: 0; display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 0.5rem; }
.small { padding: 0.2rem 0.65rem; min-height: 36px; border-width: 1px; }
.again { display: flex; flex-wrap: wrap; gap: 0.6rem 1.2rem; align-items: center; justify-content: space-between; padding: 0.7rem 1rem; }
.halves { display: grid; grid-template-columns: minmax(0, 14fr) minmax(0, 16fr); gap: 1.5rem; align-items: start; }
.after { font: 400 1rem var(--font-sans); letter-spacing: 0; }
.halves h2 { margin-bottom: 0.5rem; }
.right, .panels { display: grid; gap: 0.8rem; min-width: 0; }
.panels { container: panels / inline-size; }
/* While nothing is being changed, what happens at the surface stays in sight beside its steps. */
.right.still { position: sticky; top: 0.75rem; }
.side { display: grid; gap: 0.8rem; justify-items: start; min-width: 0; }
.side > :nth-child(2) { width: 100%; }
@media (max-width: 640px) { .under { flex-wrap: wrap; } }
@media (max-width: 1100px) {
  .halves { grid-template-columns: minmax(0, 1fr); }
  .right { order: -1; }
  .right.still { position: static; }
}
</style>
