<template>
  <main class="insecure">
    <h1>oxlip</h1>
    <h2>Not by this address</h2>
    <p>
      This address is not a secure one. Over it a screen may fall asleep, nothing is kept without a network, and what is entered could be
      read on the way; so Oxlip does not half work here.
    </p>
    <p>
      On the machine that Oxlip runs on, open the address it printed at start. For other devices start it with
      <code>./start --network</code> and use the https address it prints.
    </p>
  </main>
</template>

<style scoped>
.insecure { display: grid; gap: 1rem; max-width: 36rem; margin: 0 auto; padding: 2rem 1.25rem; }
h1 { font: 800 2.4rem var(--font-head); letter-spacing: -0.02em; }
code { font-family: var(--font-mono); }
</style>
