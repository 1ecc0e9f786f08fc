<script setup lang="ts">
import { must, nth } from '#core/sure'
import { decimal, formatSpan } from '#core/format'
import { format } from 'date-fns'
import { familyOf, sheens, type Method } from '#core/method'
import { leastFilm, remarks } from '#core/plan'
import { errorsOf, methodSchema, type FieldErrors } from '#schemas'
import type { MethodVersion } from '#contract'

const route = useRoute()
const methods = useMethods()
const workshop = useWorkshop()
const toast = useToast()
const history = ref<MethodVersion[]>()
const form = ref<Method>()

const { failed, loaded, again } = useLoad(async () => {
  const id = String(route.params.id)
  const [found] = await Promise.all([api('GET /api/methods/:id', { params: { id } }), methods.load(), workshop.load()])
  const changed = form.value && JSON.stringify(form.value) !== JSON.stringify(history.value?.[0]?.method)
  history.value = found
  // What is being typed is not swept away when the page is looked at again.
  if (!changed) form.value = structuredClone(nth(found, 0).method)
})
const shownForm = () => must(form.value, 'it is on the screen only once it is loaded')
const newest = () => must(now.value, 'the page is on the screen only once it is loaded')
const now = computed(() => history.value?.[0]?.method)
useHead({ title: () => `${now.value?.name ?? 'Method'} · Methods · Oxlip` })
const family = computed(() => form.value && familyOf(form.value.family))
const dirty = computed(() => JSON.stringify(form.value) !== JSON.stringify(now.value))
const away = computed(() => Boolean(now.value && methods.methods && !methods.method(now.value.id)))

const faults = (): FieldErrors => {
  const { id: _, version: __, source: ___, ...settings } = shownForm()
  return errorsOf(methodSchema, settings)
}
const { errors, trouble, tried, keep } = useKeeping(
  faults,
  async () => {
    await methods.change(shownForm())
    form.value = undefined
    await again()
    toast.add({ title: `Kept as version ${newest().version}. Plans made before keep theirs.` })
  },
  again,
)
const shown = computed((): FieldErrors => (tried.value && form.value ? { ...faults(), ...errors.value } : errors.value))

const { material, fitting, figuresFor, suitsOf } = useSample()
const reasonWords = computed(() => (form.value ? suitsOf(form.value).reasons.map(reason => `${reason.says}.`).join(' ') : ''))
const sound = computed(() => form.value && fitting.value && !Object.keys(faults()).length)
const figures = computed(() => (sound.value ? figuresFor(shownForm()) : undefined))
const said = computed(() => (figures.value ? remarks(figures.value.plan, figures.value.traced, workshop.units) : []))
const before = computed(() => (dirty.value && now.value && fitting.value ? figuresFor(now.value) : undefined))

const levellings = [
  { label: 'Never', value: 'never' },
  { label: 'Once all coats are on', value: 'at the end' },
  ...[2, 3, 4, 5, 6].map(count => ({ label: `After every ${count} coats`, value: String(count) })),
]
const levelling = computed({
  get: () => String(shownForm().levelling),
  set: (value: string) => {
    shownForm().levelling = value === 'never' || value === 'at the end' ? value : Number(value)
  },
})
const sheenChoices = sheens.map(one => ({ label: one.charAt(0).toUpperCase() + one.slice(1), value: one }))
/** What is done to bare wood beside sanding it. */
const woods = [
  { label: 'Sanded only', value: 'none' },
  { label: 'Hardened with thin CA first', value: 'h' },
  { label: 'Burnished with shavings last', value: 'b' },
  { label: 'Both', value: 'hb' },
]
const wood = computed({
  get: () => `${shownForm().wood?.harden ? 'h' : ''}${shownForm().wood?.burnish ? 'b' : ''}` || 'none',
  set: (value: string) => {
    const { wood: _, ...rest } = shownForm()
    form.value = value !== 'none' ? { ...rest, wood: { harden: value.includes('h'), burnish: value.includes('b') } } : rest
  },
})
const polishes = [
  { label: 'None', value: 0 },
  { label: 'One, cutting', value: 1 },
  { label: 'Two, cutting and fine', value: 2 },
]

