<script setup lang="ts">
/** Where a pen is looked up by a few letters; or something else, where that is said. */
withDefaults(defineProps<{ label: string, placeholder?: string }>(), { placeholder: 'Mark, name, wood or reason' })
const looked = defineModel<string>({ required: true })
</script>

<template>
  <UInput
    v-model="looked" type="search" size="xl" icon="i-lucide-search" :placeholder="placeholder" :aria-label="label"
    class="search"
  />
</template>

<style scoped>
.search { flex: 1 1 18rem; max-width: 26rem; }
</style>
