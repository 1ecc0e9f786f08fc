<script setup lang="ts">
useHead({ title: 'In pictures · Findings · Oxlip' })
</script>

<template>
  <div class="pictures figures">
    <header>
      <h1>In pictures</h1>
      <p class="quiet"><NuxtLink to="/findings">All findings</NuxtLink></p>
    </header>
    <FindingsPicturesCourse />
    <FindingsPicturesTimes />
    <FindingsPicturesFilm />
    <FindingsPicturesWaits />
    <FindingsPicturesPlaces />
  </div>
</template>

<style scoped>
.pictures { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
</style>
