<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import type { ListedPen } from '#contract'
import { placeKinds } from '#schemas'

/** At the table: a pen looked up by its mark, its price, wood and story; sold in two taps. */
useHead({ title: 'Fair · Oxlip' })
const me = useMe()
const store = useOrders()
const stock = useStock()
const methods = useMethods()
const workshop = useWorkshop()
/** What stands for no place in a select, and for one that is entered now. */
const [NONE, NEW] = ['none', 'new']
const chosen = useLocalStorage('oxlip-fair', NONE)
const place = computed(() => (store.place(chosen.value) ? chosen.value : null))
const { here, hasMore, load, sell, takeBack, justSold, sum } = useFair(() => place.value)
const { failed, loaded, again } = useLoad(() => Promise.all([load(), methods.load(), workshop.workshop ? undefined : workshop.load()]))
const choices = computed(() => [
  { label: 'No place said', value: NONE },
  ...(store.places ?? []).filter(one => !one.gone)
    .map(one => ({ label: one.day ? `${one.name}, ${dayWords(one.day)}` : one.name, value: one.id })),
  { label: 'A new place', value: NEW },
])
const fresh = reactive({ name: '', kind: 'fair' as (typeof placeKinds)[number], day: '', cost: null as number | null })
const kinds = placeKinds.map(value => ({ label: { fair: 'A fair', shop: 'A shop' }[value], value }))
const trouble = ref('')
async function addPlace() {
  trouble.value = ''
  const id = newId()
  try {
    await store.keepPlace({ id, name: fresh.name.trim(), kind: fresh.kind, day: fresh.day || null, cost: fresh.cost, gone: false })
    chosen.value = id
  } catch (error) {
    const answer = refused(error)
    trouble.value = Object.values(answer.fields)[0] ?? answer.message
  }
}

