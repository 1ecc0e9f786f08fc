<script setup lang="ts">
useHead({ title: 'Pens · Oxlip' })
const store = usePens()
const { failed, loaded, again } = useLoad(store.load)
const looked = ref('')
const pens = computed(() => {
  const words = looked.value.trim().toLowerCase()
  return (store.pens ?? [])
    .filter(
      ({ pen, summary }) =>
        !words
        || [pen.mark, pen.name, pen.reason, summary.material.name, summary.fitting.name].some(text => text?.toLowerCase().includes(words)),
    )
    .sort((a, b) => a.pen.mark.localeCompare(b.pen.mark, undefined, { numeric: true }))
})
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the pens ...</p>
  <div v-else class="pens">
    <header>
      <h1>Pens</h1>
      <UInput
        v-model="looked" type="search" size="xl" icon="i-lucide-search" placeholder="Mark, name, wood or reason"
        aria-label="Look a pen up"
      />
      <NuxtLink class="key" to="/pens/defects">Defects</NuxtLink>
      <NuxtLink class="key" to="/pens/new"><UIcon name="i-lucide-plus" aria-hidden="true" /> Start a pen</NuxtLink>
    </header>
    <ul v-if="pens.length" class="sheet rows"><BenchRow v-for="one in pens" :key="one.pen.id" :listed="one" /></ul>
    <section v-else class="sheet none" role="status">
      <p v-if="store.pens?.length">No pen says “{{ looked }}”. Look for its mark, like C2, or a part of its name.</p>
      <p v-else>No pens yet.</p>
      <button v-if="looked" type="button" class="key" @click="looked = ''">Show all pens</button>
      <NuxtLink v-else class="key next" to="/pens/new">Start the first pen</NuxtLink>
    </section>
  </div>
</template>

<style scoped>
.pens { display: grid; gap: 1.1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.75rem 1.2rem; }
header > :nth-child(2) { flex: 1 1 16rem; max-width: 26rem; }
header .key:first-of-type { margin-left: auto; }
.rows { overflow: hidden; }
.none { display: grid; justify-items: start; gap: 0.8rem; padding: 1.25rem; }
</style>
