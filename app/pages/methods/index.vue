<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { finishFamilies } from '#core/method'

useHead({ title: 'Methods · Oxlip' })
const methods = useMethods()
const workshop = useWorkshop()
const { failed, loaded, again } = useLoad(() => Promise.all([methods.load(), workshop.load()]))
const { chosen, fitting, figuresFor, suitsOf } = useSample()

/** The sample a moment after it was last changed, so that the slider stays smooth. */
const sample = refDebounced(
  computed(() => JSON.stringify(chosen.value)),
  200,
)
const families = computed(() => {
  if (!sample.value || !fitting.value) return []
  return finishFamilies
    .map(family => ({
      family,
      methods: (methods.methods ?? [])
        .filter(method => method.family === family)
        .flatMap((method) => {
          const figures = figuresFor(method)
          return figures ? [{ method, figures, suits: suitsOf(method) }] : []
        }),
    }))
    .filter(group => group.methods.length)
})
const all = computed(() => families.value.flatMap(group => group.methods.map(one => ({ ...one, siblings: group.methods.length }))))

const picked = ref<string[]>([])
/** Two are compared; a third takes the place of the first. */
function pick(id: string) {
  picked.value = picked.value.includes(id) ? picked.value.filter(one => one !== id) : [...picked.value, id].slice(-2)
}
const nameOf = (id: string) => methods.method(id)?.name ?? ''
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="all.length" class="methods figures">
    <header>
      <h1>Methods</h1>
      <p class="quiet">
        Every way of finishing, each with its picture at the end of its work. Open one to change its settings; plans made before keep
        theirs.
      </p>
    </header>
    <FinishSample />
    <p class="compare" role="status">
      <template v-if="picked.length === 2">
        <NuxtLink class="key next" :to="{ path: '/methods/compare', query: { a: picked[0], b: picked[1] } }">Compare
          {{ nameOf(picked[0]!) }} with {{ nameOf(picked[1]!) }}</NuxtLink>
      </template>
      <span v-else class="quiet">
        {{ picked[0] ? `${nameOf(picked[0])}: tick another to compare it with.` : 'Tick two to compare them.' }}
      </span>
    </p>
    <div class="cards">
      <FinishCard
        v-for="one in all" :key="one.method.id" :method="one.method" :figures="one.figures" :suits="one.suits" :siblings="one.siblings"
        :picked="picked.includes(one.method.id)" @pick="pick(one.method.id)"
      />
    </div>
  </div>
  <p v-else class="quiet" role="status">Looking at the methods ...</p>
</template>

<style scoped>
.methods { display: grid; gap: 0.9rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.2rem 1.2rem; }
header p { flex: 1 1 20rem; }
.cards { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 17.5rem), 1fr)); gap: 0.9rem; }
.compare { display: flex; align-items: center; min-height: 48px; }
</style>
