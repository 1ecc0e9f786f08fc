<script setup lang="ts" generic="Row">
import { measureElement, useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useResizeObserver } from '@vueuse/core'

/** A long list: only the rows near the window are drawn, and the next page is asked for before the last row is reached. */
const props = withDefaults(defineProps<{
  rows: readonly Row[]
  /** What tells a row from the others. */
  idOf: (row: Row) => string
  /** About how high a row is, px. */
  high?: number
  /** Whether these are all there are, not pages of them: a few are all drawn, in their place at once. */
  whole?: boolean
}>(), { high: 75 })
const emit = defineEmits<{ end: [] }>()

/** Rows drawn beyond the window, and how near the end the next page is asked for. */
const BEYOND = 6
const NEAR_END = 12
/** No more than so many are a few. */
const FEW = 30
const isFew = computed(() => props.whole && props.rows.length <= FEW)

const list = useTemplateRef('list')
const top = ref(0)
const drawn = useWindowVirtualizer(computed(() => ({
  count: props.rows.length,
  estimateSize: () => props.high,
  // Hidden, a row has no height: it is one that was not measured, or the window would follow it down when it shows.
  measureElement: (row: Element, entry: ResizeObserverEntry | undefined, of: Parameters<typeof measureElement>[2]) =>
    measureElement(row, entry, of) || props.high,
  overscan: BEYOND,
  scrollMargin: top.value,
  getItemKey: (index: number) => {
    const row = props.rows[index]
    return row === undefined ? index : props.idOf(row)
  },
})))
const goBack = useGoingBack(
  () => ({ rows: props.whole ? 0 : props.rows.length, first: isFew.value ? 0 : drawn.value.range?.startIndex ?? 0 }),
  first => drawn.value.scrollToIndex(first, { align: 'start' }),
)
// It may be hidden at first, and has no place then.
useResizeObserver(list, () => {
  top.value = list.value?.offsetTop ?? 0
  if (list.value?.offsetParent) goBack()
})
const shown = computed(() =>
  drawn.value.getVirtualItems().flatMap(({ index, start }) => {
    const row = props.rows[index]
    const place = {
      'data-index': index, 'aria-setsize': -1, 'aria-posinset': index + 1, 'class': 'placed',
      'style': { transform: `translateY(${start - top.value}px)` },
    }
    return row === undefined ? [] : [{ id: props.idOf(row), row, place }]
  }),
)
const isNear = computed(() => (drawn.value.range?.endIndex ?? 0) + BEYOND + NEAR_END > props.rows.length)
watch([isNear, () => props.rows.length], ([near]) => near && emit('end'), { immediate: true })
const measured = (row: unknown) =>
  drawn.value.measureElement(row instanceof Element ? row : (row as { $el?: Element } | null)?.$el ?? null)
</script>

<template>
  <ul ref="list" class="sheet rows" :style="isFew ? {} : { height: `${drawn.getTotalSize()}px` }">
    <template v-if="isFew">
      <template v-for="row in rows" :key="idOf(row)"><slot :row="row" :place="{}" :measured="undefined" /></template>
    </template>
    <template v-for="one in shown" v-else :key="one.id"><slot :row="one.row" :place="one.place" :measured="measured" /></template>
  </ul>
</template>

<style scoped>
.rows { position: relative; overflow: hidden; }
.rows > :deep(.placed) { position: absolute; inset: 0 0 auto; }
</style>
