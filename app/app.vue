<script setup lang="ts">
import type { Refused } from '~/utils/refusal'

const workshop = useWorkshop()
const stock = useStock()
const methods = useMethods()
const workshops = useWorkshops()
const outbox = useOutbox()
const live = useLive()
const photos = usePhotos()
const { dark } = useTheme()
useHead({ htmlAttrs: { class: () => (dark.value ? 'dark' : '') } })

const route = useRoute()
const pen = usePen()
/** A pen that stands on the screen is worked on, whatever else did not come: an evening does not end with the network. */
const stands = computed(() => pen.pen !== undefined && pen.pen.id === route.params.id)

const failed = ref<Refused>()
async function begin() {
  try {
    // First the numbers that changes are followed from, so that none falls between.
    await live.meet()
    await Promise.all([workshop.load(), stock.load(), methods.load(), workshops.load()])
    failed.value = undefined
  } catch (error) {
    failed.value = refused(error)
  }
}
watch(
  () => live.connected,
  (is) => {
    if (is && failed.value) void begin()
  },
)
onMounted(() => {
  void begin()
  void outbox.open()
  live.open()
  void photos.open()
  // The bench opens without a network too, once it was opened with one.
  if (!import.meta.dev && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
})
</script>

<template>
  <UApp :toaster="{ position: 'bottom-right' }">
    <a class="skip" href="#main">To the content</a>
    <NuxtLayout>
      <ShellTrouble v-if="failed && !stands" :refused="failed" @again="begin" />
      <NuxtPage v-else />
    </NuxtLayout>
  </UApp>
</template>

<style scoped>
.skip { position: absolute; left: -999px; padding: 0.5rem 1rem; background: var(--surface); z-index: 10; }
.skip:focus { left: 8px; top: 8px; }
</style>
