<script setup lang="ts">
import { materials } from '#reference'

const me = useMe()
useHead({ title: 'Pens · Oxlip' })
const { asked, chosen, choose, isNarrowed, clear } = usePenFilter()
const stock = useStock()
const methods = useMethods()
const list = usePenList(() => asked.value)
const { failed, loaded, again } = useLoad(list.load)
watch(asked, again)

const looked = useLooked(() => asked.value.text, text => choose('text', text))

const [stage, material, fitting, method, sort] = [
  chosen('stage'), chosen('material'), chosen('fitting'), chosen('method'), chosen('sort'),
]
const dueOn = computed({ get: () => asked.value.due ?? '', set: day => choose('due', day) })
const any = (label: string) => ({ label, value: ANY })
const stages = [
  any('Every stage'),
  { label: 'Planned', value: 'planned' },
  { label: 'In work', value: 'in work' },
  { label: 'Finished', value: 'finished' },
  { label: 'Set aside', value: 'set aside' },
  { label: 'Given up', value: 'given up' },
]
const orders = [
  { label: 'Worked on last', value: ANY },
  { label: 'By mark', value: 'marks' },
  { label: 'Due first', value: 'due' },
]
const byName = (rows: readonly { id: string, name: string }[]) =>
  rows.map(({ id, name }) => ({ label: name, value: id })).sort((a, b) => a.label.localeCompare(b.label, 'en'))
const woods = computed(() => [any('Every material'), ...byName(materials)])
const fittings = computed(() => [any('Every fitting'), ...byName((stock.fittings ?? []).map(one => one.fitting))])
const finishes = computed(() => [any('Every finish'), ...byName(methods.methods ?? [])])
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the pens ...</p>
  <div v-else class="pens">
    <header>
      <h1>Pens</h1>
      <PenSearch v-model="looked" label="Look a pen up" />
      <NuxtLink v-if="me.may('all')" class="key" to="/pens/orders">Orders</NuxtLink>
      <NuxtLink v-if="me.may('all')" class="key" to="/classes">Classes</NuxtLink>
      <NuxtLink class="key" to="/pens/gallery">Gallery</NuxtLink>
      <NuxtLink class="key" to="/pens/defects">Defects</NuxtLink>
      <NuxtLink v-if="me.may('work')" class="key" to="/pens/new"><UIcon name="i-lucide-plus" aria-hidden="true" /> Start a pen</NuxtLink>
    </header>
    <div class="filters">
      <USelect v-model="stage" :items="stages" size="lg" aria-label="Stage" />
      <USelect v-model="material" :items="woods" size="lg" aria-label="Material" />
      <USelect v-model="fitting" :items="fittings" size="lg" aria-label="Fitting" />
      <USelect v-model="method" :items="finishes" size="lg" aria-label="Finish" />
      <label class="due">
        <span>Due</span>
        <UInput v-model.lazy="dueOn" type="date" size="lg" aria-label="Due on" />
      </label>
      <UCheckbox
        :model-value="asked.defects === 'open'" size="lg" label="Defect open"
        @update:model-value="choose('defects', $event ? 'open' : undefined)"
      />
      <USelect v-model="sort" :items="orders" size="lg" aria-label="Order" />
      <button v-if="isNarrowed" type="button" class="key" @click="clear">Show all pens</button>
    </div>
    <ListRows v-if="list.pens.value?.length" :rows="list.pens.value" :id-of="one => one.pen.id" @end="list.more">
      <template #default="{ row, place, measured }"><BenchRow :ref="measured" :listed="row" v-bind="place" /></template>
    </ListRows>
    <section v-else class="sheet none" role="status">
      <p v-if="asked.text">No pen says “{{ asked.text }}”. Look for its mark, like C2, or a part of its name.</p>
      <p v-else-if="isNarrowed">No pen is like that. Choose otherwise, or look at all of them.</p>
      <p v-else>No pens yet.</p>
      <NuxtLink v-if="!isNarrowed && me.may('work')" class="key next" to="/pens/new">Start the first pen</NuxtLink>
    </section>
  </div>
</template>

<style scoped>
.pens { display: grid; gap: 1.1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.75rem 1.2rem; }
header .key:first-of-type { margin-left: auto; }
.filters { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 0.75rem; }
.filters > :deep(button[role="combobox"]) { min-width: 9.5rem; min-height: 44px; }
.due { display: flex; align-items: center; gap: 0.5rem; }
.due :deep(input) { min-height: 44px; }
@media (max-width: 640px) {
  header .key:first-of-type { margin-left: 0; }
  .filters { flex-wrap: nowrap; overflow-x: auto; margin-inline: -1rem; padding: 0.2rem 1rem; }
  .filters > * { flex: none; }
}
.none { display: grid; justify-items: start; gap: 0.8rem; padding: 1.25rem; }
</style>
