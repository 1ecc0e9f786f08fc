<script setup lang="ts">
import { useTimeout } from '@vueuse/core'

/** Nothing stands there before it is known what stands above it, so that nothing moves; but nobody waits for that longer than this, ms. */
const LONGEST = 2000
const workshops = useWorkshops()
const waited = useTimeout(LONGEST)
</script>

<template>
  <div class="frame">
    <ShellShaft />
    <main id="main" tabindex="-1"><ShellDemo /><ShellUnsent /><div v-show="workshops.known || waited"><slot /></div></main>
  </div>
</template>

<style scoped>
main { max-width: 1280px; margin: 0 auto; padding: 1.25rem 1.5rem 3rem; outline: none; }
@media (max-width: 640px) { main { padding: 1rem 1rem 6rem; } }
</style>
