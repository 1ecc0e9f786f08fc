<script setup lang="ts">
/** Orders that cannot be kept, or may not be: told on the day it becomes known. */
const store = useOrders()
const { again } = useInsist(store.loadOpen)
onMounted(again)
const { minute: now } = useClock()
/** When pens are ready by the evenings is in plans that other devices keep after an entry: asked anew at most so often, ms. */
const REST = 60_000
const isPlanned = () => store.open?.some(one => Object.keys(one.planned).length > 0)
const follow = atMostEvery(REST, async () => store.loadOpen())
usePenRows().onTold(() => {
  if (isPlanned()) follow()
})
const troubled = computed(() =>
  (store.open ?? []).map(listed => ({ listed, standing: orderStanding(listed, now.value) })).filter(one => isTroubled(one.standing)))
</script>

<template>
  <ul v-if="troubled.length" class="orders" aria-label="Orders in danger">
    <li v-for="{ listed, standing } in troubled" :key="listed.order.id">
      <NuxtLink :to="`/pens/orders/${listed.order.id}`">{{ orderName(listed) }}</NuxtLink>
      <b class="harm">{{ standingWords(standing) }}</b>
      <span v-if="standing.troubles[0]">{{ troubleWords(standing.troubles[0]) }}</span>
      <span v-if="standing.troubles.length > 1" class="quiet">and {{ standing.troubles.length - 1 }} more</span>
    </li>
  </ul>
</template>

<style scoped>
.orders li { display: flex; flex-wrap: wrap; gap: 0.2rem 0.8rem; }
a { text-decoration: underline; text-underline-offset: 3px; }
</style>
