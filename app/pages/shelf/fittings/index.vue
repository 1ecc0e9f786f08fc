<script setup lang="ts">
useHead({ title: 'Fittings · Oxlip' })
const stock = useStock()
const { units } = storeToRefs(useWorkshop())
const toast = useToast()
const { failed, loaded, again } = useLoad(stock.load)

const bit = ref<number | null>(null)
const bitFault = ref('')
const tell = (error: unknown) => toast.add({ title: refused(error).message, color: 'error' })

async function count(diameter: number, many: number, there = true) {
  try {
    await stock.countBit({ diameter, count: Math.max(0, Math.min(100, many)), there })
  } catch (error) {
    tell(error)
  }
}
async function addBit() {
  const found = errorsOfBit(bit.value)
  bitFault.value = found
  if (found || bit.value === null) return
  const known = stock.bits?.find(one => one.diameter === bit.value)
  await count(bit.value, (known?.count ?? 0) + 1)
  bit.value = null
}
function errorsOfBit(diameter: number | null): string {
  if (diameter === null) return 'Type its diameter, like 7 mm or 3/8 in.'
  if (!(diameter > 0 && diameter <= 40)) return 'Should be above 0 and up to 40 mm.'
  return ''
}
const SAYS = { 'there': 'bushings there', 'missing': 'no bushings', 'not known': 'bushings not known' }
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="stock.fittings && stock.bits" class="fittings figures">
    <header>
      <h1>Fittings and bits</h1>
      <p class="quiet">Measured once, used for every pen. A new pen takes its lengths, bits and diameters from here.</p>
      <NuxtLink class="key" to="/shelf/fittings/new">Add a fitting</NuxtLink>
    </header>
    <p v-if="!stock.fittings.length" class="sheet empty">No fitting on the shelf yet. Measure one: its tube, and the metal at both ends.</p>
    <ul v-else class="rows">
      <li v-for="one in stock.fittings" :key="one.fitting.id" class="sheet">
        <div class="words">
          <h2><NuxtLink :to="`/shelf/fittings/${one.fitting.id}`">{{ one.fitting.name }}</NuxtLink></h2>
          <p class="quiet">
            <b :class="{ harm: !one.sets }">{{ one.sets ? `${one.sets} there` : 'none there' }}</b> · {{ SAYS[one.bushings] }} · bit
            {{ [...new Set(one.fitting.barrels.map(barrel => units.length(barrel.bit ?? one.fitting.bit, 1)))].join(' and ') }} · tube
            {{ one.fitting.barrels.map(barrel => units.length(barrel.tubeLength, 1)).join(' and ') }}
          </p>
          <p class="do">
            <NuxtLink :to="`/shelf/fittings/${one.fitting.id}`">Edit</NuxtLink>
            <NuxtLink :to="`/shelf/fittings/new?like=${one.fitting.id}`">Copy</NuxtLink>
          </p>
        </div>
        <PenStrip :fitting="one.fitting" colour="#b8a98c" size="work" :label="`${one.fitting.name}, to scale`" />
      </li>
    </ul>
    <section class="sheet bits" aria-labelledby="bits">
      <h2 id="bits">Drill bits</h2>
      <p v-if="!stock.bits.length" class="quiet">None counted yet. Pens then ask for theirs in the parts check.</p>
      <ul>
        <li v-for="one in stock.bits" :key="one.diameter">
          <b>{{ units.length(one.diameter, 2) }}</b>
          <button
            type="button" class="count" :aria-label="`One ${units.length(one.diameter)} bit less`" :disabled="!one.count"
            @click="count(one.diameter, one.count - 1)"
          >
            −
          </button>
          <span :class="{ harm: !one.count }">{{ one.count }}</span>
          <button
            type="button" class="count" :aria-label="`One ${units.length(one.diameter)} bit more`"
            @click="count(one.diameter, one.count + 1)"
          >
            +
          </button>
          <button v-if="!one.count" type="button" class="forget" @click="count(one.diameter, 0, false)">forget</button>
        </li>
      </ul>
      <form novalidate @submit.prevent="addBit">
        <FieldMeasure v-model="bit" label="A bit more" :error="bitFault" :placeholder="units.bare === 'mm' ? '7 mm' : '3/8 in'" />
        <button type="submit" class="key">Put it on the shelf</button>
      </form>
    </section>
  </div>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.fittings { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
header p { flex: 1 1 20rem; }
.empty { padding: 1rem 1.2rem; }
.rows { display: grid; gap: 0.7rem; }
.rows li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 24rem);
  gap: 1.2rem;
  align-items: center;
  padding: 0.7rem 1.1rem;
}
.rows a { text-decoration: underline; text-decoration-color: var(--line); text-underline-offset: 4px; }
.do { display: flex; gap: 1rem; }
.do a { display: inline-grid; align-items: center; min-height: 32px; color: var(--leaf); }
.bits { display: grid; gap: 0.6rem; padding: 0.9rem 1.1rem 1rem; }
.bits ul { display: flex; flex-wrap: wrap; gap: 0.4rem 2rem; }
.bits li { display: flex; align-items: center; gap: 0.6rem; }
.count { width: 44px; height: 44px; border: 2px solid var(--line); border-radius: 8px; font-size: 1.3rem; line-height: 1; cursor: pointer; }
.count:hover:not(:disabled) { border-color: var(--ink-2); }
.count:disabled { opacity: 0.4; }
.forget { min-height: 44px; text-decoration: underline; color: var(--leaf); cursor: pointer; }
form { display: flex; flex-wrap: wrap; gap: 0.8rem; align-items: flex-start; min-height: 6rem; }
form .key { margin-top: 1.75rem; }
@media (max-width: 820px) { .rows li { grid-template-columns: minmax(0, 1fr); } }
</style>
