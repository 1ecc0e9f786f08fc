<script setup lang="ts">
/** What keeps entries from being safe: a browser that keeps nothing, and entries that the server would not take. */
const outbox = useOutbox()
const photos = usePhotos()
const unkept = computed(() => (outbox.unkept && outbox.pending.length > 0) || (photos.unkept && photos.waiting.size > 0))
</script>

<template>
  <div v-if="unkept || outbox.refused.length" class="unsent">
    <p v-if="unkept" class="harm" role="alert">
      ◆ This browser keeps nothing by itself (a private window, or its store is full): leave this page open until everything is sent.
    </p>
    <section v-if="outbox.refused.length" class="sheet" role="alert" aria-labelledby="refused">
      <h2 id="refused">Not taken</h2>
      <p class="quiet">It counts on this device only. Put it right and try again, or put it aside: then it counts no more.</p>
      <ul><LazyShellRefusedEntry v-for="entry in outbox.refused" :key="entry.event.id" :entry="entry" /></ul>
    </section>
  </div>
</template>

<style scoped>
.unsent { display: grid; gap: 0.6rem; margin-bottom: 1rem; }
section { padding: 0.8rem 1.1rem; }
</style>
