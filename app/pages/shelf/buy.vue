<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { trimmed } from '#core/format'
import type { ToBuy } from '#core/stock'

/** What must be bought, by where: printed, ticked in the shop, and booked in. */
useHead({ title: 'What to buy · Oxlip' })
const until = ref('')
const { load, list, nameOf, priceOf } = useShopping(() => until.value)
const { failed, loaded, again } = useLoad(load)
const store = useSupplies()
const evenings = useEveningsKept()
const { inMoney } = useWorkshop()
const { minute: now } = useClock()
/** What lies in the basket, kept on this device. */
const ticked = useLocalStorage<string[]>('oxlip-basket', [])
const isTicked = (what: string) => ticked.value.includes(what)
function tick(what: string, is: boolean) {
  ticked.value = is ? [...ticked.value, what] : ticked.value.filter(one => one !== what)
}
const UNITS: Record<string, [string, string]> = {
  fitting: ['set', 'sets'], blank: ['stick', 'sticks'], abrasive: ['piece', 'pieces'], bottle: ['bottle', 'bottles'],
  material: ['piece', 'pieces'],
}
const kindOf = (what: string) => what.split(':')[0] ?? ''
const pieces = (what: string, count: number) => `${count} ${(UNITS[kindOf(what)] ?? ['piece', 'pieces'])[count === 1 ? 0 : 1]}`
const amount = (what: string, value: number) => (kindOf(what) === 'bottle' ? `${trimmed(value, 1)} ml` : trimmed(value, 1))
const why = ({ what, needed, there }: ToBuy) =>
  `${amount(what, needed)} needed${there === null ? '' : `, ${amount(what, Math.max(0, there))} there`}`
