<script setup lang="ts">
import { materialOf } from '#reference'
import type { ShelfBlank } from '#contract'

useHead({ title: 'Blanks · Oxlip' })
const stock = useStock()
const { units } = storeToRefs(useWorkshop())
const { failed, loaded, again } = useLoad(stock.load)

const sorts = computed(() => [
  { name: 'Sticks', rows: rowsOf(stock.sticks) }, { name: 'Boards', rows: rowsOf(stock.boards) },
].filter(one => one.rows.length))
const rowsOf = (blanks: readonly ShelfBlank[]) =>
  blanks.map((blank) => {
    const material = materialOf(blank)
    const section
      = blank.width === null && blank.height === null
        ? 'thickness not known'
        : `${[blank.width, blank.height]
          .filter(side => side !== null)
          .map(side => units.value.length(side, 0))
          .join(' × ')}`
    return {
      blank,
      material,
      size: `${section}, ${blank.length === null ? 'length not known' : `${units.value.length(blank.length, 0)} long`}`,
    }
  })
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="stock.blanks" class="blanks figures">
    <header>
      <h1>Blanks</h1>
      <p class="quiet">What is not known stays empty: a plan then says what it took for it. The story of the wood goes with the pen.</p>
      <NuxtLink class="key" to="/shelf/blanks/new">Add a blank</NuxtLink>
      <NuxtLink class="key" to="/shelf/blanks/new?board=1">Add a board</NuxtLink>
    </header>
    <section v-if="!sorts.length" class="sheet empty">
      <p>No blanks on the shelf yet. Add one and a plan checks its size, dries it if it is damp, and keeps its story.</p>
    </section>
    <section v-for="sort in sorts" :key="sort.name" class="sort" :aria-label="sort.name">
      <h2 v-if="stock.boards.length">{{ sort.name }}</h2>
      <ul>
        <li v-for="{ blank, material, size } in sort.rows" :key="blank.id" class="sheet">
          <img v-if="blank.photo" :src="addressHere(`/api/photos/${blank.photo}?size=small`)" alt="" width="72" height="72">
          <span v-else class="chip" :style="{ background: material.colour }" aria-hidden="true" />
          <div>
            <h3><NuxtLink :to="`/shelf/blanks/${blank.id}`">{{ blank.name }}</NuxtLink></h3>
            <p class="quiet">
              <b :class="{ harm: !blank.count }">{{ blank.count ? `${blank.count} there` : 'none left' }}</b> ·
              {{ material.name }}<template v-if="material.classes.length">, {{ material.classes.join(', ') }}</template> · {{ size }}
            </p>
            <ShelfDryness :blank="blank" />
            <NuxtLink v-if="blank.board && blank.count" class="cut" :to="`/shelf/cutting?board=${blank.id}#board`">
              Cut sticks from it
            </NuxtLink>
          </div>
        </li>
      </ul>
    </section>
  </div>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.blanks { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
header p { flex: 1 1 20rem; }
.empty { padding: 1rem 1.2rem; }
ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 27rem), 1fr)); gap: 0.7rem; }
li { display: grid; grid-template-columns: 72px minmax(0, 1fr); gap: 1rem; align-items: start; padding: 0.8rem 1rem; }
img, .chip { width: 72px; height: 72px; border-radius: 6px; object-fit: cover; }
h3 { font-size: 1.15rem; font-family: var(--font-head); }
.sort { display: grid; gap: 0.5rem; }
.cut { display: inline-grid; align-items: center; min-height: 40px; color: var(--leaf); text-decoration: underline; }
h3 a { text-decoration: underline; text-decoration-color: var(--line); text-underline-offset: 4px; }
</style>
