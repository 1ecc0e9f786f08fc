<script setup lang="ts">
import { addSeconds } from 'date-fns'
import { barrelNames, meeting, seamBand, shapeNames, slimmest, stickGives, usualShape, type BarrelId, type End, type Shape, type ShapeKind } from '#core/barrel'
import { stepWaits, thinnestSide, type GlueWish, type Plan, type PlanTrace, type SizedBarrel, type SizedEnd, type Sizing } from '#core/plan'
import { formatSpan } from '#core/units'

/** How a pen is sized: the diameter of every end and how it meets its metal, the outline of each barrel, the wall where it is thinnest, the section, the glue. All of it is worked out while it is changed. */
const props = defineProps<{ plan: Plan, traced: PlanTrace }>()
const sizing = defineModel<Sizing | undefined>({ required: true })
const emit = defineEmits<{ keep: [] }>()
const { units } = storeToRefs(useWorkshop())
const { now } = useClock()

const wishes = computed(() => props.plan.inputs.wishes)
const change = (part: Sizing) => {
  const { tool: _t, film: _f, ...kept } = wishes.value
  sizing.value = { ...kept, ...part }
}

function setEnd(barrel: BarrelId, end: End, diameter: number | null) {
  const others = (wishes.value.ends ?? []).filter(one => one.barrel !== barrel || one.end !== end)
  if (diameter !== null && !(diameter > 0 && diameter <= 40)) return
  change({ ends: diameter === null ? others : [...others, { barrel, end, diameter }] })
}
defineExpose({ setEnd })

const endFault = (one: SizedEnd, barrel: SizedBarrel): string | undefined => {
  if (one.own === undefined) return undefined
  return one.own <= barrel.barrel.tubeOuter ? `The tube is ${units.value.length(barrel.barrel.tubeOuter)}: no wood is left over it.` : undefined
}
function verdict(end: SizedEnd): string {
  if (end.own === undefined) return Math.abs(end.proud) < 0.005 ? 'ends flush' : `ends flush: ${units.value.length(Math.abs(end.proud))} ${end.proud < 0 ? 'under the metal' : 'proud'} now`
  const way = meeting(end.over)
  return way === 'flush' ? 'ends flush' : `ends ${units.value.length(Math.abs(end.over))} ${way}`
}

const kinds = (Object.entries(shapeNames) as [ShapeKind, string][]).map(([value, label]) => ({ value, label: label.charAt(0).toUpperCase() + label.slice(1) }))
const bulgeOf = (shape: Shape) => 'bulge' in shape ? shape.bulge : usualShape.kind === 'belly' ? usualShape.bulge : 0
function setShape(barrel: BarrelId, shape: Shape) {
  change({ shapes: { ...wishes.value.shapes, [barrel]: shape } })
}
function setKind({ barrel, shape }: SizedBarrel, kind: ShapeKind) {
  if (kind === shape.kind) return
  if (kind === 'straight') setShape(barrel.id, { kind })
  else if (kind === 'free') setShape(barrel.id, { kind, points: [0.25, 0.5, 0.75].map(part => ({ part, diameter: round(diameterOf(barrel.id, part)) })) })
  else setShape(barrel.id, { kind, bulge: bulgeOf(shape) })
}
const round = (mm: number) => Math.round(mm * 100) / 100
function diameterOf(id: BarrelId, part: number): number {
  const one = props.traced.size.barrels.find(each => each.barrel.id === id)!
  return one.finished.points.reduce((near, point) => Math.abs(point.at - part * one.barrel.tubeLength) < Math.abs(near.at - part * one.barrel.tubeLength) ? point : near).diameter
}
const points = (shape: Shape) => shape.kind === 'free' ? shape.points : []
function setPoint(one: SizedBarrel, index: number, to: { part?: number, diameter?: number } | null) {
  const now = points(one.shape)
  const next = to === null ? now.filter((_, at) => at !== index) : now.map((point, at) => at === index ? { ...point, ...to } : point)
  setShape(one.barrel.id, { kind: 'free', points: next })
}
function addPoint(one: SizedBarrel) {
  const parts = [0, ...points(one.shape).map(point => point.part).sort((a, b) => a - b), 1]
  const widest = parts.slice(1).map((part, index) => ({ gap: part - parts[index]!, middle: (part + parts[index]!) / 2 })).reduce((a, b) => b.gap > a.gap ? b : a)
  setShape(one.barrel.id, { kind: 'free', points: [...points(one.shape), { part: Math.round(widest.middle * 100) / 100, diameter: round(diameterOf(one.barrel.id, widest.middle)) }] })
}

