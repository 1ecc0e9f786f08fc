<script setup lang="ts">
import { settledSteps } from '#core/bench'
import { noLongerFits, stepWords } from '#core/plan'
import { planBlank } from '#core/shelf'
import { materialOf, materials } from '#reference'
import type { FieldErrors, NewPen, PenChange } from '#schemas'
import type { Pen } from '#contract'

/** Changes a pen after it was started; the plan follows, and what is done stays done. */
const open = defineModel<boolean>('open', { required: true })
const props = defineProps<{ pen: Pen, begun: boolean }>()
const store = usePen()
const stock = useStock()
const { units } = storeToRefs(useWorkshop())
const form = ref<NewPen>(emptyPen())
const errors = ref<FieldErrors>({})
const trouble = ref('')
/** What was there when the form was opened: the pen itself follows other devices. */
const version = ref(0)

watch(open, (now) => {
  if (!now) return
  const { mark, name, reason, due, fitting, material, method, tool, film, blank } = props.pen
  form.value = { mark, name, reason, due, fitting, material, method, tool, film, blank }
  errors.value = {}
  trouble.value = ''
  version.value = props.pen.version
}, { immediate: true })

/** What is done and no longer fits what is chosen now, with its words and why. */
const unfit = computed(() => {
  const { plan, traced, state, planned } = store
  if (!open.value || !plan || !traced || !state || !planned) return []
  const { fitting, material, blank } = form.value
  const from = stock.blank(blank ?? null)
  const other = {
    ...(fitting === props.pen.fitting ? {} : { fitting: stock.fitting(fitting)?.fitting }),
    ...(material === props.pen.material && (blank ?? null) === (props.pen.blank ?? null)
      ? {}
      : { material: from ? materialOf(from) : materials.find(row => row.id === material), blank: from && planBlank(from) }),
  }
  return noLongerFits(planned, other, settledSteps(state), mm => units.value.length(mm)).flatMap(({ step, why }) => {
    const found = traced.steps.find(one => one.step.id === step)
    return found ? [{ step, title: stepWords(plan, found, units.value, traced).title, why }] : []
  })
})
/** The reasons, each with the steps it is one for. */
const reasons = computed(() => {
  const all = new Map<string, string[]>()
  for (const { title, why } of unfit.value) all.set(why, [...(all.get(why) ?? []), title])
  return [...all]
})

const says = computed(() => {
  if (reasons.value.length) return 'Some of what is done no longer fits: it stands below.'
  return props.begun ? 'The plan follows; what is done stays done.' : 'The plan follows.'
})

async function keep(begun?: PenChange['begun']) {
  const wanted = tidyPen(form.value)
  errors.value = penErrors(wanted)
  if (Object.keys(errors.value).length) return
  try {
    await store.change({ ...wanted, ...(begun ? { begun } : {}) }, version.value)
    open.value = false
  } catch (error) {
    const answer = refused(error)
    errors.value = answer.fields
    trouble.value = Object.keys(answer.fields).length ? '' : answer.message
    if (answer.status === 409) {
      await store.load(props.pen.id)
      version.value = props.pen.version
    }
  }
}
</script>

<template>
  <UModal
    v-model:open="open" title="Change this pen"
    :description="says" :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <form novalidate @submit.prevent="unfit.length || keep()">
        <PenFields v-model="form" :errors="errors" />
        <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
        <section v-if="reasons.length" class="unfit" role="status">
          <h3>Done, and no longer fits</h3>
          <dl>
            <div v-for="[why, titles] in reasons" :key="why"><dt>{{ titles.join(', ') }}</dt><dd>{{ why }}</dd></div>
          </dl>
          <p class="quiet">
            Open again: these are to be done once more, on a new stick where it needs one. As done: you know that they still hold.
          </p>
          <div class="end">
            <button type="button" class="key" @click="open = false">Leave as it was</button>
            <button type="button" class="key" @click="keep('as done')">As done</button>
            <button type="button" class="key next" @click="keep('open again')">Open again</button>
          </div>
        </section>
        <div v-else class="end">
          <button type="button" class="key" @click="open = false">Leave as it was</button>
          <button type="submit" class="key next">Keep and plan</button>
        </div>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.unfit { display: grid; gap: 0.7rem; padding-top: 0.8rem; border-top: 1px solid var(--line); }
dl { display: grid; gap: 0.4rem; }
dt { font-weight: 700; }
.end { display: flex; flex-wrap: wrap; justify-content: flex-end; gap: 0.75rem; }
</style>
