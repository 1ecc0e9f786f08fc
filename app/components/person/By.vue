<script setup lang="ts">
import type { BenchEvent } from '#core/bench'
import type { StoredEvent } from '#contract'
import { counted } from '#core/format'

/** Whose a pen is, and who entered how much of it; nothing where nobody was ever asked. */
const props = defineProps<{ events: readonly BenchEvent[], maker: string | null }>()
const people = usePeople()
/** Entries by whoever made them, most first. */
const by = computed(() => {
  const times = new Map<string, number>()
  for (const { by: who } of props.events as readonly Partial<StoredEvent>[]) if (who) times.set(who, (times.get(who) ?? 0) + 1)
  return [...times].sort((a, b) => b[1] - a[1])
})
const isAsked = computed(() => Boolean(props.maker) || by.value.length > 0)
watch(isAsked, is => is && void people.load().catch(() => undefined), { immediate: true })
const says = computed(() => by.value.map(([id, times]) => `${people.nameOf(id)}, ${counted(times, 'entry', 'entries')}`).join('; '))
</script>

<template>
  <p v-if="isAsked" class="quiet by">
    <template v-if="maker">Pen of {{ people.nameOf(maker) }}. </template>
    <template v-if="says">Entered by {{ says }}.</template>
  </p>
</template>