const glues: { value: GlueWish, label: string }[] = [
  { value: 'by the shelf', label: 'By what is on the shelf' }, { value: 'epoxy', label: 'Epoxy' }, { value: 'CA with accelerator', label: 'CA with accelerator' }, { value: 'CA overnight', label: 'CA, overnight' },
]
const glue = computed(() => {
  const step = props.plan.steps.find(one => one.kind === 'tube')
  const square = props.plan.steps.find(one => one.kind === 'square')
  const wait = square && stepWaits(props.plan, square, props.plan.inputs.climate)[0]
  return step?.kind === 'tube' ? { name: step.product?.name ?? 'nothing on the shelf', accelerated: step.accelerated, wait: wait?.length } : undefined
})
const blankSide = computed(() => props.plan.inputs.blank && thinnestSide(props.plan.inputs.blank))
/** How far the bore lies from the middle of the blank, mm towards the far face. */
const boreOff = ref<number | null>(0)
/** The band for a hybrid’s seam, of the barrel that leaves it least. */
const seam = computed(() => {
  const { blank, material } = props.plan.inputs
  if (!material.classes.includes('hybrid')) return undefined
  const slim = props.traced.size.barrels.reduce((a, b) => slimmest(b.finished).diameter < slimmest(a.finished).diameter ? b : a)
  const wide = Math.max(...props.traced.size.barrels.map(one => one.drilling.bit.value))
  const [width, height] = [blank?.width ?? props.traced.size.section.value, blank?.height ?? blank?.width ?? props.traced.size.section.value]
  const finished = slimmest(slim.finished).diameter
  const wander = Math.max(...props.traced.size.barrels.map(one => one.section.wander.value))
  const off = boreOff.value !== null && Math.abs(boreOff.value) < width / 2 ? boreOff.value : 0
  return { width, height, bore: wide, finished, off, band: seamBand({ width, bore: wide, finished, wander, offset: off }) }
})
/** What the stick of the blank gives, where its length is known. */
const gives = computed(() => {
  const length = props.plan.inputs.blank?.length
  return length === undefined ? undefined : stickGives(props.traced.stick, length)
})
const changed = computed(() => sizing.value !== undefined)
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
</script>

