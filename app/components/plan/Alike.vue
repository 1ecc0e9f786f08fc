<script setup lang="ts">
import type { AlikePen } from '#contract'
import { capital, counted, formatSpan, list } from '#core/format'

/** Pens of the log that are like this one: what was done on each, what went wrong, how it turned out. */
const store = usePen()
const workshop = useWorkshop()
const methods = useMethods()
const toast = useToast()
const attempt = useChanging()
const { pen, plan, state } = storeToRefs(store)
const found = shallowRef<AlikePen[]>()
const { failed, again } = useInsist(async () => {
  const id = pen.value?.id
  if (!id) return
  const [told] = await Promise.all([api('GET /api/pens/:id/alike', { params: { id } }), methods.load()])
  found.value = told
})
watch(() => pen.value?.version, () => void again(), { immediate: true })

const opened = ref<string>()
const apartWords = ({ apart }: AlikePen) =>
  apart.length ? `otherwise in ${list(apart.map(one => byLabel(one.trait)))}` : 'made as this one is going to be'
const outcome = ({ finished, scrapped, defects, mends, failed }: AlikePen) => [
  finished ? 'finished' : 'given up', ...(scrapped && finished ? ['after a new blank'] : []),
  defects.length ? list(defects.map(one => ofLabel(one).toLowerCase())) : 'nothing went wrong',
  ...(failed ? [`${failed} of ${counted(mends, 'mend')} failed`] : []),
].join(' · ')
const done = ({ lastGrit, coats, minutes }: AlikePen) => [
  ...(lastGrit ? [`bare to ${lastGrit}`] : []), ...(coats ? [counted(Number(coats), 'coat')] : []),
  ...(minutes === null ? [] : [`${formatSpan(60 * minutes)} of hands`]),
].join(' · ')

/** Ladder, method and size of that pen, with what is here. */
async function makeLike(one: AlikePen) {
  const [own, shelf] = [plan.value, workshop.shelf]
  if (!own || !shelf) return
  await attempt(async () => {
    const { plan: other } = await api('GET /api/pens/:id', { params: { id: one.id } })
    if (!other) throw new Error('no plan')
    const { method, sizing, missing } = likeThat(own, other, shelf, methods.methods ?? [])
    await store.change({ method, sizing })
    toast.add({
      title: `Made like ${one.mark}. The plan follows.`,
      ...(missing.length ? { description: `Not here, and done without: ${list(missing)}.` } : {}),
    })
  })
}
</script>

<template>
  <section class="sheet figures" aria-labelledby="alike">
    <h2 id="alike">Pens like this one</h2>
    <ShellTrouble v-if="failed && !found" :refused="failed" @again="again" />
    <p v-else-if="!found" class="quiet" role="status">Looking through the log ...</p>
    <p v-else-if="!found.length" class="quiet">No pen is over yet that could be compared with it.</p>
    <ul v-else>
      <li v-for="one in found" :key="one.id">
        <NuxtLink :to="`/pens/${one.id}/record`"><PenTag :mark="one.mark" /> <b>{{ one.name }}</b></NuxtLink>
        <span>{{ done(one) }}</span>
        <span :class="{ harm: one.scrapped }">{{ outcome(one) }}</span>
        <span class="quiet">
          <button
            v-if="one.apart.length" type="button" :aria-expanded="opened === one.id"
            @click="opened = opened === one.id ? undefined : one.id"
          >{{ apartWords(one) }}</button>
          <template v-else>{{ apartWords(one) }}</template>
        </span>
        <button v-if="!state?.finished" type="button" class="key" :aria-label="`Make it like ${one.mark}`" @click="makeLike(one)">
          Make it like that one
        </button>
        <ul v-if="opened === one.id" class="apart">
          <li v-for="part in one.apart" :key="part.trait">
            {{ capital(byLabel(part.trait)) }}: <b>{{ part.there ?? 'not known' }}</b> <span class="quiet">counts {{ part.by }}</span>
          </li>
        </ul>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.5rem; padding: 1rem 1.1rem; }
section > ul > li {
  display: grid; gap: 0.2rem 1rem;
  grid-template-columns: minmax(10rem, 1.2fr) minmax(9rem, 1.2fr) minmax(9rem, 1.3fr) minmax(9rem, 1.2fr) auto;
  align-items: center; padding: 0.3rem 0; border-top: 1px solid var(--line);
}
a { display: flex; align-items: center; gap: 0.6rem; min-height: 44px; color: var(--ink); }
li button:not(.key) { min-height: 40px; text-align: left; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
.key { min-height: 40px; padding: 0.3rem 0.7rem; }
.apart { grid-column: 1 / -1; display: flex; flex-wrap: wrap; gap: 0.1rem 1.4rem; padding-bottom: 0.4rem; }
@media (max-width: 900px) { section > ul > li { grid-template-columns: minmax(0, 1fr); padding-bottom: 0.7rem; } }
</style>
