<script setup lang="ts">
import { forHelper } from '#core/evening'
import { roughSpan } from '#core/format'
import type { Group } from '~/utils/evening-view'

/** The next evening as somebody’s hands go, in large letters; a group of pens is one tap from being worked together. */
const props = defineProps<{ who: Who, evening: Stretch, groups: readonly Group[] }>()
const id = useId()
const workshop = useWorkshop()
const { minute: now } = useClock()
/** So many stand there at once; the rest is a tap away. */
const SHOWN = 10
const open = ref(false)
const to = ({ blocks }: Group) => {
  const pens = [...new Set(blocks.map(one => one.pen))]
  return pens.length > 1 ? { path: '/together', query: { pens: pens.join(',') } } : `/pens/${pens[0]}/work`
}
const span = ({ from, to: ends }: Group) => roughSpan((ends.getTime() - from.getTime()) / 1000)
const overNight = ({ blocks }: Group) =>
  blocks.some(one => one.waits && one.waits > props.evening.to && one.waits.getTime() - one.to.getTime() >= 7_200_000)
const name = computed(() => eveningName(props.evening.from, now.value))
</script>

<template>
  <section :aria-labelledby="id">
    <h2 :id="id">{{ name }}{{ who === 'helper' ? forHelper(workshop.workshop?.helper) : ', as the hands go' }}</h2>
    <ol class="figures">
      <li v-for="(group, index) in open ? groups : groups.slice(0, SHOWN)" :key="index">
        <NuxtLink :to="to(group)" class="sheet" :class="{ next: index === 0 && who === 'turner' }">
          <span class="when">{{ clockTime(group.from, now) }} · {{ span(group) }}</span>
          <b>{{ group.title }}</b>
          <span>{{ group.marks.join(' ') }}<template v-if="overNight(group)"> · <i>goes on over night</i></template></span>
        </NuxtLink>
      </li>
    </ol>
    <p v-if="groups.length > SHOWN && !open">
      <button type="button" class="key" @click="open = true">The rest of the evening, {{ groups.length - SHOWN }} more</button>
    </p>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.5rem; }
ol { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 14rem), 1fr)); gap: 0.5rem; }
a { display: grid; gap: 0.2rem; align-content: start; height: 100%; min-height: 6.4rem; padding: 0.8rem 0.9rem; color: var(--ink); }
a:hover { border-color: var(--ink-2); }
a.next { background: var(--oxlip); border-color: var(--oxlip); color: var(--on-oxlip); }
.when { font-family: var(--font-mono); color: var(--ink-2); }
.next .when { color: var(--on-oxlip-2); }
b { font: 700 1.3rem/1.15 var(--font-head); overflow-wrap: anywhere; }
i { font-style: normal; color: var(--wait); }
.next i { color: var(--on-oxlip-2); }
</style>
