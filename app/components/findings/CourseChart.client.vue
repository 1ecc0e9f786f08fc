<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { Control } from '#core/findings'

/** A figure from pen to pen, with the bounds within which it goes by chance alone. */
interface Point {
  mark: string
  says: string
  figure: number
}
const props = defineProps<{ pens: readonly Point[], control: Control | undefined, label: string }>()
use([LineChart, GridComponent, MarkLineComponent, TooltipComponent, SVGRenderer])
const { colours, base } = useChartBase(index => `${props.pens[index]?.mark}: ${props.pens[index]?.says}`)
const bounds = computed(() => {
  const { control } = props
  if (!control) return []
  const line = (yAxis: number, type: string) => ({ yAxis, lineStyle: { color: colours.value.quiet, type } })
  return [line(control.low, 'dashed'), line(control.middle, 'solid'), line(control.high, 'dashed')]
})
const option = computed(() => ({
  ...base.value,
  grid: { left: 56, right: 20, top: 14, bottom: 34 },
  xAxis: {
    type: 'category', data: props.pens.map(one => one.mark), axisLabel: { color: colours.value.quiet },
    axisLine: { lineStyle: { color: colours.value.line } }, axisTick: { show: false },
  },
  yAxis: {
    type: 'value', scale: true, axisLabel: { color: colours.value.quiet }, splitLine: { lineStyle: { color: colours.value.line } },
    min: ({ min }: { min: number }) => Math.floor(Math.min(min, props.control?.low ?? min)),
    max: ({ max }: { max: number }) => Math.ceil(Math.max(max, props.control?.high ?? max)),
  },
  series: [{
    type: 'line',
    symbol: 'circle',
    symbolSize: 8,
    showAllSymbol: true,
    lineStyle: { color: colours.value.line, width: 1.5 },
    itemStyle: { color: colours.value.wait },
    data: props.pens.map((one, index) =>
      (props.control?.out.includes(index) ? { value: one.figure, symbolSize: 12, itemStyle: { color: colours.value.harm } } : one.figure)),
    markLine: { silent: true, symbol: 'none', label: { show: false }, data: bounds.value },
  }],
}))
</script>

<template>
  <div class="chart" role="img" :aria-label="label"><VChart :option="option" autoresize /></div>
</template>

<style scoped>
.chart { height: 260px; }
</style>
