<script setup lang="ts">
/** Somebody of all customers, or nobody. Where more are known than stand in a list, a part of the name is looked for. */
defineProps<{ label: string, error?: string | undefined }>()
const somebody = defineModel<string | null>({ required: true })
/** Whether it is somebody who is not known yet; unsaid where nobody new comes in. */
const isNew = defineModel<boolean | undefined>('new', { default: undefined })
const store = useOrders()

/** What stands for no choice in a select, and for somebody who is not on the list yet. */
const [NOBODY, NEW] = ['nobody', 'new']
const choices = computed(() => [
  { label: 'Nobody said', value: NOBODY },
  ...(isNew.value === undefined ? [] : [{ label: 'Somebody new', value: NEW }]),
  ...(store.customers ?? []).map(({ id, name }) => ({ label: name, value: id })),
])
const chosen = computed({
  get: () => (isNew.value ? NEW : somebody.value ?? NOBODY),
  set: (value) => {
    if (isNew.value !== undefined) isNew.value = value === NEW
    somebody.value = value === NEW || value === NOBODY ? null : value
  },
})
const text = ref('')
const looked = useLooked(() => text.value, (words) => {
  text.value = words
})
const trouble = ref('')
async function look() {
  trouble.value = ''
  try {
    await store.loadCustomers({ text: text.value, also: somebody.value })
  } catch (error) {
    trouble.value = refused(error).message
  }
}
watch(text, look)
// Whoever was chosen before stands there by their name, however many there are.
watch([somebody, () => store.customers], () => {
  if (somebody.value && store.customers && !store.customers.some(one => one.id === somebody.value)) void look()
}, { immediate: true })
</script>

<template>
  <div class="who">
    <UFormField :label="label" :error="error || trouble || false"><USelect v-model="chosen" size="lg" :items="choices" /></UFormField>
    <PenSearch v-if="text || store.moreCustomers" v-model="looked" label="Look somebody up" placeholder="A part of the name" />
  </div>
</template>

<style scoped>
.who { display: grid; gap: 0.3rem; align-content: start; }
</style>
