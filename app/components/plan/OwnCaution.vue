<script setup lang="ts">
import type { StepKind } from '#core/plan'

/** What the turner minds at this kind of step, on all pens: entered, changed or taken away where it stands. */
const props = defineProps<{ kind: StepKind }>()
const store = useWorkshop()
const toast = useToast()
const form = reactive({ says: '', source: '' })
const errors = ref<Record<string, string>>({})
const sending = ref(false)
const kept = computed(() => store.workshop?.cautions[props.kind])
watch(kept, one => Object.assign(form, { says: one?.says ?? '', source: one?.source ?? '' }), { immediate: true })

async function keep(own: { says: string, source: string } | undefined) {
  if (!store.workshop) return
  const { version, units, cautions } = store.workshop
  const { [props.kind]: _, ...others } = cautions
  sending.value = true
  errors.value = {}
  try {
    await store.save({ version, units, currency: store.workshop.currency, cautions: own ? { ...others, [props.kind]: own } : others })
    toast.add({ title: own ? 'Kept. It stands at every such step, of every pen.' : 'Taken away.' })
  } catch (error) {
    const { fields, message, status } = refused(error)
    errors.value = { says: fields[`cautions.${props.kind}.says`] ?? '', source: fields[`cautions.${props.kind}.source`] ?? '' }
    if (!errors.value.says && !errors.value.source) toast.add({ title: message, color: 'error' })
    if (status === 409) await store.breathe()
  } finally {
    sending.value = false
  }
}
</script>

<template>
  <details class="own">
    <summary>{{ kept ? 'Change your own caution' : 'Add a caution of your own' }} for: {{ workLabel(kind).toLowerCase() }}</summary>
    <form @submit.prevent="keep({ says: form.says.trim(), source: form.source.trim() })">
      <UFormField label="What to mind" :error="errors.says || false">
        <UInput v-model="form.says" size="lg" maxlength="200" placeholder="the lamp is hot just there" />
      </UFormField>
      <UFormField label="Where that stands" :error="errors.source || false">
        <UInput v-model="form.source" size="lg" maxlength="200" placeholder="the leaflet of the drill press" />
      </UFormField>
      <div class="keys">
        <button type="submit" class="key" :disabled="sending || !store.workshop || !form.says.trim()">Keep the caution</button>
        <button v-if="kept" type="button" class="key" :disabled="sending" @click="keep(undefined)">Take it away</button>
      </div>
    </form>
  </details>
</template>

<style scoped>
summary { min-height: 24px; cursor: pointer; color: var(--ink-2); }
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 13rem), 1fr));
  gap: 0 1rem;
  max-width: 48rem;
  padding-top: 0.5rem;
}
form > :not(.keys) { min-height: 5.2rem; }
.keys { display: flex; flex-wrap: wrap; gap: 0.6rem; grid-column: 1 / -1; }
</style>
