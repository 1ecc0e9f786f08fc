<script setup lang="ts">
import { counted, share } from '#core/format'
import { boardYield, cutSticks, usualCut } from '#core/barrel'
import { tears } from '#core/shelf'
import { materialOf, materials } from '#reference'
import { MOST_AT_ONCE, type BlankInput } from '#schemas'

/** How many pens a board gives, one of the shelf or one that is measured here; cut, its sticks go on the shelf. */
const stock = useStock()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const { query } = useRoute()

const HERE = 'measured here'
const WAY = { along: 'Along the grain', across: 'Across the grain' }
/** A square section of sticks that gives most fittings room, mm [trade: blanks are sold 19 to 20 mm square]. */
const SECTION = 19

const board = reactive({
  length: 300 as number | null,
  width: 100 as number | null,
  thickness: 20 as number | null,
  section: null as number | null,
  fitting: '',
})
/** What the board is of, and how many pens are begun with it at once. */
const wood = ref('')
const pensNow = ref(0)
const which = ref(HERE)
const from = computed(() => stock.boards.find(one => one.id === which.value))
const boards = computed(() => [
  { label: 'One measured here', value: HERE },
  ...stock.boards.filter(one => one.count > 0).map(one => ({ label: `${one.name}, ${one.count} there`, value: one.id })),
])
function choose(id: string) {
  which.value = id
  const one = from.value
  if (one) Object.assign(board, { length: one.length, width: one.width, thickness: one.height })
}
watch(() => stock.boards.length, () => {
  if (typeof query.board === 'string' && which.value === HERE) choose(stock.boards.some(one => one.id === query.board) ? query.board : HERE)
}, { immediate: true })

const fittings = computed(() => (stock.fittings ?? []).map(one => ({ label: one.fitting.name, value: one.fitting.id })))
const woods = materials.map(one => ({ label: one.name, value: one.id }))
const fitting = computed(() => stock.fitting(board.fitting)?.fitting ?? stock.fittings?.[0]?.fitting)
const isSize = (mm: number | null): mm is number => mm !== null && mm > 0 && mm <= 5000
const faultOf = (mm: number | null) =>
  mm !== null && !Number.isNaN(mm) && !isSize(mm) ? 'Should be above 0 and up to 5 m.' : undefined
const section = computed(() => board.section ?? SECTION)
const material = computed(() => (from.value ? materialOf(from.value) : materials.find(one => one.id === wood.value)))
const cut = computed(() =>
  fitting.value && cutSticks(fitting.value, usualCut(material.value ? tears(material.value) : false, {
    perEnd: workshop.workshop?.perEnd, kerf: workshop.workshop?.kerf,
  })))
const ways = computed(() => {
  const { length, width, thickness } = board
  if (!cut.value || !isSize(length) || !isSize(width) || !isSize(thickness) || !isSize(section.value)) return undefined
  return boardYield({ length, width, thickness }, { length: cut.value.total.value, section: section.value, kerf: cut.value.kerf })
})
const best = computed(() => (ways.value?.[0].pens ? ways.value[0] : undefined))
/** So many are begun at once where the board gives them: people who make many make about ten [trade]. */
const AT_ONCE = 10
watch(() => best.value?.pens ?? 0, (most, before) => {
  pensNow.value = Math.min(before ? pensNow.value : AT_ONCE, most)
}, { immediate: true })

const sending = ref(false)
const trouble = ref('')
/** What the sticks are: of the board of the shelf they keep the wood, its story and its dryness. */
function kindOf(): Pick<BlankInput, 'name' | 'material' | 'species' | 'classes' | 'origin' | 'damp' | 'photo' | 'cutFrom'> | undefined {
  const one = from.value
  if (one) {
    const { material: of, species, classes, origin, damp, photo } = one
    return { name: `${one.name}, sticks`.slice(0, 80), material: of, species, classes, origin, damp, photo, cutFrom: one.id }
  }
  const plain = materials.find(row => row.id === wood.value)
  return plain && {
    name: `${plain.name}, from a board`, material: plain.id === 'unknown' ? null : plain.id as BlankInput['material'],
    species: null, classes: [], origin: null, damp: false, photo: null,
  }
}
/** All sticks go on the shelf; the pens that are started are cut from them. */
async function takeSticks() {
  const [way, pieces, chosen, kind, pens] = [best.value, cut.value, fitting.value, kindOf(), pensNow.value]
  if (!way || !pieces || !chosen) return
  if (!kind) {
    trouble.value = 'Say what wood the board is of.'
    return
  }
  sending.value = true
  trouble.value = ''
  try {
    const blank = await stock.keepBlank(null, {
      ...kind, width: section.value, height: section.value, length: pieces.total.value, count: way.pens,
    })
    await navigateTo(pens ? `/pens/new?blank=${blank.id}&fitting=${chosen.id}&count=${pens}` : '/shelf/blanks')
  } catch (error) {
    const answer = refused(error)
    trouble.value = Object.values(answer.fields)[0] ?? answer.message
  } finally {
    sending.value = false
  }
}
</script>

