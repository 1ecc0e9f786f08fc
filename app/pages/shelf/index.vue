<script setup lang="ts">
import { abrasiveName, grainSize } from '#core/abrasives'
import { decimal } from '#core/format'
import { nth } from '#core/sure'
import { gapsIn, type ShelfAbrasive } from '#core/shelf'
import { abrasives } from '#reference'

useHead({ title: 'Shelf · Oxlip' })
const store = useWorkshop()
const toast = useToast()
const busy = ref<string>()
const methods = useMethods()
/** The ticks stand open from the start where there is nothing on the shelf yet. */
const wasEmpty = ref(false)
const { failed, loaded, again } = useLoad(async () => {
  await Promise.all([store.load(), methods.load()])
  wasEmpty.value ||= !store.shelf?.abrasives.length
})

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

/** The longest step that the methods of this workshop leave between two grits. */
const greatest = computed(() => Math.max(...(methods.methods ?? []).map(method => method.greatestJump), 1.2))
/** What is there for each use, from the coarsest to the finest, and where something is missing between. */
const uses = computed(() => {
  const of = (name: string, isFor: (one: ShelfAbrasive) => boolean) => {
    const those = (store.shelf?.abrasives ?? []).filter(isFor)
    return { name, those, gaps: gapsIn(those, abrasives.filter(isFor), greatest.value) }
  }
  return [of('Dry, on bare wood', one => one.dry), of('Wet, on a film and on resin', one => one.wet)]
})
function rangeOf(those: readonly ShelfAbrasive[]): string {
  const sorted = [...those].sort((a, b) => grainSize(b.scale, b.mark) - grainSize(a.scale, a.mark))
  return `${abrasiveName(nth(sorted, 0))} to ${abrasiveName(nth(sorted, sorted.length - 1))}`
}

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
/** How many of a kind are there, and which. */
function tally(rows: readonly ShelfAbrasive[]): string {
  const on = rows.filter(row => there.value.has(row.id))
  return on.length ? `${on.length} on the shelf: ${on.map(row => abrasiveName(row)).join(', ')}` : 'none on the shelf'
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
      <p class="quiet">Plans use what is on the shelf. Numbers of different scales compare only by their grain, in µm.</p>
      <button type="button" class="key" @click="fill">Put the usual things on</button>
    </header>
    <section class="sheet part" aria-labelledby="grains">
      <h2 id="grains">What you sand with now</h2>
      <template v-if="store.shelf.abrasives.length">
        <dl class="uses">
          <div v-for="use in uses" :key="use.name">
            <dt>{{ use.name }}</dt>
            <dd v-if="!use.those.length" class="harm">◆ nothing</dd>
            <dd v-else>
              <b>{{ rangeOf(use.those) }}</b>, {{ use.those.length }} in all.
              <template v-if="!use.gaps.length">No step is longer than {{ decimal(greatest, 1) }} to 1.</template>
              <ul v-else>
                <li v-for="gap in use.gaps" :key="gap.fine.id">
                  <span class="harm">◆ Missing between {{ abrasiveName(gap.coarse) }} and {{ abrasiveName(gap.fine) }},
                    {{ decimal(gap.jump, 1) }} to 1:</span>
                  {{ gap.fills.length ? gap.fills.map(one => abrasiveName(one)).join(' or ') : 'more than one' }}
                </li>
              </ul>
            </dd>
          </div>
        </dl>
        <ShelfGrainLine :abrasives="store.shelf.abrasives" />
      </template>
      <p v-else class="quiet">No abrasive on the shelf yet: tick what you have below.</p>
    </section>
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
    <section class="sheet part" aria-labelledby="ticks">
      <h2 id="ticks">Put on, take off</h2>
      <details v-for="group in groups" :key="group.scale" :open="wasEmpty">
        <summary class="opens"><b>{{ group.name }}</b> <span class="quiet">{{ tally(group.rows) }}</span></summary>
        <fieldset>
          <legend class="sr-only">{{ group.name }}</legend>
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
      </details>
    </section>
    <section class="sheet part" aria-labelledby="own">
      <h2 id="own">An abrasive of your own</h2>
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
summary { flex-wrap: wrap; gap: 0 0.8rem; min-height: 48px; }
details + details { border-top: 1px solid var(--line); }
.uses { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 0.4rem 2rem; }
.uses dt { color: var(--ink-2); }
@media (max-width: 800px) { .uses { grid-template-columns: minmax(0, 1fr); } }
.items { display: grid; grid-template-columns: repeat(auto-fill, minmax(12.5rem, 1fr)); gap: 0 1rem; }
label { display: flex; align-items: center; gap: 0.6rem; min-height: 44px; cursor: pointer; }
input { width: 1.25rem; height: 1.25rem; accent-color: var(--leaf); flex: none; }
label b { font-weight: 500; }
label b, label span { white-space: nowrap; }
label .quiet { margin-left: auto; padding-right: 1rem; }
</style>