/** What is known to be missing, by place; what nobody counted stands apart: it may be there. */
const shown = computed(() => {
  const known = list.value.map(({ source, rows }) =>
    ({ title: source || 'Place not said', says: '', rows: rows.filter(row => row.there !== null) }))
  const rows = list.value.flatMap(place => place.rows.filter(row => row.there === null))
  const says = 'Work takes these, and it is not known how many are there. Count them at the shelf, or tick what is missing.'
  return [...known, { title: 'Not counted', says, rows }]
    .filter(one => one.rows.length)
    .map(one => ({ ...one, cost: one.says ? 0 : one.rows.reduce((sum, row) => sum + (row.cost ?? 0), 0) }))
})
const basket = computed(() => list.value.flatMap(({ rows }) => rows).filter(row => isTicked(row.what)))
const trouble = ref('')
const busy = ref(false)
async function attempt(work: () => Promise<unknown>) {
  trouble.value = ''
  busy.value = true
  try {
    await work()
  } catch (error) {
    trouble.value = refused(error).message
  } finally {
    busy.value = false
  }
}
/** One after the other: what is booked in is off the list, whatever becomes of the next. */
const book = () => attempt(async () => {
  for (const { what, pieces: count } of basket.value) {
    await store.book({ id: newId(), what, pieces: count, each: priceOf(what) ?? null })
    tick(what, false)
  }
  await load()
})
/** The row whose place and pack are being said. */
const saying = ref<string>()
const form = reactive({ source: '', pack: 1 })
function say(what: string) {
  const known = store.of(what)
  Object.assign(form, { source: known?.source ?? '', pack: known?.pack ?? 1 })
  saying.value = saying.value === what ? undefined : what
}
const keep = (what: string) => attempt(async () => {
  await store.say({ what, source: form.source.trim(), pack: form.pack })
  saying.value = undefined
})
const print = () => window.print()
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Looking what is missing ...</p>
  <div v-else class="buy figures">
    <header>
      <h1>What to buy</h1>
      <label class="until no-print">
        <span>for pens due until</span>
        <UInput v-model="until" type="date" size="lg" aria-label="Until" />
      </label>
      <button type="button" class="key" @click="print">Print</button>
    </header>
    <p v-if="evenings.kept?.more" class="quiet">
      {{ evenings.kept.more }} more planned pens are not in this: those that are due first come first.
    </p>
    <section v-for="place in shown" :key="place.title" class="sheet" :aria-label="place.title">
      <h2>{{ place.title }}</h2>
      <p v-if="place.says" class="quiet">{{ place.says }}</p>
      <ul>
        <li v-for="row in place.rows" :key="row.what">
          <UCheckbox
            :model-value="isTicked(row.what)" size="xl" :aria-label="row.name" @update:model-value="tick(row.what, Boolean($event))"
          />
          <span class="what"><b>{{ row.name }}</b><span class="quiet">{{ why(row) }}</span></span>
          <b class="count">{{ pieces(row.what, row.pieces) }}</b>
          <span class="cost">{{ row.cost === null ? '' : inMoney(row.cost) }}</span>
          <button type="button" class="key small no-print" :aria-expanded="saying === row.what" @click="say(row.what)">Where</button>
          <form
            v-if="saying === row.what" class="filled no-print" :aria-label="`Where ${row.name} is bought`" @submit.prevent="keep(row.what)"
          >
            <UFormField label="Where it is bought"><UInput v-model="form.source" size="lg" maxlength="80" /></UFormField>
            <UFormField label="Pieces in a pack"><UInputNumber v-model="form.pack" size="lg" :min="1" :max="1000" /></UFormField>
            <button type="submit" class="key next">Keep</button>
          </form>
        </li>
      </ul>
      <p v-if="place.cost" class="sum">as far as prices are known <b>{{ inMoney(place.cost) }}</b></p>
    </section>
    <p v-if="!shown.length" class="sheet none" role="status">Nothing is missing for what is planned, as far as it was counted.</p>
    <p v-if="trouble" class="harm" role="alert">{{ trouble }}</p>
    <p v-if="basket.length" class="no-print">
      <button type="button" class="key next" :disabled="busy" @click="book">Book in what is ticked</button>
    </p>
    <section v-if="store.told?.moves.length" class="no-print" aria-labelledby="lately">
      <h2 id="lately">Bought, counted and thrown away lately</h2>
      <ul class="moves">
        <li v-for="move in store.told.moves" :key="move.id">
          {{ clockTime(move.at, now) }}, <b>{{ nameOf(move.what) }}</b>:
          <template v-if="move.how === 'bought'">{{ pieces(move.what, move.pieces ?? 0) }} bought</template>
          <template v-else-if="move.how === 'thrown away'">thrown away</template>
          <template v-else>{{ move.now === null ? 'not known' : amount(move.what, move.now) }} counted</template>,
          {{ move.was === null ? 'not counted before' : `${amount(move.what, move.was)} before` }}<template v-if="move.each !== null">
            ,
            {{ inMoney(move.each) }} each
          </template>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.buy { display: grid; gap: 1rem; max-width: 60rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem 1.2rem; }
.until { display: flex; align-items: center; gap: 0.5rem; margin-left: auto; }
section.sheet, .none { padding: 0.9rem 1.1rem; }
section { display: grid; gap: 0.5rem; }
section.sheet li {
  display: grid; grid-template-columns: auto minmax(0, 1fr) auto 6rem auto; gap: 0.4rem 1rem; align-items: center; min-height: 52px;
}
section.sheet li + li { border-top: 1px solid var(--line); }
.what { display: grid; }
.cost { text-align: right; }
.sum { text-align: right; }
form > :deep(*) { max-width: 18rem; }
form { grid-column: 1 / -1; display: flex; flex-wrap: wrap; align-items: end; gap: 0.6rem 1rem; padding-bottom: 0.8rem; }
.moves { display: grid; gap: 0.25rem; }
@media (max-width: 640px) {
  section.sheet li { grid-template-columns: auto minmax(0, 1fr) auto; padding-block: 0.5rem; }
  .cost { grid-column: 2; text-align: left; }
}
</style>
