<script setup lang="ts">
import { encode } from 'uqr'

/** A text as a picture that a camera reads: a square for each dark part, with the quiet edge around. */
const props = defineProps<{ text: string, label: string }>()
const drawn = computed(() => {
  const { data, size } = encode(props.text, { ecc: 'M', border: 3 })
  return { size, path: data.flatMap((row, y) => row.flatMap((is, x) => (is ? [`M${x} ${y}h1v1h-1z`] : []))).join('') }
})
</script>

<template>
  <svg :viewBox="`0 0 ${drawn.size} ${drawn.size}`" role="img" class="qr" :aria-label="label">
    <rect width="100%" height="100%" fill="#ffffff" /><path :d="drawn.path" fill="#000000" />
  </svg>
</template>

<style scoped>
.qr { width: min(16rem, 100%); }
</style>
