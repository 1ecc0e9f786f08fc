<script setup lang="ts">
import { orderSum } from '#core/orders'
import { orderKinds } from '#schemas'

/** One order: for whom, until when, for how much, and its pens, from promise to hand over. */
const { params } = useRoute()
const {
  form, kept, pens, morePens, found, errors, trouble, sending, isNew, load, add, remove, keep, errorsOfLine,
} = useOrderForm(String(params.id))
const store = useOrders()
const stock = useStock()
const methods = useMethods()
const { inMoney } = useWorkshop()
const { minute: now } = useClock()
const toast = useToast()
const { failed, loaded, again } = useLoad(() => Promise.all([load(), stock.load(), methods.load()]))
useHead({ title: () => `${kept.value ? orderName(kept.value) : 'New order'} · Oxlip` })

const kinds = orderKinds.map(value => ({ label: { order: 'An order', gift: 'A gift', stock: 'For stock' }[value], value }))
const isSomebodyNew = ref(false)
const fresh = reactive({ name: '', reach: '' })
/** What the evenings are asked of: pens of the order that are not started, of all kinds. */
const asked = computed(() => promiseQuery(form.value.lines))
/** Whom it is for: as the order itself says, or, where somebody else was chosen, as they are called among all. */
const reason = computed(() => {
  const { customer } = form.value
  const own = kept.value?.order.customer === customer ? kept.value?.name : undefined
  return own ?? store.customers?.find(one => one.id === customer)?.name ?? null
})
const sum = computed(() => orderSum(form.value.lines.map(line => line.price), form.value.deposit))
const standing = computed(() => kept.value && orderStanding(kept.value, now.value))

