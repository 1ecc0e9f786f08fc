<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import { isIn, pressedParts, type BenchState, type OtherwiseIn, type PressedPart } from '#core/bench'
import type { DefectKind } from '#core/defects'
import { counted } from '#core/format'

/** The parts in the order they go on: which end of which barrel takes each, and the mechanism pressed a little at a time and tried. */
const props = defineProps<{ state: BenchState, step: string }>()
const emit = defineEmits<{ wrong: [looks: readonly DefectKind[]] }>()
const store = usePen()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)

const fitting = computed(() => props.state.plan.inputs.fitting)
const parts = computed(() => pressedParts(props.state))
/** A part that was right is tried once more. */
const anew = ref<string>()
const current = computed(() => parts.value.find(part => part.name === anew.value) ?? parts.value.find(part => !isIn(part)))
const own = computed(() => workshop.learnt?.presses?.[fitting.value.id])
const stop = computed(() => {
  const { value } = own
  if (!value) return 'Stop a little short of its ring, then try the refill out and in.'
  const range = value.pens > 1 ? `, ${units.value.length(value.least, 1)} to ${units.value.length(value.most, 1)}` : ''
  return `Stop ${units.value.length(value.mean, 1)} short of its ring: yours over ${counted(value.pens, 'pen')}${range}.`
})

const left = ref<number | null>(null)
const out = ref<number | null>(null)
const back = ref<boolean | null>(null)
watch(() => current.value?.name, () => {
  left.value = out.value = back.value = null
})
const known = (mm: number | null) => (mm === null || Number.isNaN(mm) ? null : mm)
/** The part that is put in otherwise than the fitting has it: glued, cut, or of another kind. */
const otherwise = ref<string>()
const cutTo = ref<number | null>(null)
const kind = ref('')
watch(otherwise, () => {
  cutTo.value = null
  kind.value = ''
})
function putIn(part: PressedPart, how: OtherwiseIn['how']) {
  press(part, 'in', { how, to: how === 'cut' ? known(cutTo.value) : null, what: how === 'another' ? kind.value.trim() : '' })
  otherwise.value = undefined
}
function asWords(part: PressedPart): string {
  const as = part.presses.at(-1)?.as
  return as ? otherwiseWords(as, mm => units.value.length(mm, 1)) : ''
}
function press(part: PressedPart, verdict: 'in' | 'short' | 'right' | 'far', as?: OtherwiseIn) {
  const read = { left: known(left.value), out: known(out.value), back: back.value }
  const payload = { step: props.step, part: part.name, verdict, ...read, ...(as ? { as } : {}) }
  store.enter({ kind: 'press', payload }, part.into ? [part.into.barrel] : [])
  anew.value = undefined
}
const where = ({ into }: PressedPart) => (into ? `${barrelNames[into.barrel]}, ${into.end} end` : '')
const SIGN = { open: '', in: '✓', right: '✓', short: '…', far: '◆' }
const wrong = computed(() => (current.value?.state === 'far' ? (['mechanism'] as const) : undefined))

/** The board: the barrels to scale, one after the other, tip at the left; mm. */
const GAP = 8
const board = computed(() => {
  let from = GAP
  return fitting.value.barrels.map((one) => {
    const { id, tubeLength: length, tipEnd: tip, clipEnd: clip } = one
    const drawn = { id, from, length, tip, clip, colour: props.state.plan.inputs.material.colour }
    from += length + GAP
    return drawn
  })
})
const width = computed(() => board.value.reduce((sum, one) => sum + one.length + GAP, GAP))
const shape = ({ from, length, tip, clip }: (typeof board.value)[number]) =>
  `M${from} ${12 - tip / 2}L${from + length} ${12 - clip / 2}V${12 + clip / 2}L${from} ${12 + tip / 2}Z`
const arrow = computed(() => {
  const into = current.value?.into
  const barrel = board.value.find(one => one.id === into?.barrel)
  if (!into || !barrel) return ''
  return into.end === 'tip' ? `M${barrel.from - 7} 8l6 4-6 4z` : `M${barrel.from + barrel.length + 7} 8l-6 4 6 4z`
})
</script>

