<script setup lang="ts">
import type { PenQuery } from '#schemas'

useHead({ title: 'Gallery · Oxlip' })
const { asked: said, choose } = usePenFilter()
const text = computed(() => said.value.text)
const looked = useLooked(() => text.value, words => choose('text', words))
const asked = computed((): PenQuery => ({ stage: 'finished', limit: 30, ...(text.value ? { text: text.value } : {}) }))
const list = usePenList(() => asked.value)
const { failed, loaded, again } = useLoad(list.load)
watch(asked, again)
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the pens ...</p>
  <div v-else class="pens">
    <header>
      <h1>Gallery</h1>
      <PenSearch v-model="looked" label="Look a finished pen up" />
      <NuxtLink class="key" to="/pens">All pens</NuxtLink>
    </header>
    <PenGallery v-if="list.pens.value?.length" :pens="list.pens.value" @end="list.more" />
    <section v-else class="sheet none" role="status">
      <p v-if="text">No finished pen says “{{ text }}”.</p>
      <p v-else>No pen is finished yet. Here they will stand, each as you took a picture of it, or drawn to scale.</p>
      <NuxtLink v-if="!text" class="key next" to="/">To the bench</NuxtLink>
    </section>
  </div>
</template>

<style scoped>
.pens { display: grid; gap: 1.1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.75rem 1.2rem; }
header .key { margin-left: auto; }
.none { display: grid; justify-items: start; gap: 0.8rem; padding: 1.25rem; }
</style>
