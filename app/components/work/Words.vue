<script setup lang="ts">
/** The largest letters of the work screen: what stands before the turner now, readable from two metres. */
defineProps<{ lead: string, title: string, how?: string, why?: string }>()
</script>

<template>
  <div>
    <p class="lead">{{ lead }}</p>
    <p class="title">{{ title }}</p>
    <p v-if="how" class="how">{{ how }}</p>
    <p v-if="why" class="why">{{ why }}</p>
    <slot />
  </div>
</template>

<style scoped>
.lead { font-size: 1.4rem; color: var(--ink-2); }
.title {
  font: 700 clamp(2.4rem, 7.4vw, 6.2rem)/1.05 var(--font-head);
  letter-spacing: -0.02em;
  margin: 0.1rem 0 0.6rem;
  overflow-wrap: anywhere;
}
.looking .title { font-size: clamp(2.4rem, 5vw, 4.4rem); }
.how { font-size: 1.75rem; line-height: 1.3; }
.why { font-size: 1.6rem; line-height: 1.35; color: var(--ink-2); }
@media (max-width: 820px) {
  .how { font-size: 1.25rem; }
  .why { font-size: 1.15rem; }
}
</style>
