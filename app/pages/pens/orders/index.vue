<script setup lang="ts">
import { orderQuerySchema, type OrderQuery } from '#schemas'

/** All orders: those that are open, the next one that is promised first, or those that are over. */
useHead({ title: 'Orders · Oxlip' })
const { asked, chosen, choose, isNarrowed, clear } = useFilter(orderQuerySchema, ['state', 'text'], 'text')
const text = computed(() => asked.value.text)
const looked = useLooked(() => text.value, words => choose('text', words))
const state = chosen('state')
const states = [{ label: 'Open', value: ANY }, { label: 'Over', value: 'over' }]
const list = useOrderList(() => asked.value as OrderQuery)
const { failed, loaded, again } = useLoad(list.load)
watch(asked, again)
/** About how high a row is, px. */
const HIGH = 110
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the orders ...</p>
  <div v-else class="orders">
    <header>
      <h1>Orders</h1>
      <PenSearch v-model="looked" label="Look an order up" placeholder="Name, number, mark or remark" />
      <NuxtLink class="key" to="/pens/fair">Fair</NuxtLink>
      <NuxtLink class="key" to="/pens/customers">Customers</NuxtLink>
      <NuxtLink class="key" to="/pens/orders/new"><UIcon name="i-lucide-plus" aria-hidden="true" /> New order</NuxtLink>
    </header>
    <div class="filters">
      <USelect v-model="state" :items="states" size="lg" aria-label="Open or over" />
      <button v-if="isNarrowed" type="button" class="key" @click="clear">Show all that are open</button>
    </div>
    <ListRows
      v-if="list.orders.value?.length" :rows="list.orders.value" :id-of="one => one.order.id" :high="HIGH" aria-label="Orders"
      @end="list.more"
    >
      <template #default="{ row, place, measured }"><OrderRow :ref="measured" :listed="row" v-bind="place" /></template>
    </ListRows>
    <section v-else class="sheet none" role="status">
      <p v-if="text">No order that is {{ asked.state ?? 'open' }} says “{{ text }}”. Look for a name, a number, or the mark of a pen.</p>
      <p v-else-if="asked.state === 'over'">No order is over yet.</p>
      <p v-else>
        No order is open. An order says for whom, how many pens, of what, until when, and for how much; a gift is kept as one too.
      </p>
    </section>
  </div>
</template>

<style scoped>
.orders { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.75rem 1.2rem; }
header .key:first-of-type { margin-left: auto; }
.filters { display: flex; flex-wrap: wrap; gap: 0.5rem 0.75rem; }
.filters > :deep(button[role="combobox"]) { min-width: 9.5rem; min-height: 44px; }
.none { padding: 1.25rem; }
@media (max-width: 640px) { header .key:first-of-type { margin-left: 0; } }
</style>
