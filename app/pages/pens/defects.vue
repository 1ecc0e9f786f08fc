<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import { OTHER, type DefectKind } from '#core/defects'
import { causes, defects as catalogue, materials } from '#reference'
import type { ListedDefect } from '#contract'
import type { DefectQuery } from '#schemas'

/** All defects over all pens: what, where, why, how they were mended and how that went. */
useHead({ title: 'Defects · Oxlip' })
const store = useDefects()
const photos = usePhotos()
const { units } = storeToRefs(useWorkshop())
const { minute: now } = useClock()

const ANY = 'any'
const filter = reactive({
  kind: ANY as DefectKind | typeof ANY,
  material: ANY,
  status: ANY as ListedDefect['status'] | typeof ANY,
  cause: ANY,
})
const asked = computed(() => Object.fromEntries(Object.entries(filter).filter(([, value]) => value !== ANY)) as DefectQuery)
const all = ref<ListedDefect[]>([])
const next = ref<string | null>(null)
async function page(after?: string) {
  const read = await api('GET /api/defects', { query: { ...asked.value, ...(after ? { after } : {}) } })
  all.value = after ? [...all.value, ...read.defects] : read.defects
  next.value = read.next
}
const { failed, loaded, again } = useLoad(() => Promise.all([page(), store.load()]))
watch(asked, again)

const nameOf = (kind: DefectKind) => catalogue.find(row => row.kind === kind)?.name ?? kind
const causeWords = (id: string) =>
  id === OTHER ? 'Something else' : id === 'not known' ? 'Not known' : (causes.find(cause => cause.id === id)?.says ?? id)
const STATUS: Record<ListedDefect['status'], string> = { open: 'Open', mending: 'Being mended', mended: 'Mended', left: 'Left as it is' }
/** Choices by what they are called. */
function choices(any: string, rows: readonly { value: string, label: string }[]) {
  const sorted = [...rows].sort((a, b) => a.label.localeCompare(b.label, 'en'))
  return [{ label: any, value: ANY }, ...sorted]
}
const kinds = choices('Every kind', catalogue.map(({ kind, name }) => ({ value: kind, label: name })))
const woods = choices('Every material', materials.map(({ id, name }) => ({ value: id, label: name })))
const states = choices('Open or over', Object.entries(STATUS).map(([value, label]) => ({ value, label })))
const judged = computed(() => {
  const known = causes.filter(cause => filter.kind === ANY || cause.kind === filter.kind)
  return choices('Every cause', known.map(({ id, says }) => ({ value: id, label: says })))
})
watch(() => filter.kind, () => {
  filter.cause = ANY
})
const filtered = computed(() => Object.values(filter).some(value => value !== ANY))
function clear() {
  Object.assign(filter, { kind: ANY, material: ANY, status: ANY, cause: ANY })
}
/** How each way to mend has gone so far. */
const record = computed(() => [...store.history.ways].sort((a, b) => b.worked + b.failed - a.worked - a.failed).slice(0, 6))
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Looking the defects up ...</p>
  <div v-else class="defects figures">
    <header>
      <h1>Defects</h1>
      <NuxtLink class="key" to="/pens">All pens</NuxtLink>
    </header>
    <section v-if="!all.length && !filtered" class="empty sheet">
      <h2>No defect yet</h2>
      <p>What goes wrong at the bench is noted there with <kbd>w</kbd>, and gathers here: what it was, why, and what mended it.</p>
    </section>
    <template v-else>
      <div class="filters">
        <UFormField label="Kind"><USelect v-model="filter.kind" :items="kinds" size="lg" /></UFormField>
        <UFormField label="Material"><USelect v-model="filter.material" :items="woods" size="lg" /></UFormField>
        <UFormField label="Outcome"><USelect v-model="filter.status" :items="states" size="lg" /></UFormField>
        <UFormField label="Cause"><USelect v-model="filter.cause" :items="judged" size="lg" /></UFormField>
        <button v-if="filtered" type="button" class="key" @click="clear">Show all</button>
      </div>
      <p v-if="!all.length" class="quiet" role="status">No defect fits: show all, or choose otherwise.</p>
      <ul v-else class="rows sheet" aria-label="Defects">
        <li v-for="one in all" :key="one.id">
          <DefectPicture :kind="one.kind" class="drawn" />
          <div class="what">
            <p>
              <b>{{ nameOf(one.kind) }}</b>, {{ units.length(one.size, one.size < 1 ? 2 : 1) }} ·
              <NuxtLink :to="`/pens/${one.pen.id}/record`">{{ one.pen.mark }} {{ one.pen.name }}</NuxtLink>
            </p>
            <PenStrip
              class="strip" :fitting="one.fitting" :colour="one.material.colour" :resin="one.material.resin" :defects="[one]"
              :label="`${barrelNames[one.barrel]}, ${units.length(one.fromTip, 1)} from its tip end`"
            />
            <p class="quiet">
              {{ barrelNames[one.barrel] }}, {{ units.length(one.fromTip, 1) }} from its tip end ·
              {{ clockTime(one.at, now) }}{{ one.found ? `, at: ${one.found}` : '' }}
            </p>
          </div>
          <div class="how">
            <p><b :class="{ harm: one.status === 'open' }">{{ one.status === 'open' ? '◆ ' : '' }}{{ STATUS[one.status] }}</b></p>
            <p v-if="one.judged">{{ causeWords(one.judged) }}</p>
            <p v-if="one.mends.length" class="quiet">
              {{ one.mends.map(mend => mend.way + (mend.failed ? ' (did not hold)' : '')).join(', then ') }}
            </p>
          </div>
          <span class="photos">
            <a v-for="photo in one.photos" :key="photo" :href="photos.urlOf(photo, 'large')" target="_blank" rel="noopener">
              <img :src="photos.urlOf(photo)" :alt="`${nameOf(one.kind)} on ${one.pen.mark}, opens large`">
            </a>
          </span>
        </li>
      </ul>
      <p v-if="next"><button type="button" class="key" @click="page(next)">Show older ones</button></p>
      <section v-if="record.length" aria-labelledby="record">
        <h2 id="record">How mends have gone</h2>
        <ul class="quiet">
          <li v-for="one in record" :key="one.kind + one.way">
            {{ nameOf(one.kind) }}, {{ one.way }}: {{ one.worked }} of {{ one.worked + one.failed }} held
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.defects { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.9rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.4rem 1rem; }
header .key { margin-left: auto; align-self: center; }
.filters { display: flex; flex-wrap: wrap; gap: 0.4rem 1rem; align-items: end; }
.filters > :deep(*) { min-width: 10rem; }
.rows li {
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 1fr) minmax(0, 16rem) auto;
  gap: 0.3rem 1.2rem;
  align-items: center;
  padding: 0.7rem 1rem;
}
.rows li + li { border-top: 1px solid var(--line); }
.strip { max-width: 22rem; margin: 0.2rem 0; }
.what a { text-decoration: underline; text-underline-offset: 3px; }
.photos { display: flex; gap: 0.4rem; }
.photos img { height: 56px; border-radius: 6px; }
.empty { display: grid; gap: 0.6rem; padding: 1.25rem; max-width: 44rem; }
h2 { margin-bottom: 0.3rem; }
@media (max-width: 820px) { .rows li { grid-template-columns: 4.5rem minmax(0, 1fr); } .how, .photos { grid-column: 2; } }
</style>
