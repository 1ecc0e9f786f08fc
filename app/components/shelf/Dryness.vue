<script setup lang="ts">
import type { ShelfBlank } from '~~/server/db/blanks'

/** One line on how dry a blank is, where it is damp or has been weighed. */
const props = defineProps<{ blank: ShelfBlank }>()
const verdict = useMoisture(() => props.blank.readings.length ? props.blank : undefined)
const line = computed(() => {
  if (!props.blank.readings.length) return props.blank.damp ? 'Came in damp: weigh it.' : ''
  const found = verdict.value
  if (!found) return ''
  if (!found.known) return found.says
  const days = found.days && found.ready !== 'yes' ? `, ready in about ${Math.max(1, Math.round(found.days.likely))} days` : ''
  return `About ${found.now.likely.toFixed(0)} % (${found.now.low.toFixed(0)} to ${found.now.high.toFixed(0)})${found.ready === 'yes' ? ', dry enough' : days}`
})
</script>

<template>
  <p v-if="line" :class="verdict?.known && verdict.ready === 'no' ? 'harm' : 'quiet'">{{ line }}</p>
</template>
