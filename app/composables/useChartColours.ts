/** The colours of the workshop as charts take them, which read no style sheet. */
export function useChartColours() {
  const { dark } = useTheme()
  return computed(() =>
    dark.value
      ? { ink: '#e9efe5', quiet: '#9aa89e', line: '#33403a', surface: '#1a221e', wait: '#8db3d3', harm: '#ee7d6b', brown: '#c9a45c' }
      : { ink: '#1c2b24', quiet: '#55635a', line: '#cfd6c6', surface: '#f9faf4', wait: '#48657f', harm: '#a23a2a', brown: '#8a5a3a' },
  )
}
