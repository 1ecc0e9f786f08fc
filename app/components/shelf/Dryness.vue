<script setup lang="ts">
import { decimal } from '#core/format'
import type { ShelfBlank } from '#contract'

/** One line on how dry a blank is, where it is damp or has been weighed. */
const props = defineProps<{ blank: ShelfBlank }>()
const verdict = useMoisture(() => (props.blank.readings.length ? props.blank : undefined))
const line = computed(() => {
  if (!props.blank.readings.length) return props.blank.damp ? 'Came in damp: weigh it.' : ''
  const found = verdict.value
  if (!found) return ''
  if (!found.known) return found.says
  const days = found.days && found.ready !== 'yes' ? `, ready in about ${Math.max(1, Math.round(found.days.likely))} days` : ''
  const { likely, low, high } = found.now
  return `About ${decimal(likely)} % (${decimal(low)} to ${decimal(high)})${found.ready === 'yes' ? ', dry enough' : days}`
})
</script>

<template>
  <p v-if="line" :class="verdict?.known && verdict.ready === 'no' ? 'harm' : 'quiet'">{{ line }}</p>
</template>
