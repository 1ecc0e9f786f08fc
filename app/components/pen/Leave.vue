<script setup lang="ts">
import type { Pen } from '#contract'
import type { BenchState, Leaving } from '#core/bench'

/** Where a finished pen is: what is asked for it, whom it goes to, and that it came back. */
const props = defineProps<{ pen: Pen, state: BenchState }>()
const store = useOrders()
const own = usePen()
const { now } = useClock()
const { leave, comeBack } = useLeaving()
const { again } = useInsist(() =>
  Promise.all([store.loadPlaces(), store.loadCustomers({ also: props.state.gone?.customer ?? null })]))
onMounted(again)

/** What stands for no choice in a select, which takes no empty value. */
const NONE = 'none'
const open = ref<'go' | 'back'>()
const form = reactive({
  how: 'sold' as Leaving['how'], price: null as number | null, place: NONE, customer: null as string | null, with: [] as string[],
  words: '',
})
const goesWith = ['sleeve', 'box', 'refill put in', 'card']
const hows = [{ label: 'Sold', value: 'sold' as const }, { label: 'Given away', value: 'given' as const }]
const places = computed(() => [
  { label: 'Elsewhere', value: NONE },
  ...(store.places ?? []).filter(one => !one.gone).map(({ id, name }) => ({ label: name, value: id })),
])
function begin() {
  form.price = props.pen.asked
  open.value = 'go'
}
async function go() {
  const { how, price, place, customer, with: things, words } = form
  // It is shown at once, whenever the server answers: what is opened next stays open.
  open.value = undefined
  await leave([{
    pen: props.pen.id, how, price: how === 'sold' ? price : null, place: place === NONE ? null : place,
    customer, with: things, words: words.trim(),
  }])
}
const back = reactive({ why: 'repair' as 'repair' | 'given back', paid: null as number | null, words: '' })
const whys = [{ label: 'To be mended', value: 'repair' as const }, { label: 'Given back', value: 'given back' as const }]
async function come() {
  open.value = undefined
  await comeBack(props.pen.id, { why: back.why, paid: back.paid, words: back.words.trim() })
}
const says = computed(() => {
  const { gone } = props.state
  return gone ? `${gone.how === 'sold' ? 'Sold' : 'Given away'}, ${clockTime(gone.at, now.value)}` : ''
})
const toWhom = computed(() => store.customers?.find(one => one.id === props.state.gone?.customer)?.name ?? '')
/** A pen whose film still cures is held: said before it goes. */
const held = computed(() => props.state.waits.find(wait => new Date(wait.until) > now.value))

const asked = ref<number | null>(props.pen.asked)
watch(() => props.pen.asked, (kept) => {
  asked.value = kept
})
const trouble = ref('')
async function keepAsked() {
  if (asked.value === props.pen.asked) return
  trouble.value = ''
  try {
    await own.change({ asked: asked.value })
  } catch (error) {
    trouble.value = refused(error).message
  }
}
</script>

<template>
  <section class="sheet" aria-label="Where it is">
    <template v-if="says">
      <p><b>{{ says }}</b><template v-if="toWhom">, {{ toWhom }}</template>. {{ state.gone ? leavingWords(state.gone) : '' }}</p>
      <button v-if="open !== 'back'" type="button" class="key" @click="open = 'back'">It came back</button>
    </template>
    <template v-else>
      <FieldMoney v-model="asked" label="Asked for it" :error="trouble" @focusout="keepAsked" @keydown.enter="keepAsked" />
      <button v-if="open !== 'go'" type="button" class="key" @click="begin">Hand it over</button>
    </template>
    <form v-if="open === 'go'" class="filled" aria-label="Hand it over" @submit.prevent="go">
      <p v-if="held" class="harm wide" role="alert">
        ◆ It is held until {{ clockTime(held.until, now) }}: a film that is not cured prints in its box.
      </p>
      <UFormField label="How"><USelect v-model="form.how" size="lg" :items="hows" /></UFormField>
      <FieldMoney v-if="form.how === 'sold'" v-model="form.price" label="Price" />
      <UFormField label="Where"><USelect v-model="form.place" size="lg" :items="places" /></UFormField>
      <OrderCustomer v-model="form.customer" label="To whom" />
      <UFormField label="How posted, or what else to say"><UInput v-model="form.words" size="lg" maxlength="300" /></UFormField>
      <UCheckboxGroup v-model="form.with" legend="What goes with it" :items="goesWith" orientation="horizontal" class="wide" />
      <p class="acts wide">
        <button type="submit" class="key next">It goes</button>
        <button type="button" class="key" @click="open = undefined">Not yet</button>
      </p>
    </form>
    <form v-if="open === 'back'" class="filled" aria-label="It came back" @submit.prevent="come">
      <UFormField label="Why"><USelect v-model="back.why" size="lg" :items="whys" /></UFormField>
      <FieldMoney v-model="back.paid" label="Paid back" />
      <UFormField label="What is wrong"><UInput v-model="back.words" size="lg" maxlength="300" /></UFormField>
      <p class="acts wide">
        <button type="submit" class="key next">It is here</button>
        <button type="button" class="key" @click="open = undefined">It is not</button>
      </p>
    </form>
  </section>
</template>

<style scoped>
section { display: flex; flex-wrap: wrap; align-items: end; gap: 0.7rem 1.2rem; padding: 0.9rem 1.1rem; }
form { display: grid; grid-template-columns: repeat(auto-fill, minmax(12rem, 1fr)); gap: 0.6rem 1rem; flex-basis: 100%; }
.wide { grid-column: 1 / -1; }
.acts { display: flex; flex-wrap: wrap; gap: 0.6rem; }
</style>
