<script setup lang="ts">
/** Loads the pen once for its three views. */
const route = useRoute()
const store = usePen()
const { failed, again } = useLoad(() => store.load(String(route.params.id)))
watch(() => route.params.id, again)
const live = useLive()
/** The pen stands here with the others on the bench, so that nothing moves when these come. */
const there = computed(() => live.met && store.pen?.id === route.params.id)
useHead({ title: () => (store.pen ? `${store.pen.mark} ${store.pen.name} · Oxlip` : 'Oxlip') })
</script>

<template>
  <ShellTrouble v-if="failed && !there" :refused="failed" @again="again" />
  <LazyPenBroken v-else-if="there && store.broken" :broken="store.broken" />
  <NuxtPage v-else-if="there" />
  <p v-else class="quiet" role="status">Fetching the pen ...</p>
</template>
