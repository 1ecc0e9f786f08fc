<script setup lang="ts">
import { materialOf } from '#reference'

useHead({ title: 'Blanks · Oxlip' })
const stock = useStock()
const { units } = storeToRefs(useWorkshop())
const { failed, loaded, again } = useLoad(stock.load)

const rows = computed(() =>
  (stock.blanks ?? []).map((blank) => {
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
  }),
)
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="stock.blanks" class="blanks figures">
    <header>
      <h1>Blanks</h1>
      <p class="quiet">What is not known stays empty: a plan then says what it took for it. The story of the wood goes with the pen.</p>
      <NuxtLink class="key" to="/shelf/blanks/new">Add a blank</NuxtLink>
    </header>
    <section v-if="!rows.length" class="sheet empty">
      <p>No blanks on the shelf yet. Add one and a plan checks its size, dries it if it is damp, and keeps its story.</p>
    </section>
    <ul v-else>
      <li v-for="{ blank, material, size } in rows" :key="blank.id" class="sheet">
        <img v-if="blank.photo" :src="addressHere(`/api/photos/${blank.photo}?size=small`)" alt="" width="72" height="72">
        <span v-else class="chip" :style="{ background: material.colour }" aria-hidden="true" />
        <div>
          <h2><NuxtLink :to="`/shelf/blanks/${blank.id}`">{{ blank.name }}</NuxtLink></h2>
          <p class="quiet">
            <b :class="{ harm: !blank.count }">{{ blank.count ? `${blank.count} there` : 'none left' }}</b> ·
            {{ material.name }}<template v-if="material.classes.length">, {{ material.classes.join(', ') }}</template> · {{ size }}
          </p>
          <ShelfDryness :blank="blank" />
        </div>
      </li>
    </ul>
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
h2 { font-size: 1.15rem; }
h2 a { text-decoration: underline; text-decoration-color: var(--line); text-underline-offset: 4px; }
</style>
