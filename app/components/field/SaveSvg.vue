<script setup lang="ts">
/** Saves the first drawing in a part of the page as an SVG of its own. */
const props = withDefaults(defineProps<{ within: HTMLElement | null, name: string, label?: string }>(), { label: 'Save the drawing' })
function save() {
  const drawing = props.within?.querySelector('svg')
  if (!drawing) return
  const address = URL.createObjectURL(new Blob([svgText(drawing)], { type: 'image/svg+xml' }))
  const link = document.createElement('a')
  Object.assign(link, { href: address, download: `${props.name}.svg` })
  link.click()
  URL.revokeObjectURL(address)
}
</script>

<template>
  <button type="button" class="key no-print" @click="save">{{ label }}</button>
</template>
