<script setup lang="ts">
import { decimal, micrometres } from '#core/format'
import type { PlanTrace } from '#core/plan'

/**
 * One slice through the barrel wall: brass, wood with the scratches still in it, and the film coat by coat, in µm on a logarithmic
 * scale both ways from the wood's surface. Dashed is where the next sanding would cut to; dotted what must remain. It follows the step
 * it is shown for, and moves as the plan is edited.
 */
const props = withDefaults(
  defineProps<{ traced: PlanTrace, step?: string | null, least: number, colour: string, size?: 'card' | 'plan' | 'work' }>(),
  { step: null, size: 'plan' },
)

const slice = computed(() => buildSlice(props.traced, props.step, props.least))
const card = computed(() => props.size === 'card')
const frame = computed(() =>
  card.value
    ? { width: 240, height: 118, left: 0, wide: 240, up: 66, down: 30 }
    : props.size === 'work'
      ? { width: 460, height: 205, left: 40, wide: 220, up: 118, down: 48 }
      : { width: 460, height: 290, left: 40, wide: 220, up: 170, down: 70 },
)
const surface = computed(() => frame.value.up + 6)
const y = (um: number) => (um >= 0 ? surface.value - logDepth(um) * frame.value.up : surface.value + logDepth(-um) * frame.value.down)
const ticks = [1, 3, 10, 30, 100]
const right = computed(() => frame.value.left + frame.value.wide)

function teeth(count: number, tall: number, at: number): string {
  const wide = frame.value.wide / count
  return Array.from(
    { length: count },
    (_, tooth) => `M${frame.value.left + tooth * wide} ${at}l${wide / 2} ${tall}l${wide / 2} ${-tall}z`,
  ).join('')
}
/** The top of the film as a wave of its unevenness. */
const wave = computed(() => {
  const { top, unevenness } = slice.value
  const [high, low] = [y(top + unevenness / 2), y(Math.max(0.6, top - unevenness / 2))]
  const part = frame.value.wide / 8
  return (
    `M${frame.value.left} ${low}`
    + Array.from({ length: 8 }, () => `q${part / 2} ${2 * (high - low) * 0.5} ${part} 0`).join('')
    + `V${surface.value}H${frame.value.left}Z`
  )
})
const words = computed(() => {
  const { bands, top, scratch } = slice.value
  const film = bands.length ? `${bands.map(band => `${band.coats} × ${band.name}`).join(', ')}, ${decimal(top)} µm in all` : 'no film'
  return `Build section: ${film}; scratches of ${decimal(scratch, 1)} µm in the wood`
})
/** Labels at the right, kept apart from one another, from the top down. */
const labels = computed(() => {
  const { bands, scratch, top } = slice.value
  const wanted = [
    ...[...bands]
      .reverse()
      .filter(band => band.to - band.from > 0.05)
      .map(band => ({
        text: `${band.coats > 1 ? `${band.coats} × ` : ''}${band.name}`,
        um: `${micrometres(band.to - band.from)} µm`,
        at: (y(band.from) + y(band.to)) / 2,
      })),
    {
      text: bands.length ? 'scratches under it' : 'scratches',
      um: scratch > 0.05 ? `${decimal(scratch, 1)} µm` : 'none',
      at: y(-Math.max(1, scratch)),
    },
  ]
  let last = -Infinity
  const placed = wanted.map((label) => {
    last = Math.max(label.at, last + 19)
    return { ...label, y: last }
  })
  const over = Math.max(0, (placed.at(-1)?.y ?? 0) - (frame.value.height - 8))
  return { placed: placed.map(label => ({ ...label, y: label.y - over })), top }
})
</script>

