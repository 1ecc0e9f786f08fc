<script setup lang="ts">
useHead({ title: 'What was learnt · Findings · Oxlip' })
const workshop = useWorkshop()
const stock = useStock()
const store = useFindings()
const { learnt: told, course } = storeToRefs(store)
const { failed, loaded, again } = useLoad(async () => {
  await Promise.all([store.loadLearnt(), stock.load(), workshop.shelf ? undefined : workshop.load()])
  // How it moved is worked out anew each time: the figures do not wait for it, and stand without it.
  void store.loadCourse().catch(() => undefined)
})
const names = computed(() => ({
  product: (id: string) => workshop.shelf?.products.find(one => one.id === id)?.name ?? id,
  fitting: (id: string) => stock.fittings?.find(one => one.fitting.id === id)?.fitting.name ?? id,
  units: workshop.units,
}))
const groups = computed(() => (told.value ? learntGroups(told.value, names.value) : []))
const moved = computed(() => (told.value && course.value ? movedOf(groups.value, course.value, told.value, names.value) : undefined))
const known = computed(() => groups.value
  .filter(one => one.rows.length)
  .map(one => ({ ...one, rows: one.rows.map(row => ({ ...row, moved: moved.value?.get(row.what) })) })))
const unknown = computed(() => groups.value.filter(one => !one.rows.length))
const isAside = (what: string) => told.value?.aside.includes(what) ?? false
const says = (what: string) => (isAside(what) ? 'Take in again' : 'Set aside')
const trouble = ref('')
async function change(what: string) {
  trouble.value = ''
  try {
    await store.setAside({ what, aside: !isAside(what) })
    await workshop.learn()
  } catch (error) {
    trouble.value = refused(error).message
  }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!told" class="quiet" role="status">Fetching what was learnt ...</p>
  <div v-else class="learnt figures">
    <header>
      <h1>What Oxlip learnt of you</h1>
      <p class="quiet"><NuxtLink to="/findings">All findings</NuxtLink></p>
    </header>
    <p>
      Plans, waits and evenings are worked out with these. What you set aside counts for nothing: the usual figure holds until you take it
      in again.
    </p>
    <p v-if="trouble" class="harm" role="alert">{{ trouble }}</p>
    <section v-for="group in known" :key="group.title" class="sheet" :aria-label="group.title">
      <h2>{{ group.title }}</h2>
      <p class="quiet">{{ group.says }}</p>
      <div class="scrolls" tabindex="0" role="region" :aria-label="`${group.title}, the figures`">
        <table>
          <thead>
            <tr>
              <th v-for="head in ['What', 'Yours', 'Range', 'How it moved', 'From', 'Usual']" :key="head" scope="col">{{ head }}</th>
              <td />
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in group.rows" :key="row.what" :class="{ aside: isAside(row.what) }">
              <th scope="row">{{ row.label }}</th>
              <td class="value">{{ row.value }}</td>
              <td>{{ row.range }}</td>
              <td><FindingsMoved v-if="row.moved" :moved="row.moved" /></td>
              <td>{{ row.from }}</td>
              <td class="usual">{{ row.usual }}</td>
              <td class="act">
                <button type="button" :aria-label="`${says(row.what)}: ${row.label}`" @click="change(row.what)">
                  {{ says(row.what) }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <p v-if="unknown.length" class="quiet">
      Nothing is known yet of: {{ unknown.map(one => one.title.toLowerCase()).join(', ') }}. It comes from what you enter at the bench.
    </p>
  </div>
</template>

<style scoped>
.learnt { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.4rem 1.2rem; }
section { padding: 1rem 1.1rem 0.5rem; }
.scrolls { overflow-x: auto; }
table { width: 100%; min-width: 46rem; border-collapse: collapse; table-layout: fixed; }
th, td { padding: 0.3rem 0.8rem 0.3rem 0; text-align: left; }
th:first-child { width: 20%; }
thead th:nth-child(4) { width: 22%; }
thead th { font-weight: 400; color: var(--ink-2); }
tbody tr > * { border-top: 1px solid var(--line); }
tbody th { font-weight: 500; }
.value { font-weight: 700; }
.aside .value { font-weight: 400; text-decoration: line-through; }
.aside .usual { font-weight: 700; }
.act { text-align: right; }
.act button { min-height: 40px; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
</style>
