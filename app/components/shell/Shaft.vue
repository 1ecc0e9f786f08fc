<script setup lang="ts">
/** The places, as barrels on a mandrel; the one you are in is turned. On a phone the shaft lies along the bottom edge. */
const places: { to: string, name: string, also?: string }[] = [
  { to: '/', name: 'Bench' },
  { to: '/evenings', name: 'Evenings' },
  { to: '/pens', name: 'Pens', also: '/classes' },
  { to: '/methods', name: 'Methods' },
  { to: '/findings', name: 'Findings' },
  { to: '/shelf', name: 'Shelf' },
]
const route = useRoute()
const here = ({ to, also }: typeof places[number]) =>
  route.path === to || (to !== '/' && route.path.startsWith(to)) || (also !== undefined && route.path.startsWith(also))
</script>

<template>
  <header>
    <NuxtLink class="name" to="/">oxlip</NuxtLink>
    <nav aria-label="Places">
      <ul>
        <li v-for="place in places" :key="place.to">
          <NuxtLink :to="place.to" :class="{ turned: here(place) }" :aria-current="here(place) ? 'page' : undefined">
            <svg v-if="here(place)" viewBox="0 0 118 40" preserveAspectRatio="none" aria-hidden="true">
              <path d="M0 5Q59-3 118 5V35Q59 43 0 35Z" />
            </svg>
            <span>{{ place.name }}</span>
          </NuxtLink>
          <i aria-hidden="true" />
        </li>
      </ul>
    </nav>
    <ShellAir />
  </header>
</template>

<style scoped>
header { position: relative; display: flex; align-items: center; gap: 1.5rem; height: 56px; padding: 0 1.5rem; background: var(--surface); }
header::before {
  content: "";
  position: absolute;
  inset: 26px 0 auto;
  height: 4px;
  background: linear-gradient(var(--steel-light), var(--line));
}
.name {
  position: relative;
  padding: 0 0.4rem;
  margin: 0 -0.4rem;
  background: var(--surface);
  font: 800 1.6rem var(--font-head);
  letter-spacing: -0.02em;
  color: var(--ink);
}
nav { position: relative; }
ul { display: flex; align-items: center; }
li { display: flex; align-items: center; }
a { color: var(--ink); }
li a { position: relative; display: grid; place-items: center; width: 118px; height: 44px; font-size: 1.05rem; }
li a span {
  position: relative;
  display: grid;
  place-items: center;
  width: 100%;
  height: 28px;
  background: var(--surface);
  border: 2px solid var(--line);
  border-radius: 4px;
}
li a svg { position: absolute; inset: 2px 0; width: 100%; height: 40px; fill: var(--ink); }
li a.turned span { background: none; border-color: transparent; color: var(--surface); font-weight: 700; }
li a:hover span { border-color: var(--ink-2); }
li a.turned:hover span { border-color: transparent; }
li i { width: 9px; height: 20px; margin: 0 3px; background: var(--steel); border-radius: 2px; }
@media (max-width: 1180px) { li a { width: 98px; } }
@media (max-width: 1100px) { li a { width: 80px; font-size: 0.95rem; } }
@media (max-width: 640px) {
  header { padding: 0 1rem; justify-content: space-between; gap: 0.5rem; }
  nav {
    position: fixed;
    inset: auto 0 0;
    z-index: 5;
    padding: 6px 8px calc(6px + env(safe-area-inset-bottom));
    background: var(--surface);
    border-top: 1px solid var(--line);
  }
  nav ul { justify-content: space-around; }
  li { flex: 1; }
  li a { flex: 1; width: auto; height: 52px; }
  li a { font-size: 0.8rem; letter-spacing: -0.01em; }
  li i { width: 5px; margin: 0 1px; }
  li a span { height: 36px; }
  li a svg { inset: 4px 0; height: 44px; }
}
</style>
