<script setup lang="ts">
import type { BenchState } from '#core/bench'
import { decimal, formatSpan } from '#core/format'
import type { Plan } from '#core/plan'
import { isResin } from '#core/shelf'
import type { Pen } from '#contract'

/** The head of the work screen: the pen, the air, whether everything is sent, and the ways away. */
defineProps<{ pen: Pen, plan: Plan, state: BenchState, measured: ReturnType<typeof usePen>['measured'] }>()
const quiet = defineModel<boolean>('quiet', { required: true })
const emit = defineEmits<{ help: [], far: [] }>()
const unsent = useUnsent()
const away = useAway()
const time = useRightTime()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const { minute: now } = useClock()
const { wish } = useTheme()
const skew = computed(() => {
  if (!time.ahead) return ''
  const off = formatSpan(Math.abs(time.ahead) / 1000)
  return `This device’s clock is ${off} ${time.ahead > 0 ? 'ahead' : 'behind'}; Oxlip goes by the workshop’s.`
})
</script>

<template>
  <header>
    <NuxtLink :to="`/pens/${pen.id}`" class="pen"><PenTag :mark="pen.mark" size="head" /><h1>{{ pen.name }}</h1></NuxtLink>
    <PenStrip
      class="strip" :fitting="plan.inputs.fitting" :colour="plan.inputs.material.colour"
      :resin="isResin(plan.inputs.material)" :shapes="plan.inputs.wishes.shapes" :measured="measured"
      :defects="state.defects" size="work" :label="`${plan.inputs.fitting.name} in ${plan.inputs.material.name}`"
    />
    <p class="air quiet">
      {{ clockTime(now, now) }}<template v-if="workshop.workshop">
        · {{ units.temperature(workshop.workshop.celsius) }} · {{ decimal(workshop.workshop.humidity) }} %
      </template>
      <span v-if="unsent" role="status"> · {{ unsent }} not sent yet</span>
      <span v-else-if="away" role="status"> · {{ away }}</span>
      <span v-if="skew" class="skew"> · {{ skew }}</span>
    </p>
    <nav aria-label="Away from here">
      <NuxtLink to="/">Bench</NuxtLink>
      <NuxtLink :to="`/pens/${pen.id}`">Plan</NuxtLink>
      <NuxtLink :to="`/pens/${pen.id}/record`">Record</NuxtLink>
      <button type="button" @click="wish = wish === 'light' ? 'dark' : 'light'">{{ wish === 'light' ? 'Dark' : 'Light' }}</button>
      <button type="button" :aria-pressed="quiet" :title="quiet ? 'The bell is off' : 'The bell is on'" @click="quiet = !quiet">
        <UIcon :name="quiet ? 'i-lucide-bell-off' : 'i-lucide-bell'" aria-hidden="true" />
        <span class="sr-only">Bell {{ quiet ? 'off' : 'on' }}</span>
      </button>
      <button type="button" title="Only what is next, in letters to read from two metres" @click="emit('far')">From afar</button>
      <button type="button" @click="emit('help')">Keys</button>
    </nav>
  </header>
</template>

<style scoped>
header { display: flex; align-items: center; flex-wrap: wrap; gap: 0.4rem 1rem; }
.pen { display: flex; align-items: center; gap: 1.1rem; color: var(--ink); }
h1 { font-size: 1.5rem; }
.strip { flex: 0 1 15rem; margin-inline: 0; }
.air { margin-left: auto; font-size: 1.05rem; }
header nav { display: flex; flex-wrap: wrap; gap: 0.1rem; }
header nav a, header nav button {
  display: grid;
  place-items: center;
  min-height: 44px;
  padding: 0 0.6rem;
  color: var(--ink-2);
  cursor: pointer;
}
header nav a:hover, header nav button:hover { color: var(--ink); }
.skew { color: var(--brick); }
@media (min-width: 821px) {
  header { flex-wrap: nowrap; }
  .pen { min-width: 0; }
  /* A long name stands in two lines, so that the head keeps its height. */
  h1 {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    overflow: hidden;
    max-height: 2.4em;
    font-size: clamp(1.05rem, 1.9vw, 1.5rem);
    line-height: 1.1;
  }
  .strip { min-width: 0; }
  .air, header nav { flex: none; }
}
/* On a tablet the name goes before the drawing. */
@media (min-width: 821px) and (max-width: 1150px) {
  .strip { flex: 0 3 7rem; }
  h1 { -webkit-line-clamp: 3; max-height: 3.4em; }
  header nav a, header nav button { padding: 0 0.4rem; }
}
@media (max-width: 820px) { .air { margin-left: 0; } }
</style>
