<script setup lang="ts">
/** Why whoever is here cannot work on a pen: it is somebody else’s, or they look only. */
const props = defineProps<{ maker: string | null }>()
const me = useMe()
const people = usePeople()
onMounted(() => void people.load().catch(() => undefined))
const says = computed(() => {
  if (!me.may('work')) return 'You may look here. Nothing is entered from this device.'
  if (props.maker === null) return 'This pen is an owner’s. You work on your own.'
  return `This is the pen of ${people.nameOf(props.maker)}. You work on your own.`
})
</script>

<template>
  <p class="others" role="status">{{ says }}</p>
</template>

<style scoped>
.others { padding: 0.8rem 1.1rem; border: 1px solid var(--line); border-radius: 8px; background: var(--surface); }
</style>
