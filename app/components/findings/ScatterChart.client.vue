<script setup lang="ts">
import { ScatterChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** Points of pens by two figures; those that are out are marked. */
interface Point {
  mark: string
  says: string
  x: number
  y: number
  out: boolean
}
const props = defineProps<{
  points: readonly Point[]
  /** What the axes tell, with their units. */
  axes: readonly [string, string]
  /** Whether a line shows where both are the same. */
  same?: boolean
  label: string
}>()
use([ScatterChart, GridComponent, MarkLineComponent, TooltipComponent, SVGRenderer])
const { colours, base } = useChartBase(index => `${props.points[index]?.mark}: ${props.points[index]?.says}`)
const most = computed(() => 5 * Math.ceil(Math.max(1, ...props.points.flatMap(one => [one.x, one.y])) / 5))
const axis = (name: string, gap: number) => ({
  type: 'value', name, max: props.same ? most.value : undefined, nameLocation: 'middle', nameGap: gap, scale: !props.same,
  nameTextStyle: { color: colours.value.quiet },
  axisLabel: { color: colours.value.quiet }, splitLine: { lineStyle: { color: colours.value.line } },
})
const line = computed(() => (props.same
  ? {
      silent: true, symbol: 'none', label: { show: false }, lineStyle: { color: colours.value.quiet, type: 'dashed' },
      data: [[{ coord: [0, 0] }, { coord: [most.value, most.value] }]],
    }
  : undefined))
const option = computed(() => ({
  ...base.value,
  grid: { left: 58, right: 20, top: 14, bottom: 44 },
  xAxis: axis(props.axes[0], 28),
  yAxis: axis(props.axes[1], 40),
  series: [{
    type: 'scatter',
    symbolSize: 9,
    itemStyle: { color: colours.value.wait },
    data: props.points.map(({ x, y, out }) =>
      (out ? { value: [x, y], symbol: 'diamond', symbolSize: 12, itemStyle: { color: colours.value.harm } } : [x, y])),
    markLine: line.value,
  }],
}))
</script>

<template>
  <div class="chart" role="img" :aria-label="label"><VChart :option="option" autoresize /></div>
</template>

<style scoped>
.chart { height: 300px; }
</style>
