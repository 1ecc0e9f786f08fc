<script setup lang="ts">
/** Saves the first drawing in a part of the page as an SVG of its own, or what is drawn for it. */
const props = withDefaults(defineProps<{ within?: HTMLElement | null, drawn?: () => string, name: string, label?: string }>(), {
  within: null, drawn: undefined, label: 'Save the drawing',
})
function save() {
  const drawing = props.within?.querySelector('svg')
  const text = drawing ? svgText(drawing) : props.drawn?.()
  if (!text) return
  saveFile(new Blob([text], { type: 'image/svg+xml' }), `${props.name}.svg`)
}
</script>

<template>
  <button type="button" class="key no-print" @click="save">{{ label }}</button>
</template>
