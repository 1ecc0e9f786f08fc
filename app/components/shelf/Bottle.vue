<script setup lang="ts">
import { counted, day, decimal, formatSpan, millilitres } from '#core/format'
import { format } from 'date-fns'
import { keepsUntil, type Product, type WaitPurpose } from '#core/shelf'
import { parseSpan, UnitError } from '#core/units'
import type { BottleChange, FieldErrors } from '#schemas'
import { bottleSchema, errorsOf } from '#schemas'
import type { OwnProductKept } from '#contract'

/**
 * The bottle of a product that is on the shelf: when it was opened, what is left, what it cost, and what its own label says of each
 * wait, beside our base waits.
 */
const props = defineProps<{ product: Product, own?: OwnProductKept }>()
const emit = defineEmits<{ changed: [] }>()
const open = ref(false)
const workshop = useWorkshop()
const toast = useToast()

const bottle = computed(() => props.product.bottle ?? {})
const until = computed(() => keepsUntil(props.product))
const today = () => format(new Date(), 'yyyy-MM-dd')
const past = computed(() => until.value !== undefined && until.value < today())

const NAMES: Record<WaitPurpose, string> = {
  'next coat': 'next coat',
  'level': 'before levelling',
  'wipe off': 'before wiping off',
  'assemble': 'before assembly',
  'hand over': 'before hand over',
  'square': 'tube glue, before squaring',
  'sand': 'before sanding',
  'rest': 'left alone',
}
const waits = computed(() =>
  (Object.keys(NAMES) as WaitPurpose[]).flatMap((purpose) => {
    const ours = props.product.waits?.[purpose]
    return ours ? [{ purpose, name: NAMES[purpose], ours, label: props.product.label?.[purpose] }] : []
  }),
)

const form = ref({
  opened: '',
  keeps: null as number | null,
  left: null as number | null,
  size: null as number | null,
  sealed: 0,
  price: null as number | null,
})
const labels = ref<Partial<Record<WaitPurpose, { plain: string, latest: string }>>>({})
const span = (seconds?: number) => (seconds === undefined ? '' : formatSpan(seconds).replace(' d', ' days'))
function fill() {
  const { opened, keeps = null, left, size = null, sealed = 0, price } = bottle.value
  form.value = {
    opened: opened ?? '',
    keeps,
    left: left === undefined ? null : Math.round(left * 100) / 100,
    size,
    sealed,
    price: price === undefined ? null : price / 100,
  }
  labels.value = Object.fromEntries(
    waits.value.map(({ purpose, label }) => [purpose, { plain: span(label?.plain), latest: span(label?.latest) }]),
  )
}
/** The form as it stood when it was last filled: what was typed since is not swept away by a shelf that is looked at again. */
let filled = ''
const asTyped = () => JSON.stringify([form.value, labels.value])
watch(
  () => props.product,
  () => {
    if (filled && asTyped() !== filled) return
    fill()
    filled = asTyped()
  },
  { immediate: true },
)