<template>
  <svg :viewBox="`0 0 ${frame.width} ${frame.height}`" :class="size" role="img" :aria-label="words">
    <g v-if="!card">
      <g v-for="tick in ticks" :key="tick">
        <path :d="`M${frame.left} ${y(tick)}H${right}`" class="grid" />
        <text :x="frame.left - 6" :y="y(tick) + 4" class="tick">{{ tick }}</text>
      </g>
      <text :x="frame.left - 6" :y="y(-10) + 4" class="tick">10</text>
      <text :x="frame.left - 6" :y="y(-100) + 4" class="tick">100</text>
    </g>
    <rect :x="frame.left" :y="surface" :width="frame.wide" :height="frame.down + 12" :fill="colour" class="wood" />
    <rect :x="frame.left" :y="surface + frame.down + 12" :width="frame.wide" height="8" class="brass" />
    <path v-if="slice.scratch > 0.05" :d="teeth(card ? 16 : 22, y(-slice.scratch) - surface, surface)" class="teeth" />
    <g v-for="band in slice.bands" :key="band.name + band.from">
      <rect
        :x="frame.left" :y="y(band.to)" :width="frame.wide" :height="Math.max(0, y(band.from) - y(band.to))"
        :class="['coat', band.role.replace(' ', '-')]"
      />
      <path v-for="seam in band.seams" :key="seam" :d="`M${frame.left} ${y(seam)}H${right}`" class="seam" />
    </g>
    <path v-if="slice.unevenness > 0.4" :d="wave" class="rough" />
    <path
      v-else-if="slice.filmScratch > 0.4 && slice.top > 0"
      :d="teeth(card ? 16 : 30, Math.max(2, y(Math.max(0.6, slice.top - slice.filmScratch)) - y(slice.top)), y(slice.top))"
      class="teeth"
    />
    <path :d="`M${frame.left} ${surface}H${right}`" class="line" />
    <g v-if="slice.cut !== undefined && Math.abs(slice.cut) > 0.5">
      <path :d="`M${frame.left} ${y(slice.cut)}H${right}`" class="cut" />
      <text v-if="!card" :x="frame.left + 6" :y="y(slice.cut) - 5" class="says">next sanding cuts to here</text>
    </g>
    <g v-if="slice.least > 0 && slice.top > 0">
      <path v-if="!card" :d="`M${frame.left} ${y(slice.least)}H${right}`" class="least under" />
      <path :d="`M${frame.left} ${y(slice.least)}H${right}`" class="least" />
      <text v-if="!card" :x="right - 6" :y="y(slice.least) + 14" class="says least-words">must remain, {{ decimal(slice.least) }} µm</text>
    </g>
    <g v-if="!card">
      <g v-for="label in labels.placed" :key="label.text + label.um">
        <path :d="`M${right + 2} ${label.at}L${right + 14} ${label.y}`" class="lead" />
        <text :x="right + 18" :y="label.y + 4" class="label">{{ label.text }}<tspan class="um" dx="6">{{ label.um }}</tspan></text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
svg { display: block; width: 100%; height: auto; }
svg.plan, svg.work { max-width: 32rem; }
.grid { stroke: var(--line); stroke-width: 1; }
.tick { font: 12px var(--font-mono); text-anchor: end; fill: var(--ink-2); }
.wood { opacity: 0.85; }
.brass { fill: var(--brass); }
.teeth { fill: var(--scratch); }
rect { transition: y 180ms ease-out, height 180ms ease-out; }
.coat { fill: var(--film); }
.coat.medium-CA { fill: color-mix(in srgb, var(--film) 82%, var(--ink)); }
.coat.thick-CA { fill: color-mix(in srgb, var(--film) 70%, var(--ink)); }
.coat.sanding-sealer { fill: color-mix(in srgb, var(--film) 45%, var(--surface)); }
.coat.friction-polish, .coat.shellac-wax { fill: color-mix(in srgb, var(--film) 70%, var(--brick)); }
.coat.carnauba-wax, .coat.hard-wax { fill: color-mix(in srgb, var(--film) 55%, var(--leaf)); }
.coat.melamine-lacquer, .coat.spray-lacquer { fill: color-mix(in srgb, var(--film) 55%, var(--surface)); }
.seam { stroke: var(--surface); stroke-width: 1; opacity: 0.75; }
.rough { fill: var(--film); opacity: 0.55; }
.line { stroke: var(--ink); stroke-width: 2.5; }
.cut { stroke: var(--ink); stroke-width: 1.5; stroke-dasharray: 5 4; }
.least { stroke: var(--leaf); stroke-width: 2; stroke-dasharray: 2 4; }
.least.under { stroke: var(--surface); stroke-width: 3; stroke-dasharray: none; opacity: 0.7; }
.card .least { stroke: var(--ink); }
.says { font-size: 12.5px; fill: var(--ink); paint-order: stroke; stroke: var(--surface); stroke-width: 3px; }
.least-words { fill: var(--leaf); font-weight: 600; text-anchor: end; }
.lead { stroke: var(--ink-2); stroke-width: 1; }
.label { font-size: 14px; fill: var(--ink); }
.um { fill: var(--ink-2); }
</style>
