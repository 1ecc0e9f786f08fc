<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { formatSpan } from '#core/format'
import { finishLooks, lookOf, rankedMethods, type FinishFamily, type FinishLook } from '#core/method'

useHead({ title: 'Methods · Oxlip' })
const methods = useMethods()
const workshop = useWorkshop()
const { failed, loaded, again } = useLoad(() => Promise.all([methods.load(), workshop.load()]))
const { chosen, material, fitting, figuresFor } = useSample()

/** The sample a moment after it was last changed, so that the slider stays smooth. */
const sample = refDebounced(
  computed(() => JSON.stringify(chosen.value)),
  200,
)
/** By what a turner looks for, what suits first; the first that suits is the answer. */
const groups = computed(() => {
  if (!sample.value || !fitting.value) return []
  const ranked = rankedMethods(methods.methods ?? [], material.value).flatMap(({ method, verdict, reasons }) => {
    const figures = figuresFor(method)
    return figures ? [{ method, figures, suits: { verdict, reasons } }] : []
  })
  const siblings = (family: FinishFamily) => ranked.filter(one => one.method.family === family).length
  return finishLooks
    .map((look) => {
      const all = ranked.filter(one => lookOf(one.method) === look).map(one => ({ ...one, siblings: siblings(one.method.family) }))
      return {
        look,
        name: LOOKS[look],
        good: all.filter(one => one.suits.verdict !== 'does not suit'),
        poor: all.filter(one => one.suits.verdict === 'does not suit'),
      }
    })
    .filter(group => group.good.length || group.poor.length)
})
const LOOKS: Record<FinishLook, string> = { film: 'A film that stands on it', near: 'Close to the wood', bare: 'Itself, polished' }

const picked = ref<string[]>([])
/** Two are compared; a third takes the place of the first. */
function pick(id: string) {
  picked.value = picked.value.includes(id) ? picked.value.filter(one => one !== id) : [...picked.value, id].slice(-2)
}
const nameOf = (id: string) => methods.method(id)?.name ?? ''
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="groups.length" class="methods figures">
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
    <section v-for="group in groups" :key="group.look" :aria-labelledby="`look-${group.look}`" class="look">
      <h2 :id="`look-${group.look}`">{{ group.name }}</h2>
      <p v-if="group.good[0]" class="answer">
        <span class="quiet">On {{ material.name.toLowerCase() }} first:</span> <b>{{ group.good[0].method.name }}</b>,
        {{ filmWords(group.good[0].method, group.good[0].figures) }}, {{ formatSpan(group.good[0].figures.finishing.value) }} hands on
      </p>
      <p v-else class="quiet">Nothing of this suits {{ material.name.toLowerCase() }}.</p>
      <div v-if="group.good.length" class="cards">
        <FinishCard
          v-for="one in group.good" :key="one.method.id" :method="one.method" :figures="one.figures" :suits="one.suits"
          :siblings="one.siblings" :picked="picked.includes(one.method.id)" @pick="pick(one.method.id)"
        />
      </div>
      <details v-if="group.poor.length">
        <summary class="opens">
          {{ group.poor.length }} that {{ group.poor.length === 1 ? 'does' : 'do' }} not suit {{ material.name.toLowerCase() }}:
          {{ group.poor.map(one => one.method.name).join(', ') }}
        </summary>
        <div class="cards">
          <FinishCard
            v-for="one in group.poor" :key="one.method.id" :method="one.method" :figures="one.figures" :suits="one.suits"
            :siblings="one.siblings" :picked="picked.includes(one.method.id)" @pick="pick(one.method.id)"
          />
        </div>
      </details>
    </section>
  </div>
  <p v-else class="quiet" role="status">Looking at the methods ...</p>
</template>

<style scoped>
.methods { display: grid; gap: 0.9rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.2rem 1.2rem; }
header p { flex: 1 1 20rem; }
.cards { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 17.5rem), 1fr)); gap: 0.9rem; }
.look { display: grid; gap: 0.5rem; }
.answer { font-size: 1.05rem; }
summary { color: var(--ink-2); }
.compare { display: flex; align-items: center; min-height: 48px; }
</style>
