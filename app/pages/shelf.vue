<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'

/** The parts of the shelf, each a page of its own. */
const route = useRoute()
const me = useMe()
const all = [
  ['/shelf', 'Abrasives'],
  ['/shelf/finishes', 'Glues and finishes'],
  ['/shelf/fittings', 'Fittings and bits'],
  ['/shelf/blanks', 'Blanks'],
  ['/shelf/cutting', 'Cutting'],
  ['/shelf/buy', 'What to buy', 'all'],
  ['/shelf/prices', 'Prices', 'money'],
  ['/shelf/devices', 'Devices'],
  ['/shelf/backup', 'Backup and files', 'all'],
] as const
/** Those that whoever is here may use. */
const parts = computed(() => all.filter(([, , doing]) => doing === undefined || me.may(doing)))
/** Pages that stand within a part without being named after it. */
const WITHIN: Record<string, string> = { '/shelf/sheet': '/shelf/backup' }
const path = computed(() => WITHIN[route.path] ?? route.path)
/** What one works out or joins to one’s own device there changes nothing on the shelf. */
const OPEN = ['/shelf/cutting', '/shelf/devices', '/shelf/stick']
const isOpen = computed(() => OPEN.some(one => route.path.startsWith(one)))
/** On a phone nine names would fill half the window. */
const isPhone = useMediaQuery('(max-width: 640px)')
const here = (to: string) => (to === '/shelf' ? path.value === to : path.value.startsWith(to))
const choices = computed(() => parts.value.map(([to, name]) => ({ label: name, value: to })))
const chosen = computed({
  get: () => parts.value.find(([to]) => here(to))?.[0],
  set: to => to && void navigateTo(to),
})
</script>

<template>
  <div class="whole">
    <nav aria-label="Parts of the shelf">
      <USelect v-if="isPhone" v-model="chosen" :items="choices" size="xl" aria-label="Part of the shelf" :ui="{ content: 'max-h-none' }" />
      <template v-else>
        <NuxtLink v-for="[to, name] in parts" :key="to" :to="to" :aria-current="here(to) ? 'page' : undefined">{{ name }}</NuxtLink>
      </template>
    </nav>
    <ShellLooking what="The shelf is changed" :open="isOpen"><NuxtPage /></ShellLooking>
  </div>
</template>

<style scoped>
.whole { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.8rem; }
nav { display: flex; flex-wrap: wrap; gap: 0.2rem 0.6rem; }
nav a { display: grid; place-items: center; min-height: 44px; padding: 0 0.7rem; color: var(--ink); border-bottom: 4px solid transparent; }
nav > :deep(button[role="combobox"]) { width: 100%; min-height: 44px; font-weight: 700; }
nav a:hover { border-color: var(--line); }
nav a[aria-current] { font-weight: 700; border-color: var(--ink); }
</style>
