<script setup lang="ts">
import type { OwnProductKept } from '#contract'
import { products } from '#reference'

useHead({ title: 'Glues and finishes · Shelf · Oxlip' })
const store = useWorkshop()
const toast = useToast()
const busy = ref<string>()
const own = shallowRef<readonly OwnProductKept[]>([])
const readOwn = async () => {
  own.value = await api('GET /api/shelf/products')
}
const { failed, loaded, again } = useLoad(async () => {
  await Promise.all([store.load(), readOwn()])
})

const there = computed(() => store.shelf?.products ?? [])
const missing = computed(() => [...products, ...own.value].filter(row => !there.value.some(one => one.id === row.id)))
const ownOf = (id: string) => own.value.find(one => one.id === id)
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
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="store.shelf" class="shelf figures">
    <header>
      <h1>Glues and finishes</h1>
      <p class="quiet">
        Open one for its bottle and its label. What the label says stands above any figure of ours; what coats use comes off what is left.
      </p>
    </header>
    <p v-if="!there.length" class="quiet">Nothing here yet: tick what you have below.</p>
    <ul class="bottles">
      <li v-for="row in there" :key="row.id">
        <label class="off">
          <input
            type="checkbox" checked :disabled="busy === row.id" :aria-label="`${row.name} is on the shelf`" @change="put(row.id, false)"
          >
        </label>
        <ShelfBottle :product="row" :own="ownOf(row.id)" @changed="readOwn" />
      </li>
    </ul>
    <fieldset v-if="missing.length" class="sheet">
      <legend><h2>Not on the shelf</h2></legend>
      <div class="items">
        <label v-for="row in missing" :key="row.id">
          <input type="checkbox" :disabled="busy === row.id" @change="put(row.id, true)">
          <b>{{ row.name }}</b>
        </label>
      </div>
    </fieldset>
    <details class="sheet mine">
      <summary>A product of your own</summary>
      <p class="quiet">
        Like one of these but for what its label says: what a coat adds, how long it keeps, what to mind. Its label’s waits are entered at
        its bottle, once it is on the shelf.
      </p>
      <ShelfOwnProduct @kept="readOwn" />
    </details>
  </div>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.shelf { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.3rem 1.2rem; }
header p { flex: 1 1 20rem; }
.bottles { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.4rem; }
.bottles li { display: grid; grid-template-columns: 44px minmax(0, 1fr); align-items: start; }
label { display: flex; align-items: center; gap: 0.6rem; min-height: 44px; cursor: pointer; }
.off { min-height: 52px; }
input[type=checkbox] { width: 1.25rem; height: 1.25rem; accent-color: var(--leaf); flex: none; }
fieldset { padding: 0.9rem 1.1rem 1rem; }
.mine { display: grid; gap: 0.6rem; padding: 0 1.1rem; }
.mine[open] { padding-bottom: 1rem; }
.mine summary { padding-block: 0.9rem; font-weight: 500; cursor: pointer; }
legend { float: left; width: 100%; margin-bottom: 0.5rem; }
.items { clear: both; display: grid; grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr)); gap: 0 1rem; }
label b { font-weight: 500; }
</style>
