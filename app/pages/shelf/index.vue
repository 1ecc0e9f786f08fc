<script setup lang="ts">
import { abrasiveName, grainSize } from '#core/abrasives'
import { abrasives } from '#reference'

useHead({ title: 'Shelf · Oxlip' })
const store = useWorkshop()
const toast = useToast()
const busy = ref<string>()
const { failed, loaded, again } = useLoad(store.load)

const there = computed(() => new Set((store.shelf?.abrasives ?? []).map(row => row.id)))
const scales = [
  { scale: 'P', name: 'Paper, P grades' },
  { scale: 'CAMI', name: 'Paper, CAMI grades' },
  { scale: 'pad', name: 'Cushioned pads' },
  { scale: 'micron', name: 'Polishing film' },
] as const
/** Pads of the turner's own, which no scale has. */
const own = computed(() => (store.shelf?.abrasives ?? []).filter(one => one.id.startsWith('own-')))
const WEAR = [
  { label: 'fresh', value: '0' },
  { label: 'a quarter worn', value: '0.25' },
  { label: 'half worn', value: '0.5' },
  { label: 'nearly dull', value: '0.8' },
]
const USES = [
  { label: 'wet or dry', value: 'both' },
  { label: 'dry only', value: 'dry' },
  { label: 'wet only', value: 'wet' },
]
const useOf = ({ wet, dry }: { wet: boolean, dry: boolean }) => (wet && dry ? 'both' : dry ? 'dry' : 'wet')
async function describe(item: string, how: { worn?: number, count?: number, wet?: boolean, dry?: boolean }) {
  try {
    await store.putOnShelf(item, true, how)
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
const nearestWear = (worn = 0) =>
  WEAR.reduce((best, one) => (Math.abs(Number(one.value) - worn) < Math.abs(Number(best.value) - worn) ? one : best)).value
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
      <p class="quiet">
        Plans use what is on the shelf. Tick what you have; numbers of different scales compare only by their grain, in µm.
      </p>
      <button type="button" class="key" @click="fill">Put the usual things on</button>
    </header>
    <section class="sheet part" aria-labelledby="grains">
      <h2 id="grains">All of them by their grain</h2>
      <ShelfGrainLine v-if="store.shelf.abrasives.length" :abrasives="store.shelf.abrasives" />
      <p v-else class="quiet">No abrasive on the shelf yet: tick what you have below.</p>
    </section>
    <fieldset v-for="group in groups" :key="group.scale" class="sheet">
      <legend><h2>{{ group.name }}</h2></legend>
      <div class="items">
        <label v-for="row in group.rows" :key="row.id">
          <input
            type="checkbox" :checked="there.has(row.id)" :disabled="busy === row.id"
            @change="put(row.id, ($event.target as HTMLInputElement).checked)"
          >
          <b>{{ abrasiveName(row) }}</b>
          <span class="quiet">{{ group.scale === 'micron' ? '' : `${grainSize(row.scale, row.mark)} µm` }}</span>
        </label>
      </div>
    </fieldset>
    <section v-if="store.shelf.abrasives.length" class="sheet part" aria-labelledby="wear">
      <h2 id="wear">How worn, how many</h2>
      <ul class="wear">
        <li v-for="row in store.shelf.abrasives" :key="row.id">
          <b>{{ abrasiveName(row) }}</b>
          <span class="quiet">{{ grainSize(row.scale, row.mark) }} µm</span>
          <USelect
            :model-value="useOf(row)" :items="USES" size="lg" :aria-label="`How ${abrasiveName(row)} is used`"
            @update:model-value="describe(row.id, { wet: $event !== 'dry', dry: $event !== 'wet' })"
          />
          <USelect
            :model-value="nearestWear(row.worn)" :items="WEAR" size="lg" :aria-label="`How worn ${abrasiveName(row)} is`"
            @update:model-value="describe(row.id, { worn: Number($event) })"
          />
          <UInputNumber
            :model-value="row.count ?? null" :min="0" :max="10000" size="lg" placeholder="?"
            :aria-label="`How many of ${abrasiveName(row)}`"
            @update:model-value="$event !== null && $event !== undefined && describe(row.id, { count: $event })"
          />
        </li>
      </ul>
    </section>
    <section class="sheet part" aria-labelledby="own">
      <h2 id="own">A pad with a colour and no number</h2>
      <ul v-if="own.length" class="own">
        <li v-for="row in own" :key="row.id">
          <b>{{ row.label }}</b>, {{ row.mark }} µm, between {{ row.between?.join(' and ') }}
          <button type="button" class="off" @click="put(row.id, false)">take it off</button>
        </li>
      </ul>
      <ShelfOwnPad />
    </section>
    <section class="sheet part" aria-labelledby="convert"><h2 id="convert">What is this pad in paper?</h2><ShelfConverter /></section>
  </div>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.shelf { display: grid; gap: 1rem; }
.part { display: grid; gap: 0.5rem; padding: 0.9rem 1.1rem 1rem; min-width: 0; }
.wear { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 34rem), 1fr)); gap: 0.3rem 2.5rem; }
.wear li {
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 1fr) 7.5rem 8.5rem 7rem;
  gap: 0.6rem;
  align-items: center;
  min-height: 48px;
}
.off { min-height: 32px; color: var(--leaf); text-decoration: underline; cursor: pointer; }
@media (max-width: 560px) { .wear li { grid-template-columns: 1fr 1fr; border-bottom: 1px solid var(--line); padding-bottom: 0.4rem; } }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
header p { flex: 1 1 20rem; }
fieldset { padding: 0.9rem 1.1rem 1rem; }
legend { float: left; width: 100%; margin-bottom: 0.5rem; }
.items { clear: both; display: grid; grid-template-columns: repeat(auto-fill, minmax(12.5rem, 1fr)); gap: 0 1rem; }
label { display: flex; align-items: center; gap: 0.6rem; min-height: 44px; cursor: pointer; }
input { width: 1.25rem; height: 1.25rem; accent-color: var(--leaf); flex: none; }
label b { font-weight: 500; }
label b, label span { white-space: nowrap; }
label .quiet { margin-left: auto; padding-right: 1rem; }
</style>
