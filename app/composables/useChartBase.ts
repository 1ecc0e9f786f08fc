/** What every chart has alike: no movement, the letters of the workshop, and a tip over its points that says what it is told. */
export function useChartBase(tip: (index: number) => string | undefined) {
  const colours = useChartColours()
  const base = computed(() => ({
    animation: false,
    textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif' },
    tooltip: {
      trigger: 'item',
      backgroundColor: colours.value.surface,
      borderColor: colours.value.line,
      textStyle: { color: colours.value.ink },
      formatter: ({ dataIndex }: { dataIndex: number }) => tip(dataIndex) ?? '',
    },
  }))
  return { colours, base }
}
