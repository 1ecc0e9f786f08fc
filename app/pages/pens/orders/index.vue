<script setup lang="ts">
import type { ListedOrder } from '#contract'

useHead({ title: 'Orders · Oxlip' })
const store = useOrders()
const { failed, loaded, again } = useLoad(store.loadOpen)
/** What is over is fetched where somebody asks for it, page by page. */
const over = shallowRef<readonly ListedOrder[]>([])
const next = ref<number | null>()
const trouble = ref('')
async function more() {
  trouble.value = ''
  try {
    const page = await api('GET /api/orders', { query: { state: 'over', ...(next.value ? { before: next.value } : {}) } })
    over.value = [...over.value, ...page.orders]
    next.value = page.next
  } catch (error) {
    trouble.value = refused(error).message
  }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded || !store.open" class="quiet" role="status">Fetching the orders ...</p>
  <div v-else class="orders">
    <header>
      <h1>Orders</h1>
      <NuxtLink class="key" to="/pens/fair">Fair</NuxtLink>
      <NuxtLink class="key" to="/pens/customers">Customers</NuxtLink>
      <NuxtLink class="key" to="/pens/orders/new"><UIcon name="i-lucide-plus" aria-hidden="true" /> New order</NuxtLink>
    </header>
    <ul v-if="store.open.length"><OrderCard v-for="one in store.open" :key="one.order.id" :listed="one" /></ul>
    <section v-else class="sheet none" role="status">
      <p>No order is open. An order says for whom, how many pens, of what, until when, and for how much; a gift is kept as one too.</p>
    </section>
    <section aria-labelledby="over">
      <h2 id="over">Over</h2>
      <p v-if="trouble" class="harm" role="alert">{{ trouble }}</p>
      <ul v-if="over.length"><OrderCard v-for="one in over" :key="one.order.id" :listed="one" /></ul>
      <p v-else-if="next === null" class="quiet" role="status">None yet.</p>
      <button v-if="next !== null" type="button" class="key" @click="more">{{ over.length ? 'Earlier ones' : 'Show what is over' }}</button>
    </section>
  </div>
</template>

<style scoped>
.orders, .orders > section, ul { display: grid; gap: 1rem; justify-items: stretch; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.75rem 1.2rem; }
header .key:first-of-type { margin-left: auto; }
section .key { justify-self: start; }
.none { padding: 1.25rem; }
</style>