<template>
  <section class="size sheet figures" aria-labelledby="size-head">
    <header>
      <h2 id="size-head">Shape and size</h2>
      <p class="quiet">Drag an end on the pen above, or type. Nothing is kept until you say so.</p>
      <span class="end">
        <button v-if="changed" type="button" class="key" @click="sizing = undefined">As it was</button>
        <button type="button" class="key" :disabled="!changed" @click="emit('keep')">Keep this size</button>
      </span>
    </header>
    <div v-for="one in traced.size.barrels" :key="one.barrel.id" class="barrel">
      <h3>{{ capital(barrelNames[one.barrel.id]) }}</h3>
      <div v-for="end in one.ends" :key="end.end" class="joint">
        <FieldMeasure :model-value="end.own ?? end.diameter.value" :label="`${capital(end.end)} end, turn to`" size="lg" :digits="2" :error="endFault(end, one)" @update:model-value="setEnd(one.barrel.id, end.end, $event)" />
        <BarrelJoint :over="end.over" :end="end.end" :colour="plan.inputs.material.colour" :label="`The ${end.end} end under a lens: ${verdict(end)}`" />
        <p :class="{ harm: meeting(end.over) !== 'flush' }" class="verdict">
          {{ verdict(end) }}<template v-if="end.bushing">; bushing measures {{ units.length(end.bushing.measured.value) }}</template>
          <button v-if="end.own !== undefined" type="button" class="link" @click="setEnd(one.barrel.id, end.end, null)">as worked out, {{ units.length(end.diameter.value) }}</button>
        </p>
      </div>
      <div class="shape">
        <UFormField label="Shape"><USelect :model-value="one.shape.kind" size="lg" :items="kinds" @update:model-value="setKind(one, $event as ShapeKind)" /></UFormField>
        <FieldMeasure v-if="'bulge' in one.shape && one.shape.bulge >= 0" :model-value="one.shape.bulge" label="Fuller than straight by" size="lg" :error="one.shape.bulge > 8 ? 'More than 8 mm: no hand holds that.' : undefined" @update:model-value="$event !== null && $event <= 8 && 'bulge' in one.shape && setShape(one.barrel.id, { ...one.shape, bulge: $event })" />
        <input v-if="'bulge' in one.shape" type="range" min="-1" max="4" step="0.05" :value="one.shape.bulge" :aria-label="`How full the ${barrelNames[one.barrel.id]} is`" :aria-valuetext="units.length(one.shape.bulge)" @input="setShape(one.barrel.id, { ...one.shape, bulge: Number(($event.target as HTMLInputElement).value) })">
        <ul v-if="one.shape.kind === 'free'" class="points">
          <li v-for="(point, index) in points(one.shape)" :key="index">
            <FieldMeasure :model-value="point.part * one.barrel.tubeLength" label="From the tip" size="lg" :error="undefined" @update:model-value="$event !== null && $event > 0 && $event < one.barrel.tubeLength && setPoint(one, index, { part: $event / one.barrel.tubeLength })" />
            <FieldMeasure :model-value="point.diameter" label="Diameter" size="lg" @update:model-value="$event !== null && $event > 0 && $event <= 40 && setPoint(one, index, { diameter: $event })" />
            <button type="button" class="link" @click="setPoint(one, index, null)">leave out</button>
          </li>
          <li><button type="button" class="link" :disabled="points(one.shape).length >= 12" @click="addPoint(one)">one point more</button></li>
        </ul>
      </div>
    </div>
    <dl class="facts">
      <div v-for="one in traced.size.barrels" :key="one.barrel.id"><dt>Thinnest wall, {{ barrelNames[one.barrel.id] }}</dt><dd :class="{ harm: one.wall.wall.value < traced.size.leastWall.value }"><FigureOpen :figure="one.wall.wall">{{ one.wall.wall.value > 0 ? units.length(one.wall.wall.value) : 'none left' }}</FigureOpen>, {{ one.wall.at <= 0 ? 'tip end' : one.wall.at >= one.barrel.tubeLength ? 'clip end' : `${units.length(one.wall.at, 0)} from the tip` }}</dd></div>
      <div><dt>Square to cut, at least</dt><dd :class="{ harm: blankSide !== undefined && blankSide < traced.size.section.value }"><FigureOpen :figure="traced.size.section">{{ units.length(traced.size.section.value, 1) }}</FigureOpen><template v-if="blankSide !== undefined">; this blank has {{ units.length(blankSide, 1) }}</template></dd></div>
      <div><dt>Stick for the pen</dt><dd :class="{ harm: gives && !gives.pens }"><FigureOpen :figure="traced.stick.total">{{ units.length(traced.stick.total.value, 1) }}</FigureOpen><template v-if="gives">; this blank gives {{ gives.pens }}, {{ units.length(gives.over, 0) }} over</template></dd></div>
      <div><dt>Wood in the barrels</dt><dd><FigureOpen :figure="traced.size.mass" />, turned away <FigureOpen :figure="traced.size.away" /></dd></div>
    </dl>
    <div class="foot">
      <UFormField label="Tube glue"><USelect :model-value="wishes.glue ?? 'by the shelf'" size="lg" :items="glues" @update:model-value="change({ glue: $event as GlueWish })" /></UFormField>
      <p v-if="glue" class="quiet">{{ glue.name }}{{ glue.accelerated ? ', with accelerator' : '' }}. <template v-if="glue.wait">Glued now, the ends may be squared at <b>{{ clockTime(addSeconds(now, glue.wait.value), now) }}</b>, after <FigureOpen :figure="glue.wait">{{ formatSpan(glue.wait.value) }}</FigureOpen>.</template> Play round the tube <FigureOpen :figure="traced.size.barrels[0]!.glue.play" />, filled all over.</p>
      <NuxtLink class="key" :to="`/pens/${$route.params.id}/card`">Cut and drill card</NuxtLink>
    </div>
    <div v-if="seam" class="seam">
      <BarrelSeam :width="seam.width" :height="seam.height" :bore="seam.bore" :finished="seam.finished" :off="seam.off" :band="seam.band" :colour="plan.inputs.material.colour" />
      <FieldMeasure v-model="boreOff" label="Bore off the middle by" size="lg" :error="boreOff !== null && Math.abs(boreOff) >= seam.width / 2 ? 'That is outside the blank.' : undefined" />
      <p v-if="seam.band.shows">
        <b>Seam between {{ units.length(seam.band.shows.from, 1) }} and {{ units.length(seam.band.shows.to, 1) }}</b> from one face of a blank {{ units.length(seam.width, 1) }} wide: there both halves still show at the finished surface along the whole barrel.
        <template v-if="seam.band.held">Between {{ units.length(seam.band.held.from, 1) }} and {{ units.length(seam.band.held.to, 1) }} both are glued to the tube as well; outside that the smaller half is held by the seam alone.</template>
      </p>
      <p v-else class="harm">◆ The bit may wander further than this barrel is thick: no seam is sure to show on both sides.</p>
    </div>
  </section>
