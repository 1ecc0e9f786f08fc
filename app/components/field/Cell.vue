<script setup lang="ts">
/**
 * A field that is said when it is left: what is typed stays until then, whatever is drawn anew around it. A value that comes from
 * outside is shown unless something else is being typed.
 */
const props = defineProps<{ value: string, label?: string, placeholder?: string }>()
const emit = defineEmits<{ said: [text: string] }>()
const text = ref(props.value)
watch(() => props.value, (value, before) => {
  if (text.value === before) text.value = value
})
</script>

<template>
  <UInput v-model="text" size="lg" :placeholder="placeholder" :aria-label="label" @change="emit('said', text)" />
</template>