async function save() {
  if (isSomebodyNew.value) {
    if (!fresh.name.trim()) {
      errors.value = { customer: 'Say a name, or choose somebody.' }
      return
    }
    try {
      const made = await store.keepCustomer({ id: newId(), name: fresh.name.trim(), reach: fresh.reach.trim(), remark: '' })
      form.value.customer = made.id
      isSomebodyNew.value = false
    } catch (error) {
      trouble.value = refused(error).message
      return
    }
  }
  if (!await keep()) return
  toast.add({ title: 'Kept.' })
  if (isNew && kept.value) await navigateTo(`/pens/orders/${kept.value.order.id}`, { replace: true })
}
const { leave } = useLeaving()
/** All of it goes to whom it is for. */
async function handOver() {
  const listed = kept.value
  if (!listed) return
  await leave(listed.pens.filter(one => !one.summary.gone).map(({ pen }) => {
    const line = listed.order.lines.find(one => one.pen === pen.id)
    const isGift = listed.order.kind === 'gift'
    return {
      pen: pen.id,
      how: isGift ? 'given' as const : 'sold' as const,
      price: isGift ? null : line?.price ?? null,
      customer: listed.order.customer,
      order: listed.order.id,
      with: line?.packing ? [line.packing] : [],
    }
  }))
  await load()
}
/** Labels for the bags of all its pens. */
const labels = computed(() => `/api/papers/labels.pdf?${(kept.value?.pens ?? []).map(({ pen }) => `pens=${pen.id}`).join('&')}`)
/** What is set on its papers that somebody wrote. */
const written = computed(() => {
  const { name, order, pens } = kept.value ?? { order: { lines: [] }, pens: [] }
  const wished = order.lines.flatMap(line => [line.wish, line.refill, line.packing])
  return [name, ...wished, ...pens.flatMap(({ pen, summary }) => [pen.name, pen.reason, summary.fitting.name, summary.material.name])]
})
const isReady = computed(() => standing.value?.how === 'ready')
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the order ...</p>
  <form v-else class="order" @submit.prevent="save">
    <header>
      <h1>{{ kept ? orderName(kept) : 'New order' }}</h1>
      <p v-if="standing" class="stands" :class="{ harm: isTroubled(standing) }" role="status">{{ standingWords(standing) }}</p>
      <NuxtLink class="key" to="/pens/orders">All orders</NuxtLink>
    </header>
    <ul v-if="standing && isTroubled(standing)" class="harm">
      <li v-for="one in standing.troubles" :key="one.pen + one.what">{{ troubleWords(one) }}</li>
    </ul>
    <section class="sheet filled fields" aria-label="For whom, until when">
      <UFormField label="What it is"><USelect v-model="form.kind" size="lg" :items="kinds" /></UFormField>
      <OrderCustomer
        v-if="form.kind !== 'stock'" v-model="form.customer" v-model:new="isSomebodyNew" label="For whom" :error="errors.customer"
      />
      <template v-if="isSomebodyNew && form.kind !== 'stock'">
        <UFormField label="Name" required><UInput v-model="fresh.name" size="lg" maxlength="80" /></UFormField>
        <UFormField label="How to reach them"><UInput v-model="fresh.reach" size="lg" maxlength="300" /></UFormField>
      </template>
      <UFormField label="Promised for" :error="errors.promised ?? false" hint="its pens are due then">
        <UInput
          :model-value="form.promised ?? ''" size="lg" type="date" @update:model-value="form.promised = String($event) || null"
        />
      </UFormField>
      <FieldMoney v-if="form.kind === 'order'" v-model="form.deposit" label="Paid beforehand" :error="errors.deposit" />
      <UFormField class="wide" label="Remark" :error="errors.remark ?? false">
        <UInput v-model="form.remark" size="lg" maxlength="300" />
      </UFormField>
    </section>
    <p class="quiet">
      What day can be promised, beside all that is planned? <NuxtLink :to="{ path: '/evenings', query: asked }">Ask the evenings</NuxtLink>.
    </p>
    <OrderLine
      v-for="(line, index) in form.lines" :key="line.id" :model-value="line" :order="form.id" :kept="!isNew" :number="index + 1"
      :pens="pens" :more-pens="morePens" :errors="errorsOfLine(index)" :due="form.promised ?? null" :reason="reason" @found="found"
      @update:model-value="form.lines[index] = $event" @remove="remove(line.id)"
    />
    <p v-if="errors.lines" class="harm" role="alert">{{ errors.lines }}</p>
    <p><button type="button" class="key" @click="add">Another pen</button></p>
    <p v-if="form.kind === 'order' && sum.asked" class="sum figures">
      <span>{{ sum.isWhole ? 'In all' : 'What is said' }} <b>{{ inMoney(sum.asked) }}</b></span>
      <span v-if="form.deposit">paid beforehand <b>{{ inMoney(form.deposit) }}</b></span>
      <span v-if="form.deposit">still to be paid <b>{{ inMoney(sum.open) }}</b></span>
    </p>
    <p v-if="trouble" class="harm" role="alert">{{ trouble }}</p>
    <PaperSigns v-if="kept" :texts="written" />
    <p class="acts">
      <button v-if="isReady" type="button" class="key next" @click="handOver">Hand it over</button>
      <button type="submit" class="key" :class="{ next: !isReady }" :disabled="sending">Keep</button>
      <a v-if="kept" class="key" :href="timedPaper(`/api/orders/${kept.order.id}/receipt.pdf`)" target="_blank" rel="noopener">Receipt</a>
      <a v-if="kept?.pens.length" class="key" :href="addressHere(labels)" target="_blank" rel="noopener">Labels</a>
      <button v-if="kept && !form.calledOff" type="button" class="key" @click="keep({ calledOff: true })">Call it off</button>
      <button v-if="kept && form.calledOff" type="button" class="key" @click="keep({ calledOff: false })">Take it up again</button>
    </p>
  </form>
</template>

<style scoped>
.order { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem 1.2rem; }
header .key { margin-left: auto; }
.stands { font-size: 1.1rem; font-weight: 700; }
.fields { display: grid; grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr)); gap: 0.5rem 1rem; padding: 1rem 1.1rem; }
.wide { grid-column: span 2; }
p a:not(.key) { text-decoration: underline; text-underline-offset: 3px; }
.sum, .acts { display: flex; flex-wrap: wrap; gap: 0.5rem 1.5rem; }
.sum { font-size: 1.1rem; }
@media (max-width: 640px) { .wide { grid-column: auto; } }
</style>