async function copy() {
  try {
    const made = await methods.copy(newest().id, `${newest().name}, mine`)
    toast.add({ title: `${made.name}: change it as you like.` })
    await navigateTo(`/methods/${made.id}`)
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
async function putAway(gone: boolean) {
  try {
    await methods.putAway(newest().id, gone)
    toast.add({
      title: gone ? 'Put away. Pens that have it keep it.' : 'Taken out again.',
      ...(gone ? { actions: [{ label: 'Take it out again', onClick: () => void putAway(false) }] } : {}),
    })
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
function takeVersion(method: Method) {
  form.value = { ...structuredClone(toRaw(method)), version: newest().version, source: newest().source }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="form && family && now" class="method figures">
    <header>
      <h1>{{ now.name }}</h1>
      <span class="acts">
        <NuxtLink class="key" to="/methods">All methods</NuxtLink>
        <NuxtLink class="key" :to="{ path: '/methods/compare', query: { a: now.id } }">Compare</NuxtLink>
        <button type="button" class="key" @click="copy">Copy</button>
        <button type="button" class="key" @click="putAway(!away)">{{ away ? 'Take out again' : 'Put away' }}</button>
      </span>
      <p class="quiet">
        {{ form.family.charAt(0).toUpperCase() + form.family.slice(1) }}, version {{ now.version }}. {{ family.looks }}. Good for
        {{ family.goodFor.charAt(0).toLowerCase() + family.goodFor.slice(1) }}. Asks
        {{ family.asks.charAt(0).toLowerCase() + family.asks.slice(1) }}.
      </p>
    </header>
    <p v-if="away" class="quiet" role="status">Put away: it is not offered for new pens.</p>
    <form novalidate @submit.prevent="keep">
      <div class="set filled sheet">
        <UFormField label="Name" :error="shown.name ?? false" class="name">
          <UInput v-model="form.name" size="lg" maxlength="60" autocomplete="off" />
        </UFormField>
        <UFormField label="Bare wood" :error="shown.wood ?? false">
          <USelect v-model="wood" size="lg" :items="woods" />
        </UFormField>
        <UFormField label="Levelled" :error="shown.levelling ?? false">
          <USelect v-model="levelling" size="lg" :items="levellings" />
        </UFormField>
        <UFormField label="Sheen" :error="shown.sheen ?? false">
          <USelect v-model="form.sheen" size="lg" :items="sheenChoices" />
        </UFormField>
        <UFormField label="Plastic polishes" :error="shown.polishes ?? false">
          <USelect v-model="form.polishes" size="lg" :items="polishes" />
        </UFormField>
        <UFormField label="Sanding, rev/min" :error="shown['speeds.sand'] ?? false">
          <UInputNumber v-model="form.speeds.sand" size="lg" :min="100" :max="5000" :step="100" :step-snapping="false" />
        </UFormField>
        <UFormField label="Levelling, rev/min" :error="shown['speeds.level'] ?? false">
          <UInputNumber v-model="form.speeds.level" size="lg" :min="100" :max="5000" :step="100" :step-snapping="false" />
        </UFormField>
        <UFormField label="Polishing, rev/min" :error="shown['speeds.polish'] ?? false">
          <UInputNumber v-model="form.speeds.polish" size="lg" :min="100" :max="5000" :step="100" :step-snapping="false" />
        </UFormField>
        <UFormField label="Greatest jump, to 1" :error="shown.greatestJump ?? false">
          <UInputNumber v-model="form.greatestJump" size="lg" :min="1.2" :max="10" :step="0.1" :step-snapping="false" />
        </UFormField>
      </div>
      <FinishLayers v-model="form.layers" :errors="shown" />
      <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
      <div class="end">
        <span class="quiet">{{ dirty ? 'Not kept yet.' : 'As kept.' }}</span>
        <button v-if="dirty" type="button" class="key" @click="takeVersion(now)">As it was</button>
        <button type="submit" class="key next" :disabled="!dirty">Keep as version {{ now.version + 1 }}</button>
      </div>
    </form>
    <section class="sheet result" aria-labelledby="comes">
      <h2 id="comes">What it comes to on {{ material.name.toLowerCase() }}</h2>
      <FinishSample />
      <div v-if="figures" class="halves">
        <BuildSection :traced="figures.traced" :least="leastFilm(figures.plan.inputs).value" :colour="material.colour" />
        <div class="sums">
          <p>
            <b>{{ suitsOf(form).verdict }}</b> <span class="quiet">{{ reasonWords }}</span>
          </p>
          <dl>
            <div>
              <dt>Coats</dt>
              <dd>
                {{ figures.coats }}<span v-if="before && before.coats !== figures.coats" class="quiet">, {{ before.coats }} before</span>
              </dd>
            </div>
            <div>
              <dt>Film sure at the thinnest</dt>
              <dd>
                <FigureOpen :figure="figures.traced.filmThinnest" />
                <span v-if="before" class="quiet">, {{ decimal(before.traced.filmThinnest.value, 1) }} µm before</span>
              </dd>
            </div>
            <div>
              <dt>Hands on the finish</dt>
              <dd>
                <FigureOpen :figure="figures.finishing" />
                <span v-if="before" class="quiet">, {{ formatSpan(before.finishing.value) }} before</span>
              </dd>
            </div>
            <div><dt>Ready</dt><dd>after <FigureOpen :figure="figures.ready" /></dd></div>
          </dl>
          <PlanRemarks :remarks="said" />
        </div>
      </div>
      <p v-else class="quiet">Mend what is marked above to see it.</p>
    </section>
    <section class="sheet result" aria-labelledby="versions">
      <h2 id="versions">Versions, and the pens that have them</h2>
      <ol class="versions">
        <li v-for="one in history" :key="one.method.version">
          <b>Version {{ one.method.version }}</b> <span class="quiet">{{ format(new Date(one.madeAt), 'd MMM yyyy') }},
            {{ one.method.source.note }}</span>
          <span v-if="one.pens.length" class="pens">
            <NuxtLink v-for="pen in one.pens" :key="pen.id" :to="`/pens/${pen.id}`">
              <PenTag :mark="pen.mark" size="row" /> {{ pen.name }}</NuxtLink>
          </span>
          <span v-else class="quiet">No pen is planned with it now.</span>
          <button v-if="one.method.version !== now.version" type="button" class="key" @click="takeVersion(one.method)">
            Put its settings into the form
          </button>
        </li>
      </ol>
    </section>
  </div>
  <p v-else class="quiet" role="status">Fetching the method ...</p>
</template>

<style scoped>
.method { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.4rem; }
header h1 { flex: 1 1 auto; }
header p { flex: 1 1 100%; }
.acts, .end { display: flex; flex-wrap: wrap; gap: 0.6rem; align-items: center; }
.end { justify-content: flex-end; }
form { display: grid; gap: 0.8rem; }
.set { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 0.6rem 1.2rem; padding: 0.9rem 1.1rem; }
.result { display: grid; gap: 0.8rem; padding: 0.9rem 1.1rem; }
.halves { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 2rem; align-items: start; }
.sums { display: grid; gap: 0.6rem; }
dl { display: grid; gap: 0.2rem; }
dl div { display: flex; gap: 0.7rem; }
dt { color: var(--ink-2); min-width: 11rem; }
.versions { display: grid; gap: 0.5rem; }
.versions li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 1.2rem;
  min-height: 48px;
  border-top: 1px solid var(--line);
}
.pens { display: flex; flex-wrap: wrap; gap: 0.3rem 1rem; }
.pens a { display: inline-flex; align-items: center; gap: 0.5rem; min-height: 44px; color: var(--ink); }
.pens a:hover { text-decoration: underline; }
@media (max-width: 1000px) { .set { grid-template-columns: repeat(2, minmax(0, 1fr)); } .halves { grid-template-columns: minmax(0, 1fr); } }
@media (max-width: 480px) { .set { grid-template-columns: minmax(0, 1fr); } }
</style>
