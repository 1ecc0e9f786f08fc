<script setup lang="ts">
import { capital } from '#core/format'
import { nth } from '#core/sure'
import { barrelNames, type Barrel, type BarrelId, type Fitting } from '#core/barrel'
import { errorsOf, shelfFittingSchema, type FieldErrors, type ShelfFittingInput } from '#schemas'
import type { ShelfFitting } from '#contract'

/** One fitting, measured: edited in place, or a new one, empty or like another. */
const route = useRoute()
const stock = useStock()
const { units } = storeToRefs(useWorkshop())
const toast = useToast()
const { failed, loaded, again } = useLoad(async () => {
  if (!stock.fittings) await stock.load()
})
const id = computed(() => (route.params.id === 'new' ? null : String(route.params.id)))
const kept = computed(() => (id.value ? stock.fitting(id.value) : undefined))
useHead({ title: () => `${kept.value?.fitting.name ?? 'New fitting'} · Oxlip` })

interface BarrelForm {
  tubeLength: number | null
  tubeOuter: number | null
  bit: number | null
  tipEnd: number | null
  clipEnd: number | null
  bushingTip: number | null
  bushingClip: number | null
}
const emptyBarrel = (): BarrelForm => ({
  tubeLength: null,
  tubeOuter: null,
  bit: null,
  tipEnd: null,
  clipEnd: null,
  bushingTip: null,
  bushingClip: null,
})
const form = reactive({
  name: '',
  bit: null as number | null,
  sets: 1,
  bushings: 'not known' as ShelfFitting['bushings'],
  parts: '',
  barrels: [emptyBarrel()],
})

function fill(from: ShelfFitting, copy: boolean) {
  const { fitting } = from
  Object.assign(form, {
    name: copy ? `${fitting.name}, own` : fitting.name,
    bit: fitting.bit,
    sets: copy ? 0 : from.sets,
    bushings: copy ? 'not known' : from.bushings,
    parts: (fitting.parts ?? []).join('\n'),
    barrels: fitting.barrels.map(one => ({
      tubeLength: one.tubeLength,
      tubeOuter: one.tubeOuter,
      bit: one.bit ?? null,
      tipEnd: one.tipEnd,
      clipEnd: one.clipEnd,
      bushingTip: one.bushings?.tip ?? null,
      bushingClip: one.bushings?.clip ?? null,
    })),
  })
}
watch(
  () => [loaded.value, kept.value?.version, route.query.like],
  () => {
    if (!loaded.value) return
    const like = stock.fitting(String(route.query.like ?? ''))
    if (kept.value) fill(kept.value, false)
    else if (like) fill(like, true)
  },
  { immediate: true },
)

const two = computed(() => form.barrels.length === 2)
const ids = computed((): BarrelId[] => (two.value ? ['lower', 'upper'] : ['only']))
function setTwo(wanted: boolean) {
  if (wanted && !two.value) form.barrels.push({ ...nth(form.barrels, 0) })
  if (!wanted && two.value) form.barrels.pop()
}
const number = (value: number | null) => value ?? Number.NaN
const wanted = computed((): ShelfFittingInput => ({
  name: form.name.trim(),
  bit: number(form.bit),
  sets: form.sets,
  bushings: form.bushings,
  parts: form.parts
    .split('\n')
    .map(part => part.trim())
    .filter(Boolean),
  barrels: form.barrels.map((one, index) => ({
    id: nth(ids.value, index),
    tubeLength: number(one.tubeLength),
    tubeOuter: number(one.tubeOuter),
    tipEnd: number(one.tipEnd),
    clipEnd: number(one.clipEnd),
    ...(one.bit !== null ? { bit: one.bit } : {}),
    ...(one.bushingTip !== null || one.bushingClip !== null
      ? {
          bushings: {
            ...(one.bushingTip !== null ? { tip: one.bushingTip } : {}),
            ...(one.bushingClip !== null ? { clip: one.bushingClip } : {}),
          },
        }
      : {}),
  })) as ShelfFittingInput['barrels'],
  ...(kept.value ? { version: kept.value.version } : {}),
}))
const faults = computed(() => errorsOf(shelfFittingSchema, wanted.value))
const { errors, trouble, tried, keep } = useKeeping(
  () => faults.value,
  async () => {
    const one = await stock.keepFitting(id.value, wanted.value)
    toast.add({ title: `${one.fitting.name}: kept. Plans made before keep the sizes they were made with.` })
    await navigateTo('/shelf/fittings')
  },
  stock.load,
)
/** What is missing is told when it is kept, what is impossible at once. */
const shown = computed((): FieldErrors => {
  const now = tried.value
    ? faults.value
    : Object.fromEntries(Object.entries(faults.value).filter(([, says]) => !/missing|Should be a length|at least/.test(says)))
  return { ...errors.value, ...now }
})
/** The drawing, while the sizes are such that there is one; else what is in its way. */
const drawn = computed((): Fitting | undefined => {
  if (Object.keys(faults.value).some(field => field === 'bit' || field.startsWith('barrels'))) return undefined
  return { id: 'drawn', name: form.name, bit: form.bit ?? 0, barrels: wanted.value.barrels as Barrel[], source: { mark: 'model' } }
})
const impossible = computed(() => Object.entries(shown.value).find(([field]) => field === 'bit' || field.startsWith('barrels'))?.[1])

