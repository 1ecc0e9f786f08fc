<script setup lang="ts">
/** Tells that this is the demo, and the way out of it. */
const workshops = useWorkshops()
</script>

<template>
  <p v-if="workshops.entered?.kind === 'demo'" class="demo">
    <span>
      <b>{{ workshops.entered.name }}</b> · the demo<span class="more">: made-up pens to try things on. What you do here stays here.</span>
    </span>
    <button v-if="workshops.own" type="button" class="key" @click="enterWorkshop(workshops.own.id)">Go to {{ workshops.own.name }}</button>
  </p>
</template>

<style scoped>
.demo {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.3rem 1.2rem;
  margin-bottom: 1rem;
  padding-bottom: 0.5rem;
  border-bottom: 1px solid var(--line);
  color: var(--ink-2);
}
@media (max-width: 640px) {
  .demo { column-gap: 0.5rem; }
  .more { display: none; }
}
</style>