<template>
  <section class="assembly figures" aria-label="Assembly">
    <svg
      :viewBox="`0 0 ${width} 24`" role="img" :aria-label="current ? `${current.name}: ${where(current) || 'by hand'}` : 'All parts are in'"
    >
      <path v-for="one in board" :key="one.id" :d="shape(one)" :fill="one.colour" class="barrel" />
      <path v-if="arrow" :d="arrow" class="arrow" />
    </svg>
    <div v-if="current?.tries" class="try" role="group" :aria-label="`Try the ${current.name.toLowerCase()}`">
      <p><b>{{ current.name }}</b>. {{ stop }}</p>
      <p v-if="current.state === 'short'" role="status"><b>Press a little more, and try again.</b></p>
      <p v-if="wrong" class="harm" role="status">
        ◆ Too far can seldom be undone.
        <button type="button" class="say" @click="emit('wrong', wrong)">Say what is wrong</button>
      </p>
      <div class="fields">
        <FieldMeasure v-model="left" size="lg" label="Before its ring" placeholder="not measured" />
        <FieldMeasure v-model="out" size="lg" label="Point stands out" placeholder="not measured" />
        <label class="back">
          Fully back?
          <select v-model="back" class="field-plain">
            <option :value="null">not said</option>
            <option :value="true">Yes</option>
            <option :value="false">No</option>
          </select>
        </label>
      </div>
      <p class="verdict">
        <button type="button" class="key" @click="press(current, 'short')">Too short</button>
        <button type="button" class="key" @click="press(current, 'right')">Right</button>
        <button type="button" class="key" @click="press(current, 'far')">Too far</button>
      </p>
    </div>
    <ol>
      <li v-for="part in parts" :key="part.name" :class="{ current: part.name === current?.name, done: isIn(part) }">
        <span class="sign" :class="{ harm: part.state === 'far' }">{{ SIGN[part.state] }}</span>
        <span>
          <b>{{ part.name }}</b> <span v-if="where(part)" class="quiet">{{ where(part) }}</span>
          <span v-if="asWords(part)" class="quiet">, {{ asWords(part) }}</span>
        </span>
        <span v-if="!isIn(part) && !part.tries" class="ways">
          <button
            type="button" class="key" :aria-expanded="otherwise === part.name" :aria-label="`${part.name} otherwise`"
            @click="otherwise = otherwise === part.name ? undefined : part.name"
          >
            Otherwise
          </button>
          <button type="button" class="key" @click="press(part, 'in')">{{ part.how === 'press' ? 'Pressed in' : 'In' }}</button>
        </span>
        <button v-else-if="part.tries && part.name !== current?.name" type="button" class="key" @click="anew = part.name">
          Try it again
        </button>
        <div v-if="otherwise === part.name && !isIn(part)" class="otherwise" role="group" :aria-label="`${part.name}, otherwise`">
          <button type="button" class="key" @click="putIn(part, 'glued')">Glued in</button>
          <span class="pair">
            <FieldMeasure v-model="cutTo" size="lg" label="Cut to" placeholder="not measured" />
            <button type="button" class="key" @click="putIn(part, 'cut')">Cut and in</button>
          </span>
          <span class="pair">
            <label>Another kind <input v-model="kind" class="field-plain" maxlength="60" autocomplete="off"></label>
            <button type="button" class="key" @click="putIn(part, 'another')">That one is in</button>
          </span>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.assembly { display: grid; gap: 0.6rem; }
svg { display: block; width: 100%; max-height: 4.2rem; }
.barrel { stroke: var(--line); stroke-width: 0.4; }
.arrow { fill: var(--oxlip); }
li { display: grid; grid-template-columns: 1.4rem minmax(0, 1fr) auto; gap: 0.6rem; align-items: center; min-height: 48px; }
li + li { border-top: 1px solid var(--line); }
li.current b { font-size: 1.25rem; }
li.done { color: var(--ink-2); }
.ways, .pair { display: flex; flex-wrap: wrap; gap: 0.5rem; align-items: end; }
.otherwise { grid-column: 1 / -1; display: flex; flex-wrap: wrap; gap: 0.5rem 1.5rem; align-items: end; padding-bottom: 0.6rem; }
.otherwise label { display: grid; gap: 0.3rem; font-size: 0.9rem; }
.sign { color: var(--leaf); }
.key { min-height: 56px; }
.try { display: grid; gap: 0.5rem; }
.fields { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 0 0.8rem; align-items: start; }
.back { display: grid; gap: 0.3rem; font-size: 0.9rem; }
.verdict { display: flex; gap: 0.6rem; }
.verdict .key { flex: 1; min-height: 64px; }
.say { min-height: 32px; text-decoration: underline; cursor: pointer; }
@media (max-width: 480px) { .fields { grid-template-columns: minmax(0, 1fr); } }
</style>