async function drop() {
  const one = kept.value
  if (!one) return
  try {
    await stock.dropFitting(one.fitting.id)
    await navigateTo('/shelf/fittings')
    const { source: _s, id: fittingId, ...body } = one.fitting
    toast.add({
      title: `${one.fitting.name} is off the shelf.`,
      actions: [
        {
          label: 'Put it back',
          onClick: () =>
            void stock.keepFitting(fittingId, {
              ...body,
              sets: one.sets,
              bushings: one.bushings,
              version: one.version,
            } as ShelfFittingInput),
        },
      ],
    })
  } catch (error) {
    trouble.value = refused(error).message
  }
}
const bushingItems = [
  { label: 'There', value: 'there' },
  { label: 'Missing', value: 'missing' },
  { label: 'Not known', value: 'not known' },
]
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <ShellTrouble
    v-else-if="loaded && id && !kept" :refused="{ status: 404, message: 'There is no such fitting on the shelf.', fields: {} }"
  />
  <form v-else-if="loaded" class="fitting figures" novalidate @submit.prevent="keep">
    <header>
      <h1>{{ id ? form.name || 'Fitting' : 'A new fitting' }}</h1>
      <p class="quiet">Measure with the callipers: 52.4 mm, 2 1/16 in and 0.323" are all understood.</p>
    </header>
    <PenStrip v-if="drawn" :fitting="drawn" colour="#b8a98c" size="head" label="The fitting, to scale" />
    <p v-else class="undrawn sheet" :class="{ harm: impossible }" role="status">
      {{ impossible ? `◆ This cannot be drawn: ${impossible}` : 'The drawing comes with its sizes.' }}
    </p>
    <div class="fields filled">
      <UFormField class="wide" label="Name" :error="shown.name ?? false" required>
        <UInput v-model="form.name" size="xl" maxlength="80" autocomplete="off" />
      </UFormField>
      <UFormField label="Barrels">
        <USelect
          :model-value="two ? 'two' : 'one'" size="xl" :items="[{ label: 'One', value: 'one' }, { label: 'Two', value: 'two' }]"
          @update:model-value="setTwo($event === 'two')"
        />
      </UFormField>
      <FieldMeasure v-model="form.bit" label="Drill bit" :error="shown.bit" required />
      <UFormField label="Sets on the shelf" :error="shown.sets ?? false">
        <UInputNumber v-model="form.sets" size="xl" :min="0" :max="10000" />
      </UFormField>
      <UFormField label="Bushings"><USelect v-model="form.bushings" size="xl" :items="bushingItems" /></UFormField>
    </div>
    <fieldset v-for="(one, index) in form.barrels" :key="index" class="sheet">
      <legend><h2>{{ capital(barrelNames[ids[index]!]) }}</h2></legend>
      <div class="fields filled">
        <FieldMeasure v-model="one.tubeLength" label="Tube, length" :error="shown[`barrels[${index}].tubeLength`]" required />
        <FieldMeasure v-model="one.tubeOuter" label="Tube, outside" :error="shown[`barrels[${index}].tubeOuter`]" required />
        <FieldMeasure v-model="one.tipEnd" label="Metal at the tip end" :error="shown[`barrels[${index}].tipEnd`]" required />
        <FieldMeasure v-model="one.clipEnd" label="Metal at the clip end" :error="shown[`barrels[${index}].clipEnd`]" required />
        <FieldMeasure
          v-if="two" v-model="one.bit" label="Its own bit" :placeholder="form.bit === null ? '' : `as above, ${units.length(form.bit)}`"
          :error="shown[`barrels[${index}].bit`]"
        />
        <FieldMeasure
          v-model="one.bushingTip" label="Bushing, tip end, measured" placeholder="not measured"
          :error="shown[`barrels[${index}].bushings.tip`]"
        />
        <FieldMeasure
          v-model="one.bushingClip" label="Bushing, clip end, measured" placeholder="not measured"
          :error="shown[`barrels[${index}].bushings.clip`]"
        />
      </div>
    </fieldset>
    <UFormField
      label="Parts of the set, one a line, in the order they are pressed"
      :error="Object.entries(shown).find(([field]) => field.startsWith('parts'))?.[1] ?? false"
    >
      <UTextarea v-model="form.parts" size="xl" :rows="5" class="parts" />
    </UFormField>
    <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
    <p v-else-if="tried && Object.keys(faults).length" class="harm" role="alert">◆ Some sizes need another look: they are marked.</p>
    <div class="end">
      <button type="submit" class="key next">{{ id ? 'Keep' : 'Put it on the shelf' }}</button>
      <NuxtLink class="key" to="/shelf/fittings">Leave it</NuxtLink>
      <NuxtLink v-if="route.params.id !== 'new'" class="key" :to="`/shelf/stick/${String(route.params.id)}`">Story stick</NuxtLink>
      <button v-if="id" type="button" class="key drop" @click="drop">Take it off the shelf</button>
    </div>
  </form>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.fitting { display: grid; gap: 0.9rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.4rem 1.2rem; }
.undrawn { padding: 1.6rem 1.2rem; text-align: center; }
.fields { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 0 1rem; clear: both; }
.fields > :deep(*) { min-height: 6.1rem; }
.wide { grid-column: span 2; }
fieldset { padding: 0.8rem 1.1rem 0; }
legend { float: left; width: 100%; margin-bottom: 0.4rem; }
.parts { width: 100%; max-width: 34rem; }
.end { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.drop { margin-left: auto; }
@media (max-width: 900px) { .fields { grid-template-columns: repeat(2, minmax(0, 1fr)); } }
@media (max-width: 480px) { .fields { grid-template-columns: minmax(0, 1fr); } .wide { grid-column: auto; } .drop { margin-left: 0; } }
</style>
