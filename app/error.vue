<script setup lang="ts">
import type { NuxtError } from '#app'

/** What stands there when a page does not exist or broke. */
const props = defineProps<{ error: NuxtError }>()
// The page that would ask for the workshops is not there: nothing is waited for.
useWorkshops().known = true
useThemeShown()
const missing = computed(() => props.error.statusCode === 404)
</script>

<template>
  <div>
    <NuxtLayout>
      <h1>{{ missing ? 'There is no such page' : 'This page broke' }}</h1>
      <p class="quiet">
        {{ missing ? 'The address may be an old one.' : 'What you entered is kept. Go back to the bench and try again.' }}
      </p>
      <p><a class="key next" href="/">To the bench</a></p>
    </NuxtLayout>
  </div>
</template>

<style scoped>
p { margin-top: 0.8rem; }
</style>
