<script setup lang="ts">
/** Saves the first drawing in a part of the page as an SVG of its own, or what is drawn for it. */
const props = withDefaults(defineProps<{ within?: HTMLElement | null, drawn?: () => string, name: string, label?: string }>(), {
  within: null, drawn: undefined, label: 'Save the drawing',
})
function save() {
  const drawing = props.within?.querySelector('svg')
  const text = drawing ? svgText(drawing) : props.drawn?.()
  if (!text) return
  const address = URL.createObjectURL(new Blob([text], { type: 'image/svg+xml' }))
  const link = document.createElement('a')
  Object.assign(link, { href: address, download: `${props.name}.svg` })
  link.click()
  URL.revokeObjectURL(address)
}
</script>

<template>
  <button type="button" class="key no-print" @click="save">{{ label }}</button>
</template>
