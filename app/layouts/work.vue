<template>
  <main id="main" tabindex="-1"><ShellUnsent /><slot /></main>
</template>

<style scoped>
main { max-width: 1280px; margin: 0 auto; padding: 1.25rem 1.75rem 1.5rem; outline: none; }
@media (max-width: 640px) { main { padding: 0.9rem 1rem 1.5rem; } }
</style>