const looked = ref('')
/** What is looked for is looked for here, in what was fetched: there may be no network at the table. */
const shown = computed(() => {
  const words = looked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return here.value.filter(({ pen, summary }) => {
    const text = `${pen.mark} ${pen.name} ${summary.material.name} ${summary.fitting.name}`.toLowerCase()
    return words.every(word => text.includes(word))
  })
})
const open = ref<string>()
const price = ref<number | null>(null)
function look({ pen }: ListedPen) {
  open.value = open.value === pen.id ? undefined : pen.id
  price.value = pen.asked
}
async function go(listed: ListedPen, how: 'sold' | 'given') {
  open.value = undefined
  await sell(listed, price.value, how)
}
const origin = ({ pen }: ListedPen) => stock.blank(pen.blank)?.origin ?? ''
/** What is set on the price list that somebody wrote. */
const written = computed(() => here.value.flatMap(({ pen, summary }) => [pen.name, summary.material.name, summary.fitting.name]))
const finish = ({ pen }: ListedPen) => methods.method(pen.method)?.name ?? ''
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the pens ...</p>
  <div v-else class="fair figures">
    <header>
      <h1>Fair</h1>
      <USelect v-if="me.may('money')" v-model="chosen" :items="choices" size="xl" aria-label="Place" />
      <NuxtLink v-if="me.may('all')" class="key" to="/pens/orders">Orders</NuxtLink>
      <a v-if="me.may('money')" class="key" :href="addressHere('/api/papers/prices.pdf')" target="_blank" rel="noopener">Price list</a>
    </header>
    <PaperSigns v-if="me.may('money')" :texts="written" />
    <form v-if="chosen === NEW && me.may('money')" class="sheet filled fields" aria-label="A new place" @submit.prevent="addPlace">
      <UFormField label="Name" required><UInput v-model="fresh.name" size="lg" maxlength="80" /></UFormField>
      <UFormField label="What it is"><USelect v-model="fresh.kind" size="lg" :items="kinds" /></UFormField>
      <UFormField label="Day"><UInput v-model="fresh.day" type="date" size="lg" /></UFormField>
      <FieldMoney v-model="fresh.cost" label="What the place costs" />
      <p v-if="trouble" class="harm" role="alert">{{ trouble }}</p>
      <button type="submit" class="key next">Keep</button>
    </form>
    <p v-if="sum" class="sum" role="status">
      <span><b>{{ sum.sold }}</b> sold for <b>{{ workshop.inMoney(sum.taken) }}</b></span>
      <span v-if="sum.given"><b>{{ sum.given }}</b> given away</span>
      <span v-if="sum.paidBack">paid back <b>{{ workshop.inMoney(sum.paidBack) }}</b></span>
      <span v-if="sum.cost">the place <b>{{ workshop.inMoney(sum.cost) }}</b>, left <b>{{ workshop.inMoney(sum.left) }}</b></span>
    </p>
    <ul v-if="justSold.length" class="sheet sold" aria-label="Sold just now">
      <li v-for="one in justSold" :key="one.listed.pen.id">
        <PenTag :mark="one.listed.pen.mark" />
        <span>{{ one.price === null ? 'gone' : workshop.inMoney(one.price) }}</span>
        <button type="button" class="key" :disabled="!one.entry" @click="takeBack(one)">Take it back</button>
      </li>
    </ul>
    <PenSearch v-model="looked" label="Look a pen up" placeholder="Mark, name, wood or fitting" />
    <ul v-if="shown.length" class="pens">
      <li v-for="listed in shown" :key="listed.pen.id" class="sheet">
        <button type="button" class="head" :aria-expanded="open === listed.pen.id" @click="look(listed)">
          <PenTag :mark="listed.pen.mark" />
          <span class="name"><b>{{ listed.pen.name }}</b><span class="quiet">{{ listed.summary.material.name }}</span></span>
          <b>{{ listed.pen.asked === null ? 'no price' : workshop.inMoney(listed.pen.asked) }}</b>
        </button>
        <div v-if="open === listed.pen.id" class="story">
          <PenStrip
            :fitting="listed.summary.fitting" :shapes="listed.summary.shapes" :colour="listed.summary.material.colour"
            :resin="listed.summary.material.resin" size="head"
            :label="`${listed.summary.fitting.name} in ${listed.summary.material.name}, to scale`"
          />
          <p>{{ listed.summary.fitting.name }} in {{ listed.summary.material.name }}. Finish: {{ finish(listed) }}.</p>
          <p v-if="origin(listed)" class="origin">{{ origin(listed) }}</p>
          <FieldMoney v-if="me.mayWorkOn(listed.pen.maker)" v-model="price" label="Price" size="xl" class="filled" />
          <p class="acts">
            <button v-if="me.mayWorkOn(listed.pen.maker)" type="button" class="key next" @click="go(listed, 'sold')">
              {{ price === null ? 'Sold' : `Sold for ${workshop.inMoney(price)}` }}
            </button>
            <button v-if="me.mayWorkOn(listed.pen.maker)" type="button" class="key" @click="go(listed, 'given')">Given away</button>
            <NuxtLink class="key" :to="`/pens/${listed.pen.id}/record`">Its record</NuxtLink>
          </p>
        </div>
      </li>
    </ul>
    <p v-else class="quiet" role="status">
      <template v-if="looked.trim()">No finished pen here says “{{ looked.trim() }}”.</template>
      <template v-else>No finished pen is here. Those that are finished and went to nobody stand here.</template>
    </p>
    <p v-if="hasMore" class="quiet">The first 200 stand here. Look others up among <NuxtLink to="/pens?at=here">all pens</NuxtLink>.</p>
  </div>
</template>

<style scoped>
.fair { display: grid; gap: 1rem; max-width: 46rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem 1rem; }
header > :deep(button) { min-width: 12rem; min-height: 44px; }
.fields { display: grid; grid-template-columns: repeat(auto-fill, minmax(12rem, 1fr)); gap: 0.6rem 1rem; padding: 1rem; align-items: end; }
.sum { display: flex; flex-wrap: wrap; gap: 0.3rem 1.4rem; font-size: 1.1rem; }
.pens { display: grid; gap: 0.6rem; }
.head { display: flex; align-items: center; gap: 1rem; width: 100%; min-height: 64px; padding: 0.5rem 1rem; text-align: left; }
.head { cursor: pointer; }
.head > b { margin-left: auto; font-size: 1.2rem; white-space: nowrap; }
.name { display: grid; }
.story { display: grid; gap: 0.7rem; padding: 0.2rem 1rem 1rem; }
.origin { font-style: italic; white-space: pre-line; }
.acts { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.sold li { display: flex; align-items: center; gap: 1rem; padding: 0.4rem 1rem; }
.sold .key { margin-left: auto; }
p a:not(.key) { text-decoration: underline; text-underline-offset: 3px; }
</style>
