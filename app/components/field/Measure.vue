<script setup lang="ts">
import type { FieldQuantity } from '~/utils/measure-text'

/**
 * A field for a length or a mass, typed as turners write them; the model is in mm or g, null when empty, NaN while it is not
 * understood. What is typed stays as typed; beside it stands how it was understood when that is not plain.
 */
const value = defineModel<number | null>({ required: true })
const props = withDefaults(
  defineProps<{
    label: string
    name?: string
    quantity?: FieldQuantity
    error?: string
    required?: boolean
    placeholder?: string
    size?: 'lg' | 'xl'
    digits?: number
  }>(),
  { name: undefined, quantity: 'length', error: undefined, required: false, placeholder: undefined, size: 'xl', digits: 3 },
)
const emit = defineEmits<{ enter: [] }>()

const { units } = storeToRefs(useWorkshop())
const show = () => shownIn(value.value, props.quantity, units.value, props.digits)
const text = ref(show())
const left = ref(false)
const read = computed(() => readTyped(text.value, props.quantity, units.value))

/** The value that the text stands for since somebody typed it; until then the text follows the value and the units. */
const typed = ref(false)
// Another value came in from outside: show it. What was typed and means the same stays.
watch([value, units], () => {
  const now = read.value
  if (!typed.value) {
    text.value = show()
    return
  }
  if (
    !('value' in now)
    || (now.value !== value.value && !(now.value !== null && value.value !== null && Math.abs(now.value - value.value) < 1e-9))
  ) {
    if (!Number.isNaN(value.value)) {
      text.value = show()
      typed.value = false
    }
  }
})
function type(said: string) {
  typed.value = true
  text.value = said
  value.value = 'value' in read.value ? read.value.value : Number.NaN
}
/** A calliper that is read while the finger is in this field writes into it. */
const field = useTemplateRef<HTMLElement>('field')
useCalliper((mm) => {
  if (props.quantity !== 'length' || !field.value?.contains(document.activeElement)) return
  value.value = mm
  typed.value = false
  text.value = show()
})
const fault = computed(() => ('fault' in read.value && (left.value || props.error) ? read.value.fault : props.error))
const understood = computed(() => {
  const plain = show()
  return 'value' in read.value && read.value.value !== null && text.value.trim() !== plain && !/^[\d.,]+$/.test(text.value.trim())
    ? `= ${plain}`
    : ''
})
</script>

<template>
  <div ref="field" class="measure" data-measure>
    <UFormField :label="label" :name="name" :error="fault || false" :required="required" :hint="understood">
      <UInput
        :model-value="text" :size="size" :placeholder="placeholder" autocomplete="off" inputmode="text"
        @update:model-value="type(String($event))" @blur="left = true" @focus="left = false" @keydown.enter="left = true; emit('enter')"
      />
    </UFormField>
  </div>
</template>

<style scoped>
.measure { min-width: 0; }
.measure :deep(input) { width: 100%; font-variant-numeric: tabular-nums; }
.measure :deep([data-slot=root]) { width: 100%; }
</style>