</template>

<style scoped>
.size { display: grid; gap: 0.9rem; padding: 1rem 1.2rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.3rem 1.2rem; }
header p { flex: 1 1 14rem; }
.end { display: flex; gap: 0.6rem; }
.barrel { display: grid; grid-template-columns: 7.5rem repeat(2, minmax(0, 1fr)) minmax(0, 1.1fr); gap: 0.4rem 1.4rem; align-items: start; border-top: 1px solid var(--line); padding-top: 0.7rem; }
h3 { font-size: 1.05rem; padding-top: 1.9rem; }
.joint { display: grid; grid-template-columns: minmax(7.5rem, 11rem) auto; gap: 0.2rem 0.9rem; align-items: end; justify-content: start; }
.verdict { grid-column: 1 / -1; min-height: 1.5rem; font-size: 0.95rem; color: var(--ink-2); }
.verdict.harm { color: var(--brick); }
.link { min-height: 28px; padding: 0 0.2rem; text-decoration: underline; color: var(--leaf); cursor: pointer; }
.shape { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 0.4rem 0.9rem; align-items: start; }
.shape :deep(button[role=combobox]) { width: 100%; }
.shape input[type=range] { grid-column: 1 / -1; width: 100%; min-height: 28px; accent-color: var(--leaf); }
.points { grid-column: 1 / -1; display: grid; gap: 0.4rem; }
.points li { display: grid; grid-template-columns: 1fr 1fr auto; gap: 0.6rem; align-items: end; }
.facts { display: flex; flex-wrap: wrap; gap: 0.3rem 2rem; border-top: 1px solid var(--line); padding-top: 0.7rem; }
.facts div { display: flex; gap: 0.6rem; }
.facts dt { color: var(--ink-2); }
.foot { display: flex; flex-wrap: wrap; align-items: end; gap: 0.5rem 1.4rem; }
.foot p { flex: 1 1 22rem; }
.foot :deep(button[role=combobox]) { width: 15rem; }
.seam { display: flex; flex-wrap: wrap; gap: 1rem; align-items: center; border-top: 1px solid var(--line); padding-top: 0.8rem; }
.seam p { flex: 1 1 20rem; max-width: 46rem; }
.seam > .measure { flex: 0 0 12rem; }
@media (max-width: 1000px) { .barrel { grid-template-columns: repeat(2, minmax(0, 1fr)); } .barrel h3 { grid-column: 1 / -1; padding-top: 0; } .shape { grid-column: 1 / -1; } }
@media (max-width: 560px) { .barrel { grid-template-columns: minmax(0, 1fr); } }
</style>
