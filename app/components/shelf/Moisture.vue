<script setup lang="ts">
import { must } from '#core/sure'
import { decimal } from '#core/format'
import { format } from 'date-fns'
import type { ShelfBlank } from '#contract'

/** How wet a blank is: its weighings, what they say with how sure that is, and a field for the next. */
const props = defineProps<{ blank: ShelfBlank, large?: boolean }>()
const stock = useStock()
const { units } = storeToRefs(useWorkshop())
const toast = useToast()
const verdict = useMoisture(() => props.blank)

const kind = ref<'weight' | 'meter'>('weight')
const grams = ref<number | null>(null)
const percent = ref<number>()
const day = ref(format(new Date(), 'yyyy-MM-dd'))
const fault = ref('')

async function add() {
  fault.value = ''
  const when = day.value === format(new Date(), 'yyyy-MM-dd') ? new Date() : new Date(`${day.value}T12:00:00`)
  if (Number.isNaN(when.getTime()) || when > new Date()) {
    fault.value = 'Choose the day it was measured, today or earlier.'
    return
  }
  if (kind.value === 'weight' && !(grams.value !== null && grams.value > 0)) {
    fault.value = grams.value === null ? 'Type its weight, like 42.6 g or 1.5 oz.' : 'Should be above 0 g.'
    return
  }
  if (kind.value === 'meter' && !(percent.value !== undefined && percent.value >= 0 && percent.value <= 150)) {
    fault.value = 'Type what the meter shows, 0 to 150 %.'
    return
  }
  try {
    await stock.addReading(props.blank.id, {
      id: newId(),
      at: when.toISOString(),
      ...(kind.value === 'weight' ? { grams: grams.value ?? undefined } : { percent: percent.value }),
    })
    grams.value = null
    percent.value = undefined
  } catch (error) {
    fault.value = Object.values(refused(error).fields)[0] ?? refused(error).message
  }
}
async function drop(id: string) {
  const reading = must(props.blank.readings.find(one => one.id === id), 'its key stands beside it')
  try {
    await stock.dropReading(props.blank.id, id)
    toast.add({
      title: 'Reading taken out.',
      actions: [{ label: 'Put it back', onClick: () => void stock.addReading(props.blank.id, { ...reading }) }],
    })
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
const whole = (value: number) => decimal(value)
const READY = { yes: 'Dry enough for its tube', no: 'Too wet for its tube', perhaps: 'Perhaps dry enough: weigh it again to be sure' }
const wait = computed(() => {
  const found = verdict.value
  if (!found?.known || found.ready === 'yes') return ''
  if (!found.days) return 'It takes longer than can be told from these readings.'
  const { likely, low, high } = found.days
  return `Within two points of the shop in about ${days(likely)}; nine times out of ten between ${days(low)} and ${days(high)}.`
})
const days = (value: number) =>
  value < 1 ? 'today' : value < 14 ? `${Math.round(value)} ${Math.round(value) === 1 ? 'day' : 'days'}` : `${Math.round(value / 7)} weeks`
</script>

<template>
  <div class="moisture figures" :class="{ large }">
    <div v-if="verdict" role="status" class="verdict">
      <p v-if="!verdict.known" class="quiet">{{ verdict.says }}</p>
      <template v-else>
        <p>
          <b :class="{ harm: verdict.ready === 'no' }">{{ verdict.ready === 'no' ? '◆ ' : '' }}{{ READY[verdict.ready] }}.</b> {{ wait }}
        </p>
        <p class="quiet">
          About {{ whole(verdict.now.likely) }} % now, between {{ whole(verdict.now.low) }} and {{ whole(verdict.now.high) }} %; wood
          settles at <FigureOpen :figure="verdict.settles">{{ decimal(verdict.settles.value, 1) }} %</FigureOpen> in this air. From
          {{ verdict.readings }} {{ verdict.readings === 1 ? 'reading' : 'readings' }}, and what is usual for its thickness.
        </p>
      </template>
    </div>
    <ul v-if="blank.readings.length" aria-label="Readings">
      <li v-for="reading in [...blank.readings].reverse()" :key="reading.id">
        <span>{{ format(new Date(reading.at), 'd MMM yyyy') }}</span>
        <b>{{ 'grams' in reading ? units.mass(reading.grams) : `${reading.percent} % by the meter` }}</b>
        <button
          type="button" class="link" :aria-label="`Take out the reading of ${format(new Date(reading.at), 'd MMM')}`"
          @click="drop(reading.id)"
        >
          take out
        </button>
      </li>
    </ul>
    <form novalidate @submit.prevent="add">
      <UFormField label="Measured by">
        <USelect v-model="kind" size="xl" :items="[{ label: 'Scale', value: 'weight' }, { label: 'Moisture meter', value: 'meter' }]" />
      </UFormField>
      <FieldMeasure
        v-if="kind === 'weight'" v-model="grams" quantity="mass" label="Weight" :error="fault"
        :placeholder="units.bareMass === 'g' ? '42.6 g' : '1.50 oz'"
      />
      <UFormField v-else label="Meter, %" :error="fault || false">
        <UInputNumber v-model="percent" size="xl" :min="0" :max="150" :step="0.5" :step-snapping="false" />
      </UFormField>
      <UFormField label="On"><UInput v-model="day" size="xl" type="date" /></UFormField>
      <button type="submit" class="key">Keep the reading</button>
    </form>
  </div>
</template>

<style scoped>
.moisture { display: grid; gap: 0.7rem; }
.large .verdict { font-size: 1.4rem; }
ul { display: flex; flex-wrap: wrap; gap: 0.1rem 1.6rem; }
li { display: flex; align-items: center; gap: 0.6rem; }
.link { min-height: 32px; color: var(--leaf); text-decoration: underline; cursor: pointer; }
form { display: flex; flex-wrap: wrap; gap: 0 0.9rem; align-items: flex-start; }
form > :deep(*) { min-height: 6.1rem; max-width: 13rem; }
form .key { min-height: 44px; margin-top: 1.75rem; }
form :deep(button[role=combobox]) { width: 11rem; }
</style>
