<script setup lang="ts">
import { counted } from '#core/format'
import { must } from '#core/sure'
import type { MaterialClass } from '#core/shelf'
import type { ShelfBlank } from '#contract'
import { materials } from '#reference'
import { blankSchema, errorsOf, type BlankInput, type FieldErrors } from '#schemas'

/** One kind of blank: what it is, where it comes from, how large, how dry. */
const route = useRoute()
const stock = useStock()
const toast = useToast()
const { failed, loaded, again } = useLoad(async () => {
  if (!stock.blanks) await stock.load()
})
const id = computed(() => (route.params.id === 'new' ? null : String(route.params.id)))
const kept = computed(() => stock.blank(id.value))
/** Whether it is a board that blanks are cut from. */
const isBoard = computed(() => kept.value?.board ?? (!id.value && route.query.board !== undefined))
const parent = computed(() => stock.blank(kept.value?.cutFrom ?? null))
useHead({ title: () => `${kept.value?.name ?? (isBoard.value ? 'New board' : 'New blank')} · Oxlip` })

const OWN = 'own'
const UNKNOWN = 'unknown-blank'
const CLASSES: { id: MaterialClass, name: string }[] = [
  { id: 'close-grained', name: 'Close-grained' },
  { id: 'open-pored', name: 'Open-pored' },
  { id: 'oily', name: 'Oily' },
  { id: 'bleeding', name: 'Bleeds colour' },
  { id: 'soft', name: 'Soft, punky' },
  { id: 'figured', name: 'Figured, burr' },
  { id: 'hybrid', name: 'Wood and resin' },
  { id: 'resin', name: 'Cast resin' },
  { id: 'laminated', name: 'Laminated' },
]
const empty = (): Omit<BlankInput, 'version'> => ({
  name: '',
  material: null,
  species: null,
  classes: [],
  origin: null,
  width: null,
  height: null,
  length: null,
  count: 1,
  damp: false,
  photo: null,
  hardness: null,
  density: null,
  caution: null,
  source: null,
})
const form = reactive(empty())
const what = ref<string>(UNKNOWN)

watch(
  () => [loaded.value, kept.value?.version],
  () => {
    if (!kept.value) return
    const { id: _, version: __, readings: ___, board: ____, cutFrom: _____, ...rest } = kept.value
    Object.assign(form, rest, {
      classes: rest.classes.length ? rest.classes : (materials.find(row => row.id === rest.material)?.classes ?? []),
    })
    what.value = rest.material ?? (rest.species ? OWN : UNKNOWN)
  },
  { immediate: true },
)

/** Woods of one's own that other blanks are of, each once. */
const woods = computed(() => {
  const others = (stock.blanks ?? []).filter(one => one.id !== id.value && !one.material && one.species)
  return [...new Map(others.map(one => [one.species?.toLowerCase(), one])).values()]
})
const kinds = computed(() => [
  { label: 'Not known', value: UNKNOWN },
  { label: 'Another, by name', value: OWN },
  ...woods.value.map(one => ({ label: one.species ?? '', value: `${OWN}:${one.id}` })),
  ...materials.filter(row => row.id !== 'unknown').map(row => ({ label: row.name, value: row.id })),
])
/** The same wood as that of another blank: all that is known of it comes along. */
function takeWood(blank: ShelfBlank) {
  const { species, classes, hardness, density, caution, source } = blank
  what.value = OWN
  Object.assign(form, { material: null, species, classes: [...classes], hardness, density, caution, source })
  if (!form.name) form.name = species ?? ''
  openKnown()
}
function chooseWhat(value: string) {
  const wood = woods.value.find(one => value === `${OWN}:${one.id}`)
  if (wood) return takeWood(wood)
  what.value = value
  form.material = value === OWN || value === UNKNOWN ? null : value
  if (value !== OWN) form.species = null
  form.classes = [...(materials.find(row => row.id === value)?.classes ?? [])]
  if (!form.name && form.material) form.name = must(materials.find(row => row.id === value), 'it is chosen among these').name
}
function setClass(one: MaterialClass, on: boolean) {
  form.classes = on ? [...form.classes, one] : form.classes.filter(other => other !== one)
}
/** Opened where something is known, and left so while it is changed. */
const hasOwn = ref(false)
const openKnown = () => {
  hasOwn.value ||= [form.hardness, form.density, form.caution, form.source].some(Boolean)
}
watch(() => kept.value?.version, openKnown, { immediate: true })
/** How many other blanks are of the same wood of one's own. */
const kin = computed(() => {
  const name = form.species?.trim().toLowerCase()
  return (stock.blanks ?? []).filter(one => one.id !== id.value && !one.material && name && one.species?.toLowerCase() === name).length
})
const wanted = computed((): BlankInput => ({
  ...form,
  name: form.name.trim(),
  species: form.species?.trim() || null,
  origin: form.origin?.trim() || null,
  caution: form.caution?.trim() || null,
  source: form.source?.trim() || null,
  ...(isBoard.value ? { board: true } : {}),
  ...(kept.value ? { version: kept.value.version } : {}),
}))
const faults = computed(() => ({
  ...errorsOf(blankSchema, wanted.value),
  ...(what.value === OWN && !wanted.value.species ? { species: 'Is missing: fill it in, or choose “Not known”.' } : {}),
}))
const { errors, trouble, tried, keep } = useKeeping(
  () => faults.value,
  async () => {
    const one = await stock.keepBlank(id.value, wanted.value)
    toast.add({ title: `${one.name}: kept.` })
    if (!id.value) await navigateTo(`/shelf/blanks/${one.id}`)
  },
  stock.load,
)
const shown = computed(
  () =>
    ({
      ...errors.value,
      ...(tried.value
        ? faults.value
        : Object.fromEntries(Object.entries(faults.value).filter(([field]) => ['width', 'height', 'length'].includes(field)))),
    }) as FieldErrors,
)

