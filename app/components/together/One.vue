<script setup lang="ts">
import type { Tile } from '~/composables/useTogether'
import type { DefectKind } from '#core/defects'
import { checksFor, isTouched, type CheckAct, type DiameterReading } from '#core/plan'

/** What can be said of one pen among those that are worked together. */
const props = defineProps<{ tile: Tile }>()
const emit = defineEmits<{
  toggle: []
  wrong: [looks: readonly DefectKind[]]
  measure: [reading: DiameterReading]
  remark: [text: string]
  check: [step: string, check: string, answer: 'yes' | 'no']
  touch: [step: string, felt: 'tacky' | 'hard']
  act: [step: string, act: CheckAct]
}>()
const { units } = storeToRefs(useWorkshop())
const board = computed(() => props.tile.board)
const step = computed(() => board.value.state.next?.id)
const next = computed(() => board.value.state.next)
const checks = computed(() => (next.value ? checksFor(board.value.state.plan, next.value, board.value.traced, units.value) : []))
/** Whether a finger tells how far the coat is that this pen waits for. */
const wait = computed(() => board.value.state.waits.find(one => one.before === step.value))
const felt = computed(() => wait.value !== undefined && isTouched(wait.value.purpose))
/** A no that may tell of a defect asks at once what it is. */
function answer(check: string, said: 'yes' | 'no') {
  if (!step.value) return
  emit('check', step.value, check, said)
  const asked = said === 'no' ? checks.value.find(one => one.id === check) : undefined
  if (asked?.defects && !asked.acts) emit('wrong', asked.defects)
}
const root = useTemplateRef('root')
onMounted(() => root.value?.scrollIntoView({ block: 'nearest' }))
const measuring = ref(false)
const text = ref('')
function keep() {
  if (text.value.trim()) emit('remark', text.value.trim())
  text.value = ''
}
</script>

<template>
  <section ref="root" class="one sheet" :aria-label="board.pen.mark">
    <h2><PenTag :mark="board.pen.mark" /> {{ board.pen.name }}</h2>
    <p class="ways">
      <button v-if="tile.is === 'in'" type="button" class="key" @click="emit('toggle')">Not this time</button>
      <button v-if="tile.is === 'out'" type="button" class="key" @click="emit('toggle')">Take it in again</button>
      <button type="button" class="key" @click="emit('wrong', [])">Something is wrong</button>
      <button v-if="step" type="button" class="key" :aria-pressed="measuring" @click="measuring = !measuring">Measure</button>
      <template v-if="felt && step">
        <button type="button" class="key" @click="emit('touch', step, 'tacky')">Still tacky</button>
        <button v-if="tile.is === 'waits'" type="button" class="key" @click="emit('touch', step, 'hard')">Hard already</button>
      </template>
      <NuxtLink class="key" :to="`/pens/${board.pen.id}/work`">By itself</NuxtLink>
    </p>
    <WorkChecks
      v-if="checks.length && step" :checks="checks" :step="step" :state="board.state" :short="next?.kind === 'parts'"
      @answer="answer" @act="step && emit('act', step, $event)" @wrong="emit('wrong', $event)"
    />
    <form class="ways" @submit.prevent="keep">
      <input v-model="text" class="field-plain text" maxlength="500" autocomplete="off" aria-label="A remark" placeholder="A remark">
      <button type="submit" class="key" :disabled="!text.trim()">Keep the remark</button>
    </form>
    <WorkMeasure v-if="measuring && step" :traced="board.traced" :state="board.state" :step="step" @measure="emit('measure', $event)" />
  </section>
</template>

<style scoped>
/* Below it stand the keys. */
.one { display: grid; gap: 0.7rem; padding: 0.8rem 1rem; scroll-margin-block: 5rem 7.5rem; }
h2 { display: flex; align-items: center; gap: 0.8rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.ways .key { min-height: 64px; }
.text { flex: 1 1 14rem; min-height: 64px; }
</style>
