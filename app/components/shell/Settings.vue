<script setup lang="ts">
import { currencies, currencyName, decimal } from '#core/format'
import { dewPoint, equilibriumMoisture } from '#core/climate'
import { fromFahrenheit, toFahrenheit } from '#core/units'
import type { Workshop } from '#schemas'
import type { ThemeWish } from '~/composables/useTheme'

/** The air, the units and the theme. Air and units are kept for the whole workshop, the theme for this device. */
const open = defineModel<boolean>('open', { required: true })
const store = useWorkshop()
const outbox = useOutbox()
const { wish } = useTheme()
const toast = useToast()

/** What stands for no choice in a select, which takes no empty value. */
const NONE = 'none'
const monies = [{ label: 'None said', value: NONE }, ...currencies().map(code => ({ label: currencyName(code), value: code }))]
const form = reactive({
  temperature: 20,
  humidity: 50,
  units: 'metric' as Workshop['units'],
  currency: NONE,
  perEnd: null as number | null,
  kerf: null as number | null,
  wander: null as number | null,
  leastWall: null as number | null,
})
const errors = ref<Record<string, string>>({})
/** What was there when the form was opened: the workshop follows other devices meanwhile. */
const version = ref(0)
const shownAir = ref({ celsius: 20, humidity: 50 })
const fahrenheit = computed(() => form.units !== 'metric')

const rounded = (value: number) => Math.round(value * 10) / 10
const celsius = computed(() => (fahrenheit.value ? fromFahrenheit(form.temperature) : form.temperature))

// The workshop may come in after the form was opened: what stands in it before then is nobody's.
watch(
  () => open.value && Boolean(store.workshop),
  (now) => {
    const kept = store.workshop
    if (!now || !kept) return
    errors.value = {}
    version.value = kept.version
    form.units = kept.units
    form.currency = kept.currency ?? NONE
    form.humidity = kept.humidity
    Object.assign(form, {
      perEnd: kept.perEnd ?? null,
      kerf: kept.kerf ?? null,
      leastWall: kept.leastWall ?? null,
      wander: kept.wander == null ? null : kept.wander * 100,
    })
    form.temperature = rounded(kept.units === 'metric' ? kept.celsius : toFahrenheit(kept.celsius))
    shownAir.value = { celsius: rounded(celsius.value), humidity: form.humidity }
  },
  { immediate: true },
)
watch(fahrenheit, (now, before) => {
  if (now !== before && open.value) form.temperature = rounded(now ? toFahrenheit(form.temperature) : fromFahrenheit(form.temperature))
})

/** An instrument may read the air while this is open: what the form says of it counts only where the turner changed it. */
const airSaid = computed(() => shownAir.value.celsius !== rounded(celsius.value) || shownAir.value.humidity !== form.humidity)
const usable = computed(() => Number.isFinite(celsius.value) && form.humidity > 0 && form.humidity <= 100)

async function save() {
  if (!store.workshop) return
  const broken = (['perEnd', 'kerf', 'leastWall'] as const).filter(field => Number.isNaN(form[field]))
  errors.value = Object.fromEntries(broken.map(field => [field, 'Should be a length, or be left empty.']))
  if (broken.length) return
  try {
    await store.save({
      version: version.value,
      ...(airSaid.value ? { air: { celsius: rounded(celsius.value), humidity: form.humidity } } : {}),
      units: form.units,
      currency: form.currency === NONE ? null : form.currency,
      perEnd: form.perEnd,
      kerf: form.kerf,
      leastWall: form.leastWall,
      wander: form.wander == null ? null : rounded(form.wander) / 100,
    })
    open.value = false
    toast.add({ title: 'Kept. New plans use this air.' })
  } catch (error) {
    const answer = refused(error)
    errors.value = answer.fields
    if (!Object.keys(answer.fields).length) toast.add({ title: answer.message, color: 'error' })
    if (answer.status === 409) {
      await store.load()
      version.value = store.workshop.version
    }
  }
}

