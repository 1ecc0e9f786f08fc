<script setup lang="ts">
import type { StepTimes } from '#contract'
import { formatSpan } from '#core/format'
import { BoxplotChart, ScatterChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** Boxes of the times of each kind of step, with what was planned as a mark. */
const props = defineProps<{ rows: readonly (StepTimes & { label: string })[], label: string }>()
use([BoxplotChart, ScatterChart, GridComponent, TooltipComponent, SVGRenderer])
const { colours, base } = useChartBase((index) => {
  const row = upwards.value[index]
  return row && `${row.label}: half take up to ${formatSpan(row.taken[2])}, ${formatSpan(row.planned)} planned`
})
/** The longest stands at the top. */
const upwards = computed(() => [...props.rows].reverse())
const minutes = (seconds: number) => seconds / 60
const option = computed(() => ({
  ...base.value,
  grid: { left: 8, right: 20, top: 8, bottom: 40, containLabel: true },
  xAxis: {
    type: 'value', name: 'minutes', nameLocation: 'middle', nameGap: 26, nameTextStyle: { color: colours.value.quiet },
    axisLabel: { color: colours.value.quiet }, splitLine: { lineStyle: { color: colours.value.line } },
  },
  yAxis: {
    type: 'category', data: upwards.value.map(one => one.label), axisLabel: { color: colours.value.ink, fontSize: 13 },
    axisLine: { lineStyle: { color: colours.value.line } }, axisTick: { show: false },
  },
  series: [
    {
      type: 'boxplot',
      boxWidth: [6, 14],
      itemStyle: { color: colours.value.surface, borderColor: colours.value.wait, borderWidth: 1.5 },
      data: upwards.value.map(one => one.taken.map(minutes)),
    },
    {
      type: 'scatter', symbol: 'diamond', symbolSize: 11, itemStyle: { color: colours.value.brown },
      data: upwards.value.map((one, index) => [minutes(one.planned), index]),
    },
  ],
}))
</script>

<template>
  <div>
    <div role="img" :aria-label="label" :style="{ height: `${60 + 28 * rows.length}px` }"><VChart :option="option" autoresize /></div>
    <p class="quiet">
      A box holds the middle half of all times, its line the middle one; the whiskers reach from a tenth to nine tenths.
      ◆ is what was planned.
    </p>
  </div>
</template>
