<script setup lang="ts">
import type { TogetherOffer } from '~/utils/together'

/** What can be done on several pens at once, each one tap away. */
defineProps<{ offers: readonly TogetherOffer[] }>()
const SHOWN = 3
const to = ({ pens }: TogetherOffer) => ({ path: '/together', query: { pens: pens.map(one => one.pen.id).join(',') } })
</script>

<template>
  <nav aria-label="Together" class="figures">
    <b>Together</b>
    <NuxtLink v-for="offer in offers.slice(0, SHOWN)" :key="offer.key" class="key" :to="to(offer)">
      <span>{{ offer.title }}</span><span class="quiet">{{ countWord(offer.pens.length).toLowerCase() }} pens</span>
    </NuxtLink>
  </nav>
</template>

<style scoped>
nav { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem; }
.key { min-height: 56px; gap: 0.8rem; }
</style>
