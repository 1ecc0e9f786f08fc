<script setup lang="ts">
import type { OwnProductKept } from '#contract'
import { products } from '#reference'
import { errorsOf, ownProductSchema, type FieldErrors, type OwnProduct } from '#schemas'

/** A product of one's own, or one more bottle of one: like a known one, but for what its label says. */
const props = defineProps<{ own?: OwnProductKept, like?: string, name?: string }>()
const emit = defineEmits<{ kept: [] }>()
const store = useWorkshop()
const toast = useToast()

const form = reactive<OwnProduct>({ name: '', alike: 'thin-ca', build: null, keeps: null, caution: '', source: '' })
watch(() => [props.own, props.like, props.name] as const, ([own, like, name]) => {
  const { name: called = name ?? '', alike = like ?? 'thin-ca', build = null, keeps = null, caution = '', source = '' } = own ?? {}
  Object.assign(form, { name: called, alike, build, keeps, caution, source })
}, { immediate: true })
const items = products.map(row => ({ label: row.name, value: row.id }))
const known = computed(() => products.find(row => row.id === form.alike))
const errors = ref<FieldErrors>({})
const busy = ref(false)
async function keep() {
  const wanted = { ...form, name: form.name.trim(), caution: form.caution.trim(), source: form.source.trim() }
  errors.value = errorsOf(ownProductSchema, wanted)
  if (Object.keys(errors.value).length) return
  busy.value = true
  try {
    await store.keepOwnProduct(wanted, props.own)
    toast.add({ title: `${wanted.name}: kept. New plans go by it.` })
    if (!props.own) Object.assign(form, { name: '', build: null, keeps: null, caution: '', source: '' })
    emit('kept')
  } catch (error) {
    const { fields, message } = refused(error)
    errors.value = fields
    if (!Object.keys(fields).length) toast.add({ title: message, color: 'error' })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="own filled" novalidate @submit.prevent="keep">
    <UFormField label="What you call it" :error="errors.name ?? false">
      <UInput v-model="form.name" size="lg" maxlength="60" placeholder="thin CA, the small bottle" />
    </UFormField>
    <UFormField label="Like" :error="errors.alike ?? false"><USelect v-model="form.alike" size="lg" :items="items" /></UFormField>
    <UFormField v-if="known?.film" label="A coat adds, µm" :error="errors.build ?? false">
      <UInputNumber
        v-model="form.build" size="lg" :min="0.1" :max="300" :step="1" :step-snapping="false" :placeholder="String(known.film.build)"
      />
    </UFormField>
    <UFormField label="Keeps once opened, days" :error="errors.keeps ?? false">
      <UInputNumber v-model="form.keeps" size="lg" :min="1" :max="3650" :placeholder="known?.keeps ? String(known.keeps.days) : 'long'" />
    </UFormField>
    <UFormField label="What its label warns of" class="wide" :error="errors.caution ?? false">
      <UInput v-model="form.caution" size="lg" maxlength="200" placeholder="stands at each of its coats" />
    </UFormField>
    <UFormField label="Where that stands" class="wide" :error="errors.source ?? false">
      <UInput v-model="form.source" size="lg" maxlength="200" placeholder="label, data sheet, its date" />
    </UFormField>
    <button type="submit" class="key" :disabled="busy">{{ own ? 'Keep it so' : 'Put it on the shelf' }}</button>
  </form>
</template>

<style scoped>
.own { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 0.6rem 1rem; align-items: end; }
.wide { grid-column: span 2; }
.key { justify-self: start; }
@media (max-width: 1000px) { .own { grid-template-columns: repeat(2, minmax(0, 1fr)); } }
@media (max-width: 560px) { .own { grid-template-columns: minmax(0, 1fr); } .wide { grid-column: auto; } }
</style>