const errors = ref<FieldErrors>({})
function readLabels(): BottleChange['label'] {
  return Object.fromEntries(
    waits.value.flatMap(({ purpose }) => {
      const typed = labels.value[purpose]
      if (!typed?.plain.trim()) return []
      try {
        return [
          [
            purpose,
            { plain: Math.round(parseSpan(typed.plain)), ...(typed.latest.trim() ? { latest: Math.round(parseSpan(typed.latest)) } : {}) },
          ],
        ]
      } catch (error) {
        if (!(error instanceof UnitError)) throw error
        errors.value[`label.${purpose}`] = error.message
        return []
      }
    }),
  )
}
async function keep() {
  errors.value = {}
  const { opened, price, left, ...rest } = form.value
  const was = bottle.value.left === undefined ? null : Math.round(bottle.value.left * 100) / 100
  const label = readLabels()
  // An amount counts from when it is said: one that was not touched is not said anew.
  const wanted = {
    item: props.product.id,
    ...rest,
    opened: opened || null,
    price: price === null ? null : Math.round(price * 100),
    ...(left === was ? {} : { left }),
    label,
  }
  const found = errorsOf(bottleSchema, wanted)
  errors.value = {
    ...Object.fromEntries(
      Object.entries(found).map(([field, says]) => [
        field.replace(/^label\.(.*?)(\.\w+)?$/, 'label.$1').replace(/^label\["(.*?)"\].*$/, 'label.$1'),
        says,
      ]),
    ),
    ...errors.value,
  }
  if (Object.keys(errors.value).length) return
  const before = filled
  filled = asTyped()
  try {
    await workshop.sayBottle(wanted)
    toast.add({ title: `${props.product.name}: kept. New plans go by it.` })
  } catch (error) {
    filled = before
    const answer = refused(error)
    errors.value = answer.fields
    toast.add({ title: Object.values(answer.fields)[0] ?? answer.message, color: 'error' })
  }
}
/** Whether one more bottle of it is being entered. */
const more = ref(false)
function added() {
  more.value = false
  emit('changed')
}
async function throwAway() {
  try {
    await workshop.throwAway(props.product.id)
    const next = bottle.value.sealed ? 'The next one is sealed still.' : 'It is off the shelf.'
    toast.add({ title: `${props.product.name}: thrown away. ${next}` })
    emit('changed')
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
async function openNext() {
  try {
    await workshop.openBottle(props.product)
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
const line = computed(() =>
  [
    props.product.film ? `${props.product.film.build} µm a coat` : '',
    bottle.value.opened === null ? 'sealed' : bottle.value.opened ? `opened ${day(bottle.value.opened)}` : '',
    bottle.value.left !== undefined ? `${millilitres(bottle.value.left)} left` : '',
    bottle.value.sealed ? `${bottle.value.sealed} more sealed` : '',
    props.product.label ? 'label figures entered' : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
const measured = computed(() => workshop.fit.products[props.product.id])
</script>

<template>
  <details class="bottle sheet" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>
      <b>{{ product.name }}</b>
      <span class="quiet">{{ line || 'nothing said of its bottle yet' }}</span>
      <span v-if="until && past" class="harm">◆ kept until about {{ day(until) }}</span>
      <span v-else-if="until" class="quiet">keeps until {{ day(until) }}</span>
    </summary>
    <p v-if="measured?.measurements">
      <b>Yours builds {{ decimal(measured.build, 1) }} µm a coat</b> ({{ decimal(measured.low, 1) }} to
      {{ decimal(measured.high, 1) }}), from {{ counted(measured.measurements, 'measurement') }}; plans go by it.
    </p>
    <p v-if="product.caution" class="harm">◆ {{ product.caution }}</p>
    <ShelfOwnProduct v-if="open && own" :own="own" @kept="emit('changed')" />
    <form v-if="open" class="filled" novalidate @submit.prevent="keep">
      <div class="fields">
        <UFormField label="Opened on" :error="errors.opened ?? false">
          <UInput v-model="form.opened" type="date" size="lg" :max="today()" />
        </UFormField>
        <UFormField label="Keeps, days" :error="errors.keeps ?? false">
          <UInputNumber
            v-model="form.keeps" size="lg" :min="1" :max="3650" :placeholder="product.keeps ? String(product.keeps.days) : 'long'"
          />
        </UFormField>
        <UFormField label="Left, ml" :error="errors.left ?? false">
          <UInputNumber v-model="form.left" size="lg" :min="0" :max="10000" :step="1" :step-snapping="false" placeholder="not known" />
        </UFormField>
        <UFormField label="Bottle, ml" :error="errors.size ?? false">
          <UInputNumber v-model="form.size" size="lg" :min="0" :max="10000" :step="1" :step-snapping="false" placeholder="not known" />
        </UFormField>
        <UFormField label="More, sealed" :error="errors.sealed ?? false">
          <UInputNumber v-model="form.sealed" size="lg" :min="0" :max="1000" />
        </UFormField>
        <UFormField label="Price of a bottle" :error="errors.price ?? false">
          <UInputNumber v-model="form.price" size="lg" :min="0" :step="0.1" :step-snapping="false" placeholder="not known" />
        </UFormField>
      </div>
      <table v-if="waits.length">
        <caption class="sr-only">Waits of {{ product.name }}</caption>
        <thead>
          <tr>
            <th scope="col">Wait</th>
            <th scope="col">Ours, at 21 °C</th>
            <th scope="col">Its label says</th>
            <th scope="col">at the latest</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="wait in waits" :key="wait.purpose">
            <th scope="row">{{ wait.name }}</th>
            <td>
              {{ formatSpan(wait.ours.plain) }}<span v-if="wait.ours.accelerated" class="quiet">, {{ formatSpan(wait.ours.accelerated) }}
                with accelerator</span>
              <span v-if="wait.ours.latest" class="quiet">, by {{ formatSpan(wait.ours.latest) }}</span>
            </td>
            <td>
              <UInput
                v-model="labels[wait.purpose]!.plain" size="lg" placeholder="not said" :aria-label="`${wait.name}, by the label`"
                :aria-invalid="Boolean(errors[`label.${wait.purpose}`])"
              />
            </td>
            <td>
              <UInput
                v-model="labels[wait.purpose]!.latest" size="lg" placeholder="not said"
                :aria-label="`${wait.name}, at the latest by the label`"
              />
            </td>
            <td v-if="errors[`label.${wait.purpose}`]" class="harm" role="alert">◆ {{ errors[`label.${wait.purpose}`] }}</td>
          </tr>
        </tbody>
      </table>
      <div class="end">
        <button type="button" class="key away" @click="throwAway">Thrown away</button>
        <button v-if="bottle.sealed || bottle.opened === null" type="button" class="key" @click="openNext">
          Open {{ bottle.opened === null ? 'it' : 'the next' }} today
        </button>
        <button type="submit" class="key">Keep</button>
      </div>
    </form>
    <template v-if="open && !own">
      <p v-if="!more"><button type="button" class="key" @click="more = true">One more bottle, open beside this one</button></p>
      <template v-else>
        <p class="quiet">Each has its own day and its own rest. Plans take the open one that keeps for the shortest time.</p>
        <ShelfOwnProduct :like="product.id" :name="`${product.name}, second bottle`" @kept="added" />
      </template>
    </template>
  </details>
</template>

<style scoped>
.bottle { padding: 0 1.1rem; min-width: 0; }
summary { display: flex; flex-wrap: wrap; gap: 0.2rem 1.2rem; align-items: center; min-height: 52px; cursor: pointer; }
form { display: grid; gap: 0.8rem; padding-bottom: 1rem; }
.fields { display: grid; grid-template-columns: repeat(6, minmax(0, 1fr)); gap: 0.6rem 1rem; }
table { width: 100%; border-collapse: collapse; }
th, td { text-align: left; padding: 0.2rem 0.8rem 0.2rem 0; font-weight: 400; vertical-align: middle; }
thead th { color: var(--ink-2); font-size: 0.95rem; }
tbody th { white-space: nowrap; }
.end { display: flex; flex-wrap: wrap; justify-content: flex-end; gap: 0.6rem; }
.away { margin-right: auto; }
.own { padding-bottom: 1rem; }
@media (max-width: 1000px) { .fields { grid-template-columns: repeat(3, minmax(0, 1fr)); } }
@media (max-width: 560px) {
  .fields { grid-template-columns: repeat(2, minmax(0, 1fr)); }
  table, tbody, tr, td, tbody th { display: block; }
  thead { display: none; }
  tbody tr { border-top: 1px solid var(--line); padding-block: 0.4rem; }
}
</style>
