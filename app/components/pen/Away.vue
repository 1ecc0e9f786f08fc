<script setup lang="ts">
import type { BenchState } from '#core/bench'

/** A pen that leaves the bench for a while or for good, with its reason, or comes back to it. */
const open = defineModel<boolean>('open', { default: false })
const props = defineProps<{ state: BenchState }>()
const store = usePen()
const { minute: now } = useClock()
const why = ref('')

const says = computed(() => {
  const { away } = props.state
  if (!away) return ''
  const how = { 'set aside': 'Set aside', 'given up': 'Given up', 'mistake': 'Started by mistake' }[away.how]
  return `${how}, ${clockTime(away.at, now.value)}${away.why ? `: ${away.why}` : ''}`
})
function put(how: 'set aside' | 'given up' | 'mistake' | 'back') {
  store.enter({ kind: 'away', payload: { how, why: how === 'back' ? '' : why.value.trim() } })
  open.value = false
  why.value = ''
}
</script>

<template>
  <section v-if="says" class="away sheet" role="status">
    <p><b>{{ says }}</b></p>
    <button type="button" class="key next" @click="put('back')">Take it up again</button>
  </section>
  <section v-else-if="open" class="away sheet" aria-label="Off the bench">
    <UFormField label="Why, if you like"><UInput v-model="why" size="xl" maxlength="200" autofocus /></UFormField>
    <button type="button" class="key" @click="put('set aside')">Set it aside</button>
    <button type="button" class="key" @click="put('given up')">Give it up</button>
    <button v-if="!state.steps.some(one => one.status === 'done')" type="button" class="key" @click="put('mistake')">
      Started by mistake
    </button>
    <button type="button" class="key" @click="open = false">Keep it on the bench</button>
    <p class="quiet">It leaves the bench and stays in the list of pens, with its record. It can be taken up again at any time.</p>
  </section>
</template>

<style scoped>
.away { display: flex; flex-wrap: wrap; align-items: end; gap: 0.7rem 1rem; padding: 0.9rem 1.2rem; }
.away > p { flex-basis: 100%; }
</style>
