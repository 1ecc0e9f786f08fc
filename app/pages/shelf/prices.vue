<script setup lang="ts">
import { abrasiveName } from '#core/abrasives'
import { abrasivePrice, blankPrice, materialPrice, setPrice } from '#core/money'
import { materials } from '#reference'

/** What things and hours cost here: pens are costed by these. */
useHead({ title: 'Prices · Oxlip' })
const store = usePrices()
const stock = useStock()
const workshop = useWorkshop()
const { failed, loaded, again } = useLoad(() => Promise.all([store.load(), stock.load(), workshop.shelf ? undefined : workshop.load()]))
const sets = computed(() => (stock.fittings ?? []).map(({ fitting }) => ({ what: setPrice(fitting.id), label: fitting.name })))
const blanks = computed(() => (stock.blanks ?? []).map(({ id, name }) => ({ what: blankPrice(id), label: name })))
const woods = materials.map(({ id, name }) => ({ what: materialPrice(id), label: name }))
const papers = computed(() => (workshop.shelf?.abrasives ?? []).map(one => ({ what: abrasivePrice(one.id), label: abrasiveName(one) })))
const groups = computed(() => [
  { title: 'Sets', says: 'The metal parts of a pen.', rows: sets.value },
  { title: 'Pen blanks', says: 'One that is bought for one pen.', rows: woods },
  { title: 'Blanks of your own', says: 'One piece, whole: a pen pays its share of the length.', rows: blanks.value },
  { title: 'Sheets and pads', says: 'One piece. A sheet is paid by its life; a pad is good for about twenty pens.', rows: papers.value },
].filter(one => one.rows.length))
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the prices ...</p>
  <div v-else class="prices">
    <h1>Prices</h1>
    <p class="quiet">
      In your own money. Each is kept as soon as you leave its field. What bottles cost is said at
      <NuxtLink to="/shelf/finishes">glues and finishes</NuxtLink>.
    </p>
    <section class="sheet filled" aria-labelledby="work">
      <h2 id="work">Work and packing</h2>
      <div class="fields">
        <ShelfPrice label="An hour of hands" what="hour" hint="as it costs" />
        <ShelfPrice label="Packing of a pen" what="packing" />
        <ShelfPrice label="Wage of an hour" what="wage" hint="as it should bring" />
        <ShelfPrice label="Margin, % of the price" what="margin" unit="%" />
      </div>
    </section>
    <section v-for="group in groups" :key="group.title" class="sheet filled" :aria-label="group.title">
      <h2>{{ group.title }}</h2>
      <p class="quiet">{{ group.says }}</p>
      <div class="fields"><ShelfPrice v-for="row in group.rows" :key="row.what" :label="row.label" :what="row.what" /></div>
    </section>
  </div>
</template>

<style scoped>
.prices { display: grid; gap: 1rem; }
p a { text-decoration: underline; text-underline-offset: 3px; }
section { display: grid; gap: 0.7rem; padding: 1rem 1.25rem; }
.fields { display: grid; grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr)); gap: 0.8rem 1.2rem; }
</style>
