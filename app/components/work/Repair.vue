<script setup lang="ts">
import { barrelNames, diameterAt } from '#core/barrel'
import type { DefectState } from '#core/bench'
import { repairs, type RepairWay } from '#core/defects'
import { coverFor, isResin, productFor, type Plan, type PlanTrace } from '#core/plan'
import { defects as catalogue } from '#reference'

/** Mending a chip, crack or void before the ladder, or a sand-through while the film is built: the ways that fit, the best first; the chosen one becomes the next steps. */
const props = defineProps<{ defect: DefectState, plan: Plan, traced: PlanTrace, step: string | null, turned: boolean, last: boolean, canTakeBack: boolean }>()
const emit = defineEmits<{ choose: [way: RepairWay], leave: [], later: [], mended: [], back: [] }>()
const { units } = storeToRefs(useWorkshop())
const heading = useTemplateRef<HTMLElement>('heading')
onMounted(() => heading.value?.focus())

const name = computed(() => catalogue.find(row => row.kind === props.defect.kind)!.name)
const film = computed(() => props.defect.kind === 'sand-through')
const cover = computed(() => film.value ? coverFor(props.plan, props.step) : undefined)
const ways = computed(() => {
  const one = props.traced.size.barrels.find(each => each.barrel.id === props.defect.barrel)!
  const finished = diameterAt(one.finished, props.defect.fromTip)
  const section = props.plan.inputs.blank?.width ?? one.section.side.value
  return repairs(props.defect, {
    resin: isResin(props.plan.inputs.material), hasCa: Boolean(productFor(props.plan.inputs, 'thin CA') ?? productFor(props.plan.inputs, 'medium CA')),
    ...(cover.value ? { cover: { ...cover.value, product: cover.value.product.name } } : {}),
    toTurnOff: props.turned ? 0 : Math.max(0, (section - finished) / 2), wall: (finished - one.barrel.tubeOuter) / 2,
  })
})
</script>

<template>
  <section class="repair sheet figures" aria-labelledby="repair">
    <h2 id="repair" ref="heading" tabindex="-1">{{ film ? 'Cover it before you go on' : 'Mend it before the ladder' }}</h2>
    <p class="what"><span class="harm">◆ {{ name }}, {{ units.length(defect.size, 1) }}</span>, {{ barrelNames[defect.barrel] }}, {{ units.length(defect.fromTip, 1) }} from its tip end. {{ film ? 'Blow it clean, keep water and polish off it: bare wood takes them in.' : 'Now it costs nothing but a fill.' }}</p>
    <p v-if="!ways.length" class="quiet">Nothing on the shelf covers it: put thin CA on the shelf.</p>
    <ul>
      <li v-for="one in ways" :key="one.way"><button type="button" class="key" :class="{ next: one.recommended }" @click="emit('choose', one.way)"><b>{{ one.says }}</b><span>{{ one.why }}</span></button></li>
    </ul>
    <p class="other">
      <button v-if="!last" type="button" class="key" @click="emit('later')">{{ film ? 'Later' : 'Later, before the first grit' }}</button>
      <button type="button" class="key" @click="emit('mended')">It is mended</button>
      <button type="button" class="key" @click="emit('leave')">Leave it as it is</button>
      <button v-if="canTakeBack" type="button" class="key" @click="emit('back')">Take back</button>
    </p>
  </section>
</template>

<style scoped>
.repair { display: grid; gap: 0.9rem; padding: 1.1rem 1.25rem; }
h2 { font-size: 2rem; outline: none; }
.what { font-size: 1.35rem; }
ul { display: grid; gap: 0.7rem; }
li .key { display: grid; justify-items: start; justify-content: start; width: 100%; min-height: 84px; text-align: left; gap: 0.1rem; }
li b { font: 700 1.5rem/1.15 var(--font-head); }
li span { color: var(--ink-2); font-size: 1.1rem; }
.next span { color: var(--on-oxlip-2); }
.other { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.other .key { min-height: 64px; font-size: 1.1rem; }
</style>
