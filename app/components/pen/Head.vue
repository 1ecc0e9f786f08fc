<script setup lang="ts">
import type { Pen } from '#contract'

/** The head of a pen's screens: tag, name, reason, and the way between Plan, Work and Record. */
const props = defineProps<{ pen: Pen }>()
const route = useRoute()
const views = computed(() =>
  [
    ['Plan', ''],
    ['Work', '/work'],
    ['Record', '/record'],
  ].map(([name, end]) => ({ name, to: `/pens/${props.pen.id}${end}` })),
)
</script>

<template>
  <header>
    <PenTag :mark="pen.mark" size="head" />
    <h1>{{ pen.name }}</h1>
    <p v-if="pen.reason || pen.due" class="quiet">
      <template v-if="pen.reason">for: {{ pen.reason }}{{ pen.due ? ', ' : '' }}</template>
      <NuxtLink v-if="pen.due" :to="{ path: '/evenings', query: { by: pen.due, pens: pen.id } }">due {{ dayWords(pen.due) }}</NuxtLink>
    </p>
    <nav aria-label="Views of this pen">
      <NuxtLink
        v-for="view in views" :key="view.to" :to="view.to"
        :aria-current="route.path.replace(/\/$/, '') === view.to ? 'page' : undefined"
      >{{ view.name }}</NuxtLink>
    </nav>
  </header>
</template>

<style scoped>
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 1.2rem; }
h1 { font-size: 1.75rem; }
nav { display: flex; gap: 0.4rem; margin-left: auto; }
nav a {
  display: grid;
  place-items: center;
  min-height: 44px;
  padding: 0 0.7rem;
  font-size: 1.1rem;
  color: var(--ink);
  border-bottom: 4px solid transparent;
}
nav a[aria-current] { font-weight: 700; border-color: var(--ink); }
nav a:hover { border-color: var(--line); }
nav a[aria-current]:hover { border-color: var(--ink); }
</style>
