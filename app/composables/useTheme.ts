import { usePreferredDark, useStorage } from '@vueuse/core'

export type ThemeWish = 'system' | 'light' | 'dark'

/**
 * The theme, kept apart for the work screen, which is dark unless the turner says otherwise. `public/theme.js` does the same before the
 * first paint.
 */
export function useTheme() {
  const route = useRoute()
  const atWork = computed(() => route.path.endsWith('/work') || route.path === '/together')
  const everywhere = useStorage<ThemeWish>('oxlip-theme', 'system')
  const work = useStorage<ThemeWish>('oxlip-theme-work', 'dark')
  const systemDark = usePreferredDark()
  const wish = computed<ThemeWish>({
    get: () => (atWork.value ? work.value : everywhere.value),
    set: (value) => {
      ;(atWork.value ? work : everywhere).value = value
    },
  })
  const dark = computed(() => wish.value === 'dark' || (wish.value === 'system' && systemDark.value))
  return { wish, dark }
}

/** Shows the page in its theme, from now on: on a page that is there as on one that is not. */
export function useThemeShown() {
  const { dark } = useTheme()
  watchEffect(() => document.documentElement.classList.toggle('dark', dark.value))
}
