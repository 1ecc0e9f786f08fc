<script setup lang="ts">
/** The evenings in a calendar program: as a file, or under a secret address that it reads by itself. */
const store = useEveningsKept()
const file = ref('')
onMounted(async () => {
  await whereHere()
  file.value = addressHere('/api/evenings/calendar.ics')
})
const address = computed(() =>
  (store.kept?.calendar ? `${window.location.origin}/api/calendar/${store.kept.calendar}.ics` : undefined))
</script>

<template>
  <section class="calendar sheet" aria-labelledby="calendar">
    <h2 id="calendar">In a calendar</h2>
    <p>Evenings, ends of waits with an alarm, and promised days, as they were planned when the evenings were last looked at.</p>
    <p class="ways"><a class="key" :href="file" download="oxlip-evenings.ics">Calendar file</a></p>
    <template v-if="address">
      <p>
        A calendar program on this machine reads this address by itself. Whoever knows it can read the evenings: give it to nobody else.
      </p>
      <code>{{ address }}</code>
      <p class="ways">
        <button type="button" class="key" @click="store.attempt(store.newAddress)">Another address</button>
        <button type="button" class="key" @click="store.attempt(store.dropAddress)">Take it away</button>
      </p>
    </template>
    <p v-else class="ways"><button type="button" class="key" @click="store.attempt(store.newAddress)">Make a secret address</button></p>
    <p v-if="store.trouble" class="harm" role="alert">{{ store.trouble }}</p>
  </section>
</template>

<style scoped>
.calendar { display: grid; gap: 0.6rem; padding: 1rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.6rem; }
code { overflow-wrap: anywhere; font-family: var(--font-mono); }
</style>