async function drop() {
  const one = kept.value
  if (!one) return
  try {
    await stock.dropBlank(one.id)
    await navigateTo('/shelf/blanks')
    const { id: blankId, readings: _, cutFrom: __, ...body } = one
    toast.add({
      title: `${one.name} is off the shelf.`,
      actions: [{ label: 'Put it back', onClick: () => void stock.keepBlank(blankId, body) }],
    })
  } catch (error) {
    trouble.value = refused(error).message
  }
}
/** The sticks are off the shelf, and the board that they were to be of is there again. */
async function uncut() {
  const one = kept.value
  if (!one) return
  try {
    await stock.uncutBlank(one.id)
    await navigateTo('/shelf/blanks')
    toast.add({ title: 'The board is on the shelf again, its sticks are not.' })
  } catch (error) {
    trouble.value = refused(error).message
  }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <ShellTrouble v-else-if="loaded && id && !kept" :refused="{ status: 404, message: 'There is no such blank on the shelf.', fields: {} }" />
  <div v-else-if="loaded" class="blank figures">
    <form novalidate @submit.prevent="keep">
      <header>
        <h1>{{ id ? form.name || 'Blank' : isBoard ? 'A new board' : 'A new blank' }}</h1>
        <p v-if="parent" class="quiet">
          Cut from
          <NuxtLink class="way" :to="`/shelf/blanks/${parent.id}`">{{ parent.name }}</NuxtLink>
        </p>
      </header>
      <div class="halves">
        <div class="fields filled">
          <UFormField class="wide" label="Name on the shelf" :error="shown.name ?? false" required>
            <UInput v-model="form.name" size="xl" maxlength="80" autocomplete="off" />
          </UFormField>
          <UFormField label="What it is" :error="shown.material ?? false">
            <USelect :model-value="what" size="xl" :items="kinds" @update:model-value="chooseWhat(String($event))" />
          </UFormField>
          <UFormField v-if="what === OWN" label="Its name" :error="shown.species ?? false" required>
            <UInput :model-value="form.species ?? ''" size="xl" maxlength="80" @update:model-value="form.species = String($event)" />
          </UFormField>
          <UFormField label="How many" :error="shown.count ?? false">
            <UInputNumber v-model="form.count" size="xl" :min="0" :max="10000" />
          </UFormField>
          <FieldMeasure v-model="form.width" label="Width" placeholder="not known" :error="shown.width" />
          <FieldMeasure
            v-model="form.height" :label="isBoard ? 'Thickness' : 'Height'" placeholder="not known" :error="shown.height"
          />
          <FieldMeasure
            v-model="form.length" :label="isBoard ? 'Length, with the grain' : 'Length'" placeholder="not known" :error="shown.length"
          />
          <fieldset class="wide classes">
            <legend>How it behaves</legend>
            <label v-for="one in CLASSES" :key="one.id">
              <input
                type="checkbox" :checked="form.classes.includes(one.id)"
                @change="setClass(one.id, ($event.target as HTMLInputElement).checked)"
              >{{ one.name }}
            </label>
            <label><input v-model="form.damp" type="checkbox">Came in damp, or nobody knows</label>
          </fieldset>
          <details class="wide known" :open="hasOwn">
            <summary>What you know of this wood or resin</summary>
            <p v-if="kin" class="quiet">It holds for every blank of this name: {{ counted(kin, 'other') }} on the shelf.</p>
            <div class="fields">
              <UFormField label="Side hardness, N" :error="shown.hardness ?? false">
                <UInputNumber
                  v-model="form.hardness" size="xl" :min="100" :max="30000" :step="100" :step-snapping="false" placeholder="not known"
                />
              </UFormField>
              <UFormField label="Density, kg/m³" :error="shown.density ?? false">
                <UInputNumber
                  v-model="form.density" size="xl" :min="50" :max="2000" :step="10" :step-snapping="false" placeholder="not known"
                />
              </UFormField>
              <UFormField label="Where that stands" :error="shown.source ?? false">
                <UInput :model-value="form.source ?? ''" size="xl" maxlength="200" @update:model-value="form.source = String($event)" />
              </UFormField>
              <UFormField
                class="wide" label="What to mind with it" help="Stands wherever it is sawn, drilled, turned or sanded."
                :error="shown.caution ?? false"
              >
                <UInput
                  :model-value="form.caution ?? ''" size="xl" maxlength="200" placeholder="its dust makes me sneeze"
                  @update:model-value="form.caution = String($event)"
                />
              </UFormField>
            </div>
          </details>
        </div>
        <div class="story filled">
          <UFormField label="Where it comes from" :error="shown.origin ?? false">
            <UTextarea
              :model-value="form.origin ?? ''" size="xl" :rows="5" maxlength="4000"
              placeholder="Where the tree stood, who gave it, when it was cut" @update:model-value="form.origin = String($event)"
            />
          </UFormField>
          <ShelfPhoto v-model="form.photo" />
        </div>
      </div>
      <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
      <div class="end">
        <button type="submit" class="key next">{{ id ? 'Keep' : 'Put it on the shelf' }}</button>
        <NuxtLink class="key" to="/shelf/blanks">{{ id ? 'All blanks' : 'Leave it' }}</NuxtLink>
        <NuxtLink v-if="id && isBoard && form.count" class="key" :to="`/shelf/cutting?board=${id}#board`">Cut sticks from it</NuxtLink>
        <button v-if="kept?.cutFrom" type="button" class="key" @click="uncut">Not cut after all</button>
        <button v-if="id" type="button" class="key drop" @click="drop">Take it off the shelf</button>
      </div>
    </form>
    <section v-if="kept" class="sheet dry" aria-labelledby="moisture">
      <h2 id="moisture">Moisture</h2>
      <ShelfMoisture :blank="kept" />
    </section>
  </div>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.blank { display: grid; gap: 1.2rem; }
form { display: grid; gap: 0.9rem; }
.halves { display: grid; grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr); gap: 2rem; align-items: start; }
.fields { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 0 1rem; }
.fields > :deep(*) { min-height: 6.1rem; }
.wide { grid-column: 1 / -1; }
.classes { display: flex; flex-wrap: wrap; gap: 0 1.4rem; align-content: start; }
.classes legend { font-weight: 500; }
.classes label { display: flex; align-items: center; gap: 0.5rem; min-height: 40px; cursor: pointer; }
.classes input { width: 1.2rem; height: 1.2rem; accent-color: var(--leaf); }
.known > summary { padding-block: 0.6rem; font-weight: 500; cursor: pointer; }
.known > p { margin-bottom: 0.6rem; }
.story { display: grid; gap: 1rem; }
.end { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.drop { margin-left: auto; }
.way { display: inline-grid; align-items: center; min-height: 32px; color: var(--leaf); text-decoration: underline; }
.dry { display: grid; gap: 0.6rem; padding: 0.9rem 1.1rem 0; }
@media (max-width: 900px) { .halves { grid-template-columns: minmax(0, 1fr); gap: 1rem; } }
@media (max-width: 520px) { .fields { grid-template-columns: minmax(0, 1fr); } .drop { margin-left: 0; } }
</style>
