<script setup lang="ts">
/** One price, in the workshop's own currency, kept once its field is left; empty where nobody said. A margin is said in %. */
const props = defineProps<{ label: string, what: string, unit?: string, hint?: string }>()
const store = usePrices()
const known = computed(() => store.prices?.[props.what] ?? null)
const typed = ref<number | null>(null)
watch(known, (minor) => {
  typed.value = minor
}, { immediate: true })
const trouble = ref('')
async function keep() {
  if (typed.value === known.value) return
  trouble.value = ''
  try {
    await store.put(props.what, typed.value)
  } catch (error) {
    trouble.value = refused(error).message
  }
}
</script>

<template>
  <UFormField v-if="unit === '%'" :label="label" :hint="hint" :error="trouble || false">
    <UInputNumber v-model="typed" size="lg" :min="0" placeholder="not known" @blur="keep" @keydown.enter="keep" />
  </UFormField>
  <FieldMoney
    v-else v-model="typed" :label="label" :hint="hint" :error="trouble" placeholder="not known" @focusout="keep" @keydown.enter="keep"
  />
</template>
