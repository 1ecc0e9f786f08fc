<script setup lang="ts">
/** One price, in the workshop's own currency; empty where nobody said. */
const props = defineProps<{ label: string, what: string, unit?: string, hint?: string }>()
const store = usePrices()
/** A margin is said in %, all else in whole units of the currency. */
const scale = computed(() => (props.unit === '%' ? 1 : 100))
const known = computed(() => store.prices?.[props.what])
const typed = ref<number | null>(null)
watch(known, (minor) => {
  typed.value = minor === undefined ? null : minor / scale.value
}, { immediate: true })
const trouble = ref('')
async function keep() {
  const minor = typed.value === null ? null : Math.round(typed.value * scale.value)
  if (minor === (known.value ?? null)) return
  trouble.value = ''
  try {
    await store.put(props.what, minor)
  } catch (error) {
    trouble.value = refused(error).message
  }
}
</script>

<template>
  <UFormField :label="label" :hint="hint" :error="trouble || false">
    <UInputNumber
      v-model="typed" size="lg" :min="0" :step="unit === '%' ? 1 : 0.1" :step-snapping="false" placeholder="not known"
      :format-options="{ minimumFractionDigits: unit === '%' ? 0 : 2, maximumFractionDigits: 2 }" @blur="keep"
      @keydown.enter="keep"
    />
  </UFormField>
</template>
