<template>
  <div class="frame">
    <ShellShaft />
    <main id="main" tabindex="-1"><ShellDemo /><ShellUnsent /><slot /></main>
  </div>
</template>

<style scoped>
main { max-width: 1280px; margin: 0 auto; padding: 1.25rem 1.5rem 3rem; outline: none; }
@media (max-width: 640px) { main { padding: 1rem 1rem 6rem; } }
</style>
