<script setup lang="ts">
import { counted } from '#core/format'
import { materials } from '#reference'
import type { ClassEntry } from '#contract'

/** The classes of this workshop: those that go on, and those that are over. */
useHead({ title: 'Classes · Oxlip' })
const me = useMe()
const store = useClasses()
const people = usePeople()
const { failed, loaded, again } = useLoad(() => Promise.all([store.load(), people.load()]))
const making = ref(false)
const makes = ({ makes: { fitting, material, method } }: ClassEntry) => {
  const wood = materials.find(row => row.id === material)
  const names = [useStock().fitting(fitting)?.fitting.name, wood?.name, useMethods().method(method)?.name]
  return names.filter(Boolean).join(', ')
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the classes ...</p>
  <div v-else class="all">
    <header>
      <h1>Classes</h1>
      <button v-if="me.may('all') && !making" type="button" class="key" @click="making = true">Set a class up</button>
    </header>
    <ClassForm v-if="making" :people="people.people ?? []" @kept="navigateTo(`/classes/${$event.id}`)" @close="making = false" />
    <ul v-if="store.classes?.length" class="sheet">
      <li v-for="one in store.classes" :key="one.id">
        <NuxtLink v-if="me.may('all')" :to="`/classes/${one.id}`"><b>{{ one.name }}</b></NuxtLink>
        <b v-else>{{ one.name }}</b>
        <span class="quiet">{{ counted(one.pens, 'pen') }} · {{ makes(one) }}{{ one.ended ? ' · over' : '' }}</span>
      </li>
    </ul>
    <p v-else-if="!making" class="quiet">
      None yet. A class makes the same pen side by side: the order is fixed, you look before the steps you choose, and see everybody on one
      screen.
    </p>
  </div>
</template>

<style scoped>
.all { display: grid; grid-template-columns: minmax(0, 60rem); gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 1rem; }
li { display: flex; flex-wrap: wrap; align-items: center; gap: 0.2rem 1rem; min-height: 52px; padding: 0.4rem 1.1rem; }
li + li { border-top: 1px solid var(--line); }
a { text-decoration: underline; text-underline-offset: 3px; }
</style>
