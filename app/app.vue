<script setup lang="ts">
/** By then the first picture stands, ms. */
const AT_REST = 5000
const workshop = useWorkshop()
const stock = useStock()
const methods = useMethods()
const workshops = useWorkshops()
const outbox = useOutbox()
const live = useLive()
const photos = usePhotos()
const me = useMe()
useThemeShown()

const route = useRoute()
const pen = usePen()
/** What stands on the screen is worked on, whatever else did not come: an evening does not end with the network. */
const fresh = useFreshness()
const isPen = computed(() => pen.pen !== undefined && pen.pen.id === route.params.id)
const stands = computed(() => isPen.value || fresh.stands)

const { failed, loaded, again: begin } = useInsist(async () => {
  // First the numbers that changes are followed from, so that none falls between.
  const followed = live.meet().then(() => Promise.all([workshop.load(), stock.load(), methods.load()]))
  await Promise.all([workshops.load(), followed])
})
useProgram()
// Every page opens without a network, once one was opened with one.
watch(loaded, () => {
  if (!import.meta.dev) void import('~/utils/keep-program').then(({ keepProgram }) => keepProgram(), () => undefined)
}, { once: true })
/** What shows short notices is fetched with the first of them, or when the page is at rest: later the network may be away. */
const { toasts } = useToast()
const showsToasts = ref(false)
watch(() => toasts.value.length, () => {
  showsToasts.value = true
}, { once: true })
useTimeoutFn(() => {
  showsToasts.value = true
  void import('~/utils/one-press').then(({ onePress }) => onePress(), () => undefined)
}, AT_REST)
/** Nothing of a workshop is asked for before it is known who is here; a stranger finds the door. */
const isSecure = window.isSecureContext
onMounted(async () => {
  if (!isSecure || ['/door', '/shown'].includes(route.path)) return
  if (!await me.meet()) return navigateTo('/door')
  void begin()
  void outbox.open()
  live.open()
  void photos.open()
})
</script>

<template>
  <div>
    <a class="skip" href="#main">To the content</a>
    <LazyShellInsecure v-if="!isSecure" />
    <NuxtLayout v-else>
      <ShellTrouble v-if="failed && !loaded && !stands" :refused="failed" @again="begin" />
      <template v-else>
        <p v-if="failed && !loaded && !isPen" class="harm lacks" role="alert">◆ {{ failed.message }} It is asked again by itself.</p>
        <NuxtPage />
      </template>
    </NuxtLayout>
    <LazyUToaster v-if="showsToasts" position="bottom-right" />
  </div>
</template>

<style scoped>
.skip { position: absolute; left: -999px; padding: 0.5rem 1rem; background: var(--surface); z-index: 10; }
.lacks { margin-bottom: 0.8rem; }
.skip:focus { left: 8px; top: 8px; }
</style>
