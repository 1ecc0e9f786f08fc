<script setup lang="ts">
/** Takes a picture, or one that was taken. */
const props = defineProps<{ label: string }>()
const emit = defineEmits<{ taken: [file: File] }>()
function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) emit('taken', file)
  // The same picture can be chosen again.
  input.value = ''
}
</script>

<template>
  <label class="key camera">
    <UIcon name="i-lucide-camera" aria-hidden="true" />
    {{ props.label }}<input type="file" accept="image/*" capture="environment" class="sr-only" @change="take">
  </label>
</template>

<style scoped>
.camera { position: relative; display: inline-flex; align-items: center; gap: 0.4rem; }
.camera:focus-within { outline: 3px solid var(--wait); outline-offset: 2px; }
</style>
