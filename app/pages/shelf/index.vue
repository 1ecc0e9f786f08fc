<script setup lang="ts">
import { abrasiveName, grainSize } from '#core/abrasives'
import { abrasives, products } from '#reference'

useHead({ title: 'Shelf · Oxlip' })
const store = useWorkshop()
const toast = useToast()
const busy = ref<string>()
const { failed, loaded, again } = useLoad(store.load)

const there = computed(() => new Set([...store.shelf?.abrasives ?? [], ...store.shelf?.products ?? []].map(row => row.id)))
const scales = [
  { scale: 'P', name: 'Paper, P grades' }, { scale: 'CAMI', name: 'Paper, CAMI grades' }, { scale: 'pad', name: 'Cushioned pads' }, { scale: 'micron', name: 'Polishing film' },
] as const
const groups = computed(() => scales.map(group => ({ ...group, rows: abrasives.filter(row => row.scale === group.scale) })))

async function put(item: string, on: boolean) {
  busy.value = item
  try {
    await store.putOnShelf(item, on)
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  } finally {
    busy.value = undefined
  }
}
async function fill() {
  try {
    await store.fillShelf()
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="store.shelf" class="shelf figures">
    <header>
      <h1>Shelf</h1>
      <p class="quiet">Plans use what is on the shelf. Tick what you have; numbers of different scales compare only by their grain, in µm.</p>
      <button type="button" class="key" @click="fill">Put the usual things on</button>
    </header>
    <fieldset class="sheet">
      <legend><h2>Glues, finishes, polishes</h2></legend>
      <div class="items wide">
        <label v-for="row in products" :key="row.id"><input type="checkbox" :checked="there.has(row.id)" :disabled="busy === row.id" @change="put(row.id, ($event.target as HTMLInputElement).checked)"><b>{{ row.name }}</b></label>
      </div>
    </fieldset>
    <fieldset v-for="group in groups" :key="group.scale" class="sheet">
      <legend><h2>{{ group.name }}</h2></legend>
      <div class="items">
        <label v-for="row in group.rows" :key="row.id"><input type="checkbox" :checked="there.has(row.id)" :disabled="busy === row.id" @change="put(row.id, ($event.target as HTMLInputElement).checked)"><b>{{ abrasiveName(row) }}</b><span class="quiet">{{ group.scale === 'micron' ? '' : `${grainSize(row.scale, row.mark)} µm` }}</span></label>
      </div>
    </fieldset>
  </div>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.shelf { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
header p { flex: 1 1 20rem; }
fieldset { padding: 0.9rem 1.1rem 1rem; }
legend { float: left; width: 100%; margin-bottom: 0.5rem; }
.items { clear: both; display: grid; grid-template-columns: repeat(auto-fill, minmax(12.5rem, 1fr)); gap: 0 1rem; }
.items.wide { grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr)); }
label { display: flex; align-items: center; gap: 0.6rem; min-height: 44px; cursor: pointer; }
input { width: 1.25rem; height: 1.25rem; accent-color: var(--leaf); flex: none; }
label b { font-weight: 500; }
label b, label span { white-space: nowrap; }
label .quiet { margin-left: auto; padding-right: 1rem; }
</style>
