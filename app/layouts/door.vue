<template>
  <main id="main" tabindex="-1"><slot /></main>
</template>

<style scoped>
main { max-width: 34rem; margin: 0 auto; padding: 2rem 1.25rem; outline: none; }
</style>
