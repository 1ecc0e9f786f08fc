<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import type { Board } from '~/stores/bench'

/** The pens in work as number keys: which is here, which waits and until when, and which one comes next, and why. */
const props = defineProps<{
  here: string
  boards: readonly Board[]
  next?: { id: string, mark: string, doing: string }
  why?: string
  ended: readonly string[]
  away: boolean
}>()
const { now } = useClock()

const tabs = computed(() =>
  props.boards.map(({ pen, summary }, index) => {
    const { wait } = summary
    const running = wait && new Date(wait.until) > now.value
    return {
      id: pen.id,
      mark: pen.mark,
      name: pen.name,
      number: index + 1,
      says: running ? `ready ${clockTime(wait.until, now.value)}` : 'free',
      running,
      until: running ? wait.until : '',
      open: summary.openDefects,
      doing: summary.next?.title ?? '',
    }
  }),
)
/** So many stand in a row of their own; of more those that matter now, and the rest a touch away. */
const phone = useMediaQuery('(max-width: 640px)')
const FEW = { phone: 3, else: 9 }
const few = computed(() => (phone.value ? FEW.phone : FEW.else))
const all = ref(false)
const sought = ref('')
/** This pen, the one that comes next, those whose wait has just ended, then those that are ready soonest. */
const shown = computed(() => {
  const text = sought.value.trim().toLowerCase()
  if (all.value) return text ? tabs.value.filter(tab => `${tab.mark} ${tab.name}`.toLowerCase().includes(text)) : tabs.value
  if (tabs.value.length <= few.value + 1) return tabs.value
  const matters = (tab: (typeof tabs.value)[number]) =>
    tab.id === props.here ? 0 : tab.id === props.next?.id ? 1 : props.ended.includes(tab.mark) ? 2 : tab.running ? 3 : 4
  const first = [...tabs.value].sort((a, b) => matters(a) - matters(b) || a.until.localeCompare(b.until)).slice(0, few.value)
  return tabs.value.filter(tab => first.includes(tab))
})
const folded = computed(() => tabs.value.length > few.value + 1)
</script>

<template>
  <nav v-if="tabs.length > 1 || (next && next.id !== here)" aria-label="Pens on the bench" class="pens">
    <ul>
      <li v-for="tab in shown" :key="tab.id">
        <NuxtLink
          :to="`/pens/${tab.id}/work`" replace class="tab"
          :class="{ here: tab.id === here, next: away && tab.id === next?.id && tab.id !== here, ended: ended.includes(tab.mark) }"
          :aria-current="tab.id === here ? 'page' : undefined" :aria-label="`${tab.mark} ${tab.name}, ${tab.says}`"
        >
          <kbd v-if="tab.number < 10">{{ tab.number }}</kbd>
          <b>{{ tab.mark }}</b>
          <span :class="{ running: tab.running }">{{ tab.says }}<i v-if="tab.open" class="harm"> ◆</i></span>
        </NuxtLink>
      </li>
      <li v-if="folded" class="rest">
        <button type="button" class="tab" :aria-expanded="all" @click="all = !all">
          <b>{{ all ? 'Fewer' : `All ${tabs.length}` }}</b>
        </button>
      </li>
    </ul>
    <input
      v-if="folded && all" v-model="sought" type="search" placeholder="Mark or name" aria-label="Look a pen up on the bench" class="look"
    >
    <p class="why" role="status">
      <template v-if="!next" />
      <template v-else-if="next.id === here"><b>This one next</b>, {{ why }}.</template>
      <template v-else><b>Next {{ next.mark }}: {{ next.doing }}</b>, {{ why }}. <kbd>key 0</kbd></template>
    </p>
  </nav>
</template>

<style scoped>
.pens { display: grid; gap: 0.25rem; }
ul { display: flex; flex-wrap: wrap; gap: 0.5rem; }
li { flex: 1 1 6.5rem; max-width: 12rem; }
.tab {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.6rem;
  align-content: center;
  min-height: 64px;
  padding: 0.3rem 0.8rem;
  border: 2px solid var(--line);
  border-radius: 8px;
  background: var(--surface);
  color: var(--ink);
  line-height: 1.15;
}
.tab b { font: 700 1.35rem var(--font-head); }
.tab span { flex: 0 0 100%; color: var(--ink-2); white-space: nowrap; }
.tab span.running { color: var(--wait); }
.look {
  max-width: 20rem;
  min-height: 56px;
  padding: 0 0.9rem;
  border: 2px solid var(--line);
  border-radius: 8px;
  background: var(--surface);
  color: var(--ink);
  font-size: 1.1rem;
}
.rest .tab { width: 100%; justify-content: center; cursor: pointer; text-align: center; }
.tab.here { border-color: var(--ink); }
.tab.next { border-color: var(--oxlip); border-width: 4px; padding: calc(0.3rem - 2px) calc(0.8rem - 2px); }
.tab.ended { animation: ends 0.6s steps(2, jump-none) 4; }
@keyframes ends { to { background: var(--wait); } }
kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); align-self: center; }
.why { min-height: 1.6em; font-size: 1.05rem; line-height: 1.6; color: var(--ink-2); }
.why b { color: var(--ink); }
@media (max-width: 1100px) { .why kbd { display: none; } }
@media (max-width: 640px) {
  li { flex-basis: 5.2rem; }
  .tab { padding: 0.2rem 0.5rem; }
  .tab span { font-size: 0.85rem; white-space: normal; }
  .why { font-size: 0.95rem; }
}
</style>
