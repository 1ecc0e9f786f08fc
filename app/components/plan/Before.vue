<script setup lang="ts">
import { abrasiveName } from '#core/abrasives'
import { leftOut, type BenchState } from '#core/bench'
import { extraOffers, type Extra, type ExtraWork, type Plan, type Step } from '#core/plan'

/** What is put into the plan before a step: a burnish before the sealer, a coat more, a grit once again; and taken out again. */
const props = defineProps<{ plan: Plan, state: BenchState, step: Step }>()
const store = usePen()
const toast = useToast()

const SAYS: Record<ExtraWork, string> = {
  'coat': 'a coat of', 'sand': 'sand with', 'level': 'level with', 'smooth': 'sand the film with', 'pads': 'run the pads',
  'polish': 'polish with', 'take off': 'wipe the coat off', 'burnish': 'burnish with shavings', 'harden': 'harden with thin CA',
}
const own = computed(() => store.pen?.sizing.beforehand ?? [])
/** Of a step that was put in so: what put it in. */
const putIn = computed(() => own.value.find(one => one.key === props.step.mend))
const offers = computed(() =>
  extraOffers(props.plan, props.step.id, leftOut(props.state.steps)).flatMap(({ work, abrasives, products }) => {
    const grits = abrasives.map(one => ({ id: one.id, name: abrasiveName(one) }))
    return work === 'take off' ? [] : [{ work, things: [...grits, ...products.map(one => ({ id: one.id, name: one.name }))] }]
  }))
const work = ref<ExtraWork | ''>('')
const what = ref('')
const things = computed(() => offers.value.find(one => one.work === work.value)?.things ?? [])
watch(work, () => {
  what.value = ''
})
const sending = ref(false)
async function keep(beforehand: readonly Extra[]) {
  sending.value = true
  try {
    await store.change({ sizing: { ...store.pen?.sizing, beforehand } })
    work.value = ''
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  } finally {
    sending.value = false
  }
}
function put() {
  if (!work.value || (things.value.length && !what.value)) return
  void keep([...own.value, { key: `own-${newId().slice(0, 8)}`, work: work.value, with: what.value || null, step: props.step.id }])
}
</script>

<template>
  <p v-if="putIn" class="before">
    <span class="quiet">Put in beforehand.</span>
    <button type="button" class="say" :disabled="sending" @click="keep(own.filter(one => one.key !== putIn?.key))">Take it out</button>
  </p>
  <form v-else-if="offers.length && !step.mend" class="before" @submit.prevent="put">
    <label>
      Before it
      <select v-model="work" class="field-plain">
        <option value="">nothing else</option>
        <option v-for="one in offers" :key="one.work" :value="one.work">{{ SAYS[one.work] }}</option>
      </select>
    </label>
    <select v-if="things.length" v-model="what" class="field-plain" aria-label="With what">
      <option value="">with what</option>
      <option v-for="one in things" :key="one.id" :value="one.id">{{ one.name }}</option>
    </select>
    <button v-if="work" type="submit" class="key small" :disabled="sending || (things.length > 0 && !what)">Put it in</button>
  </form>
</template>

<style scoped>
.before { display: flex; flex-wrap: wrap; gap: 0.5rem 0.8rem; align-items: center; margin-top: 0.5rem; }
label { display: flex; gap: 0.6rem; align-items: center; color: var(--ink-2); }
.small { min-height: 40px; padding: 0.2rem 0.8rem; }
.say { min-height: 32px; text-decoration: underline dotted; text-underline-offset: 3px; cursor: pointer; }
</style>
