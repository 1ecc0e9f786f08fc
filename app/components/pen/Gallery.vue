<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize, useResizeObserver } from '@vueuse/core'
import type { ListedPen } from '#contract'

/** Finished pens side by side, each as it was photographed last, or drawn: only those near the window are there. */
const props = defineProps<{ pens: readonly ListedPen[] }>()
const emit = defineEmits<{ end: [] }>()
const photos = usePhotos()

/** The least width of a card and its height, px; rows drawn beyond the window, and how near the end the next page is asked for. */
const CARD = { width: 270, height: 216, gap: 16 }
const BEYOND = 2
const NEAR_END = 24

const list = useTemplateRef('list')
const { width } = useElementSize(list)
const top = ref(0)
const columns = computed(() => Math.max(1, Math.floor((width.value + CARD.gap) / (CARD.width + CARD.gap))))
const rows = useWindowVirtualizer(computed(() => ({
  count: Math.ceil(props.pens.length / columns.value),
  estimateSize: () => CARD.height + CARD.gap,
  overscan: BEYOND,
  scrollMargin: top.value,
})))
const goBack = useGoingBack(
  () => ({ rows: props.pens.length, first: (rows.value.range?.startIndex ?? 0) * columns.value }),
  first => rows.value.scrollToIndex(Math.floor(first / columns.value), { align: 'start' }),
)
useResizeObserver(list, () => {
  top.value = list.value?.offsetTop ?? 0
  if (list.value?.offsetParent) goBack()
})
const shown = computed(() => rows.value.getVirtualItems().map(({ index, start }) => {
  const first = index * columns.value
  return { index, first, start: start - top.value, pens: props.pens.slice(first, first + columns.value) }
}))
const isNear = computed(() => (shown.value.at(-1)?.first ?? 0) + NEAR_END > props.pens.length)
watch([isNear, () => props.pens.length], ([near]) => near && emit('end'), { immediate: true })

const finishedOn = ({ summary }: ListedPen) => (summary.lastEntryAt ? pastDay(summary.lastEntryAt) : '')
</script>

<template>
  <ul ref="list" class="gallery" :style="{ height: `${rows.getTotalSize()}px` }">
    <template v-for="row in shown" :key="row.index">
      <li
        v-for="(listed, place) in row.pens" :key="listed.pen.id" :aria-setsize="-1" :aria-posinset="row.first + place + 1"
        :style="{
          transform: `translateY(${row.start}px)`,
          height: `${CARD.height}px`,
          left: `calc(${place} * (100% + ${CARD.gap}px) / ${columns})`,
          width: `calc((100% - ${CARD.gap * (columns - 1)}px) / ${columns})`,
        }"
      >
        <NuxtLink :to="`/pens/${listed.pen.id}/record`" class="sheet card">
          <img v-if="listed.summary.picture" :src="photos.urlOf(listed.summary.picture)" alt="">
          <span v-else class="drawn">
            <PenStrip
              :fitting="listed.summary.fitting" :shapes="listed.summary.shapes" :colour="listed.summary.material.colour"
              :resin="listed.summary.material.resin" size="head"
              :label="`${listed.summary.fitting.name} in ${listed.summary.material.name}, to scale`"
            />
          </span>
          <span class="says">
            <PenTag :mark="listed.pen.mark" />
            <b>{{ listed.pen.name }}</b>
            <span class="quiet">{{ listed.summary.material.name }}, {{ finishedOn(listed) }}</span>
          </span>
        </NuxtLink>
      </li>
    </template>
  </ul>
</template>

<style scoped>
.gallery { position: relative; }
li { position: absolute; top: 0; }
.card { display: grid; grid-template-rows: minmax(0, 1fr) auto; height: 100%; overflow: hidden; color: var(--ink); }
.card:hover { border-color: var(--ink-2); }
img { width: 100%; height: 100%; object-fit: cover; }
.drawn { display: grid; align-content: center; padding: 0 1rem; }
.says { display: grid; grid-template-columns: auto minmax(0, 1fr); gap: 0 0.7rem; align-items: center; padding: 0.6rem 0.8rem; }
.says > :first-child { grid-row: span 2; }
.says b, .says .quiet { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
</style>