<template>
  <section class="sheet" aria-labelledby="board">
    <h2 id="board">How many pens does a board give?</h2>
    <div class="fields six filled">
      <UFormField label="Board">
        <USelect :model-value="which" size="xl" :items="boards" @update:model-value="choose(String($event))" />
      </UFormField>
      <FieldMeasure v-model="board.length" label="Length, with the grain" :error="faultOf(board.length)" />
      <FieldMeasure v-model="board.width" label="Width" :error="faultOf(board.width)" />
      <FieldMeasure v-model="board.thickness" label="Thickness" :error="faultOf(board.thickness)" />
      <FieldMeasure
        v-model="board.section" label="Square section" :placeholder="units.length(SECTION, 0)" :error="faultOf(board.section)"
      />
      <UFormField label="Fitting">
        <USelect :model-value="fitting?.id" size="xl" :items="fittings" @update:model-value="board.fitting = String($event)" />
      </UFormField>
    </div>
    <div v-if="ways" class="scrolls" tabindex="0" role="group" aria-label="Both ways of laying">
      <table>
        <thead>
          <tr>
            <th scope="col">Laid</th>
            <th scope="col">Pens</th>
            <th scope="col">Strips</th>
            <th scope="col">In each strip</th>
            <th scope="col">Layers</th>
            <th scope="col">Left at the end</th>
            <th scope="col">Left beside</th>
            <th scope="col">Waste</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(way, index) in ways" :key="way.way" :class="{ best: index === 0 && way.pens }">
            <th scope="row">{{ WAY[way.way] }}</th>
            <td>{{ way.pens }}</td>
            <td>{{ way.strips }}</td>
            <td>{{ way.perStrip }}</td>
            <td>{{ way.layers }}</td>
            <td>{{ units.length(way.over.end, 0) }}</td>
            <td>{{ units.length(way.over.side, 0) }}</td>
            <td>{{ share(way.waste) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="ways?.[0].hair" class="hair">
      With {{ units.length(ways[0].hair.less, 2) }} less in the section it gives one strip more:
      {{ counted(ways[0].hair.pens, 'pen') }} more.
    </p>
    <div v-if="best" class="fields three filled">
      <UFormField label="The board is of" :error="trouble || undefined">
        <UInput v-if="from" :model-value="material?.name" size="xl" readonly />
        <USelect v-else v-model="wood" size="xl" :items="woods" placeholder="Choose a wood" />
      </UFormField>
      <UFormField label="Pens to start with it now">
        <UInputNumber v-model="pensNow" size="xl" :min="0" :max="Math.min(best.pens, MOST_AT_ONCE)" />
      </UFormField>
      <p class="taking">
        <button type="button" class="key" :disabled="sending" @click="takeSticks">
          {{ counted(best.pens, 'stick') }}: {{ counted(pensNow, 'pen') }}, {{ counted(best.pens - pensNow, 'blank') }} to the shelf
        </button>
      </p>
    </div>
    <p v-if="ways && !ways[0].pens" class="harm">◆ This board gives no pen: it is shorter, narrower or thinner than one stick.</p>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; align-content: start; padding: 0.9rem 1.1rem 1rem; min-width: 0; }
.fields { display: grid; gap: 0 1rem; }
.three { grid-template-columns: repeat(3, minmax(0, 1fr)); }
.six { grid-template-columns: minmax(0, 1.5fr) repeat(4, minmax(0, 1fr)) minmax(0, 1.5fr); }
.fields > :deep(*) { min-height: 6.1rem; }
.taking { padding-top: 1.45rem; }
.scrolls { overflow-x: auto; min-width: 0; }
table { border-collapse: collapse; }
th, td { padding: 0.35rem 1.2rem 0.35rem 0; text-align: left; }
thead th { color: var(--ink-2); font-weight: 500; }
.best th, .best td { font-weight: 700; }
@media (max-width: 1000px) {
  .six, .three { grid-template-columns: repeat(2, minmax(0, 1fr)); }
  .taking { grid-column: 1 / -1; min-height: 0; padding: 0; }
}
</style>
