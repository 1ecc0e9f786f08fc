<script setup lang="ts">
import { abrasiveName, betweenMarks, grainSize } from '#core/abrasives'
import { abrasives } from '#reference'
import { errorsOf, ownAbrasiveSchema, type FieldErrors } from '#schemas'

/** An abrasive that is in no list: by its grain, or a pad that has a colour and no number: between which two does it lie? */
const store = useWorkshop()
const toast = useToast()
const form = reactive({ label: '', coarser: 'pad-1800', finer: 'pad-3200', micron: null as number | null, wet: true, dry: true })
const errors = ref<FieldErrors>({})
const items = abrasives.map(one => ({ label: `${abrasiveName(one)}, ${grainSize(one.scale, one.mark)} µm`, value: one.id }))
const placed = computed(() => {
  if (form.micron) return `Taken as ${form.micron} µm, as its label says.`
  const [a, b] = [abrasives.find(one => one.id === form.coarser), abrasives.find(one => one.id === form.finer)]
  if (!a || !b) return 'Choose two.'
  try {
    return `Taken as ${betweenMarks(form.label, a, b).mark} µm, half way between them.`
  } catch {
    return 'Choose two that differ.'
  }
})
async function keep() {
  const { coarser, finer, micron, ...rest } = form
  const wanted = { ...rest, label: form.label.trim(), ...(micron ? { micron } : { coarser, finer }) }
  errors.value = errorsOf(ownAbrasiveSchema, wanted)
  if (Object.keys(errors.value).length) return
  // The name is taken now: what is typed meanwhile is the next one's.
  form.label = ''
  try {
    await store.addOwnAbrasive(wanted)
    toast.add({ title: `${wanted.label} is on the shelf.` })
  } catch (error) {
    form.label ||= wanted.label
    const answer = refused(error)
    errors.value = answer.fields
    if (!Object.keys(answer.fields).length) toast.add({ title: answer.message, color: 'error' })
  }
}
</script>

<template>
  <form class="own filled" novalidate @submit.prevent="keep">
    <UFormField label="What you call it" :error="errors.label ?? false">
      <UInput v-model="form.label" size="xl" maxlength="40" placeholder="grey pad" />
    </UFormField>
    <UFormField label="Its grain, µm" :error="errors.micron ?? false">
      <UInputNumber
        v-model="form.micron" size="xl" :min="0.1" :max="500" :step="1" :step-snapping="false" placeholder="no number on it"
      />
    </UFormField>
    <template v-if="!form.micron">
      <UFormField label="Finer than" :error="errors.coarser ?? false">
        <USelect v-model="form.coarser" size="xl" :items="items" />
      </UFormField>
      <UFormField label="Coarser than" :error="errors.finer ?? false"><USelect v-model="form.finer" size="xl" :items="items" /></UFormField>
    </template>
    <div class="how">
      <label><input v-model="form.wet" type="checkbox"> wet</label><label><input v-model="form.dry" type="checkbox"> dry</label>
      <span v-if="errors.dry" class="harm">{{ errors.dry }}</span>
      <button type="submit" class="key">Put it on the shelf</button>
      <span class="quiet">{{ placed }}</span>
    </div>
  </form>
</template>

<style scoped>
.own { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 0 1rem; }
.own > :deep(*) { min-height: 5.6rem; }
.how { grid-column: 1 / -1; display: flex; flex-wrap: wrap; gap: 0.6rem 1.2rem; align-items: center; min-height: 0 !important; }
.how label { display: flex; gap: 0.5rem; align-items: center; min-height: 44px; }
.how input { width: 1.2rem !important; height: 1.2rem; accent-color: var(--leaf); }
@media (max-width: 720px) { .own { grid-template-columns: minmax(0, 1fr); } }
</style>
