<script setup lang="ts">
import { nth } from '#core/sure'
import { ScatterChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import { abrasiveName, grainSize } from '#core/abrasives'
import type { ShelfAbrasive } from '#core/shelf'

/** All abrasives of the shelf on one µm line, coarse at the left, one row for each scale. */
const props = defineProps<{ abrasives: readonly ShelfAbrasive[] }>()
use([ScatterChart, GridComponent, TooltipComponent, SVGRenderer])

const ROWS = ['film and own', 'pads', 'CAMI', 'P'] as const
const rowOf = ({ scale }: ShelfAbrasive) => ({ micron: 0, pad: 1, CAMI: 2, P: 3 })[scale]
const colours = useChartColours()
const option = computed(() => ({
  animation: false,
  textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif' },
  grid: { left: 96, right: 24, top: 12, bottom: 40 },
  tooltip: {
    trigger: 'item',
    backgroundColor: colours.value.surface,
    borderColor: colours.value.line,
    textStyle: { color: colours.value.ink },
    formatter: ({ data }: { data: { label: string, value: number[] } }) => `${data.label}, ${data.value[0]} µm`,
  },
  xAxis: {
    type: 'log',
    inverse: true,
    min: 0.8,
    max: Math.max(220, ...props.abrasives.map(one => 1.1 * grainSize(one.scale, one.mark))),
    name: 'grain, µm',
    nameLocation: 'middle',
    nameGap: 24,
    nameTextStyle: { color: colours.value.quiet },
    axisLabel: { color: colours.value.quiet },
    splitLine: { lineStyle: { color: colours.value.line } },
  },
  yAxis: {
    type: 'category',
    data: ROWS,
    axisLabel: { color: colours.value.ink, fontSize: 14 },
    axisLine: { lineStyle: { color: colours.value.line } },
    axisTick: { show: false },
  },
  series: [
    {
      type: 'scatter',
      symbol: 'roundRect',
      symbolSize: [7, 26],
      itemStyle: { color: colours.value.brown },
      data: props.abrasives.map(one => ({
        label: abrasiveName(one),
        value: [grainSize(one.scale, one.mark), rowOf(one)],
        ...(one.worn ? { itemStyle: { opacity: 1 - 0.7 * one.worn } } : {}),
      })),
    },
  ],
}))
/** Neighbours that are hardly apart. */
const doubles = computed(() => {
  const grains = [...props.abrasives].sort((a, b) => grainSize(b.scale, b.mark) - grainSize(a.scale, a.mark))
  const pairs = grains.slice(1).map((finer, index) => ({
    coarser: nth(grains, index),
    finer,
    ratio: grainSize(nth(grains, index).scale, nth(grains, index).mark) / grainSize(finer.scale, finer.mark),
  }))
  return pairs.filter(pair => pair.ratio < 1.08)
})
</script>

<template>
  <div class="line">
    <div class="chart" role="img" :aria-label="`${abrasives.length} abrasives on one line of grain sizes`">
      <VChart :option="option" autoresize />
    </div>
    <p v-if="doubles.length" class="quiet">
      <b>Alike:</b> {{ doubles.map(one => `${abrasiveName(one.coarser)} and ${abrasiveName(one.finer)}`).join(', ') }}.
    </p>
  </div>
</template>

<style scoped>
/* As drawn it must not keep the page from becoming narrower. */
.chart { height: 15rem; contain: inline-size; }
</style>
