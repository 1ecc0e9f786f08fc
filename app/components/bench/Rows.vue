<script setup lang="ts">
import { measureElement, useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useResizeObserver } from '@vueuse/core'
import type { ListedPen } from '#contract'

/** A long list of pens: only the rows near the window are drawn, and the next page is asked for before the last row is reached. */
const props = defineProps<{ pens: readonly ListedPen[] }>()
const emit = defineEmits<{ end: [] }>()

/** A row before it was measured, px, rows drawn beyond the window, and how near the end the next page is asked for. */
const ROW = 75
const BEYOND = 6
const NEAR_END = 12

const list = useTemplateRef('list')
const top = ref(0)
// It may be hidden at first, and has no place then.
useResizeObserver(list, () => {
  top.value = list.value?.offsetTop ?? 0
})
const drawn = useWindowVirtualizer(computed(() => ({
  count: props.pens.length,
  estimateSize: () => ROW,
  // Hidden, a row has no height: it is one that was not measured, or the window would follow it down when it shows.
  measureElement: (row: Element, entry: ResizeObserverEntry | undefined, of: Parameters<typeof measureElement>[2]) =>
    measureElement(row, entry, of) || ROW,
  overscan: BEYOND,
  scrollMargin: top.value,
  getItemKey: (index: number) => props.pens[index]?.pen.id ?? index,
})))
const shown = computed(() =>
  drawn.value.getVirtualItems().flatMap(({ index, start }) => {
    const listed = props.pens[index]
    return listed ? [{ index, start: start - top.value, listed }] : []
  }),
)
watch(
  () => (shown.value.at(-1)?.index ?? 0) + NEAR_END > props.pens.length,
  near => near && emit('end'),
  { immediate: true },
)
watch(() => props.pens.length, () => {
  if ((shown.value.at(-1)?.index ?? 0) + NEAR_END > props.pens.length) emit('end')
})
const measured = (row: unknown) => drawn.value.measureElement((row as { $el?: Element } | null)?.$el ?? null)
</script>

<template>
  <ul ref="list" class="sheet rows" :style="{ height: `${drawn.getTotalSize()}px` }">
    <BenchRow
      v-for="{ index, start, listed } in shown" :key="listed.pen.id" :ref="measured" :listed="listed" :data-index="index"
      :aria-setsize="-1" :aria-posinset="index + 1" class="row" :style="{ transform: `translateY(${start}px)` }"
    />
  </ul>
</template>

<style scoped>
.rows { position: relative; overflow: hidden; }
.row { position: absolute; inset: 0 0 auto; }
</style>