const unitChoices = [
  { label: 'Millimetres, °C', value: 'metric' },
  { label: 'Inches, decimal, °F', value: 'inch' },
  { label: 'Inches in 64ths, °F', value: 'inch64' },
]
const themes: { label: string, value: ThemeWish }[] = [
  { label: 'As the device', value: 'system' },
  { label: 'Light', value: 'light' },
  { label: 'Dark', value: 'dark' },
]
</script>

<template>
  <UModal
    v-model:open="open" title="Workshop"
    description="The air now, the units you read, the theme of this device, and the workshops there are."
  >
    <template #body>
      <form v-if="store.workshop" class="form" @submit.prevent="save">
        <div class="pair">
          <UFormField :label="`Temperature, ${fahrenheit ? '°F' : '°C'}`" :error="errors['air.celsius']">
            <UInputNumber v-model="form.temperature" :step="0.5" :step-snapping="false" :format-options="{ maximumFractionDigits: 1 }" />
          </UFormField>
          <UFormField label="Humidity, %" :error="errors['air.humidity']">
            <UInputNumber v-model="form.humidity" :step="1" />
          </UFormField>
        </div>
        <p v-if="usable" class="quiet figures">
          Dew point {{ store.units.temperature(dewPoint(celsius, form.humidity)) }} · wood left in this air settles at
          {{ decimal(equilibriumMoisture(celsius, form.humidity), 1) }} % moisture
        </p>
        <fieldset class="habits">
          <legend>Your own ways of cutting; empty means as usual</legend>
          <FieldMeasure
            v-model="form.perEnd" label="Spare at each end" placeholder="1.6 mm, 2 mm if it tears" size="lg" :error="errors.perEnd"
          />
          <FieldMeasure v-model="form.kerf" label="Saw kerf" placeholder="1.2 mm" size="lg" :error="errors.kerf" />
          <UFormField label="Drill wander, % of depth" :error="errors.wander ?? false">
            <UInputNumber v-model="form.wander" size="lg" placeholder="1" :min="0" :max="10" :step="0.1" :step-snapping="false" />
          </UFormField>
          <FieldMeasure v-model="form.leastWall" label="Least wall over a tube" placeholder="0.4 mm" size="lg" :error="errors.leastWall" />
        </fieldset>
        <UFormField label="Money" :error="errors.currency ?? false">
          <USelect v-model="form.currency" size="lg" :items="monies" class="money" />
        </UFormField>
        <div class="pair">
          <URadioGroup v-model="form.units" legend="Units" :items="unitChoices" />
          <URadioGroup v-model="wish" legend="Theme" :items="themes" />
        </div>
        <div class="end">
          <button type="button" class="key" @click="open = false">Leave as it was</button>
          <button type="submit" class="key next" :disabled="!store.workshop">Keep</button>
        </div>
      </form>
      <p v-else class="quiet" role="status">Fetching the workshop ...</p>
      <ShellMe />
      <ShellWorkshops />
      <details v-if="outbox.aside.length" class="aside">
        <summary>Entries put aside on this device: {{ outbox.aside.length }}</summary>
        <ul><ShellRefusedEntry v-for="entry in outbox.aside" :key="entry.event.id" :entry="entry" /></ul>
      </details>
    </template>
  </UModal>
</template>

<style scoped>
.form { display: grid; gap: 1.1rem; }
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 1rem; }
.habits { display: grid; grid-template-columns: 1fr 1fr; gap: 0 1rem; }
.habits legend { margin-bottom: 0.4rem; font-weight: 500; }
.habits > :deep(:not(legend)) { min-height: 4.9rem; }
details.aside { margin-top: 1rem; }
.money { width: 100%; }
.end { display: flex; justify-content: flex-end; gap: 0.75rem; flex-wrap: wrap; }
</style>
