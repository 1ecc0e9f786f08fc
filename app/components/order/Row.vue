<script setup lang="ts">
import type { ListedOrder } from '#contract'
import { orderSum } from '#core/orders'

/** One order on a list: whose it is, until when, how it stands, and its pens. */
const props = defineProps<{ listed: ListedOrder }>()
const { minute: now } = useClock()
const { inMoney } = useWorkshop()
const standing = computed(() => orderStanding(props.listed, now.value))
const sum = computed(() => orderSum(props.listed.order.lines.map(line => line.price), props.listed.order.deposit))
const money = computed(() => {
  const { asked, isWhole, open } = sum.value
  if (!asked) return ''
  const all = `${inMoney(asked)}${isWhole ? '' : ' at the least'}`
  return open === asked ? all : `${all}, ${inMoney(open)} still to be paid`
})
const lacking = computed(() => props.listed.order.lines.length - props.listed.pens.length)
</script>

<template>
  <li class="row">
    <NuxtLink :to="`/pens/orders/${listed.order.id}`" class="order figures">
      <span class="what">
        <b>{{ orderName(listed) }}</b>
        <span class="quiet">{{ listed.order.promised ? `promised for ${dayWords(listed.order.promised)}` : 'no day promised' }}</span>
      </span>
      <span class="stands" :class="{ harm: isTroubled(standing) }">{{ standingWords(standing) }}</span>
      <span class="pens">
        <PenTag v-for="one in listed.pens" :key="one.pen.id" :mark="one.pen.mark" :class="{ over: one.summary.stage === 'finished' }" />
        <span v-if="lacking" class="quiet">{{ lacking }} not started</span>
      </span>
      <span class="money">{{ money }}</span>
      <ul v-if="isTroubled(standing) && standing.troubles.length" class="troubles">
        <li v-for="one in standing.troubles" :key="one.pen + one.what">{{ troubleWords(one) }}</li>
      </ul>
    </NuxtLink>
  </li>
</template>

<style scoped>
.row + .row { border-top: 1px solid var(--line); }
.order { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 0.5rem 1.2rem; padding: 0.9rem 1.1rem; color: var(--ink); }
.order:hover { background: color-mix(in srgb, var(--line) 35%, transparent); }
.what { display: grid; }
.what b { font-size: 1.1rem; }
.stands { font-weight: 700; text-align: right; }
.pens { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem; }
.pens .over { background: color-mix(in srgb, var(--leaf) 25%, transparent); }
.money { align-self: end; text-align: right; }
.troubles { grid-column: 1 / -1; }
@media (max-width: 640px) {
  .order { grid-template-columns: minmax(0, 1fr); }
  .stands, .money { text-align: left; }
}
</style>
