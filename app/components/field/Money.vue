<script setup lang="ts">
import { minorDigits } from '#core/format'

/** An amount of money in the workshop's own, kept in its minor units; empty where nobody said. */
const minor = defineModel<number | null>({ required: true })
withDefaults(
  defineProps<{ label: string, hint?: string, error?: string, size?: 'lg' | 'xl', placeholder?: string }>(),
  { size: 'lg', placeholder: 'not said', hint: undefined, error: undefined },
)
const { currency } = storeToRefs(useWorkshop())
const digits = computed(() => minorDigits(currency.value))
const scale = computed(() => 10 ** digits.value)
const whole = computed({
  get: () => (minor.value === null ? null : minor.value / scale.value),
  set: (value: number | null | undefined) => {
    minor.value = value == null || Number.isNaN(value) ? null : Math.round(value * scale.value)
  },
})
const shown = computed(() => ({
  minimumFractionDigits: digits.value,
  maximumFractionDigits: digits.value,
  ...(currency.value ? { style: 'currency' as const, currency: currency.value } : {}),
}))
</script>

<template>
  <UFormField :label="label" :hint="hint" :error="error || false">
    <UInputNumber
      v-model="whole" :size="size" :min="0" :step="1" :step-snapping="false" :placeholder="placeholder" :format-options="shown"
    />
  </UFormField>
</template>
