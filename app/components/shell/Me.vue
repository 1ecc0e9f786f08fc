<script setup lang="ts">
/** Who is here, the way to the people and devices of this workshop, and the way out. */
const me = useMe()
const outbox = useOutbox()
const photos = usePhotos()
const unsent = computed(() => outbox.pending.length + photos.waiting.size)
const [asking, busy, fault] = [ref(false), ref(false), ref('')]
const isOpen = ref(false)

async function signOut(anyway = false) {
  busy.value = true
  fault.value = ''
  try {
    if (!anyway) {
      await Promise.all([outbox.send(), photos.send()])
      if (unsent.value) {
        asking.value = true
        return
      }
    }
    await api('POST /api/door/out')
    await forgetAll()
    location.assign('/door')
  } catch (error) {
    fault.value = refused(error).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section aria-labelledby="me">
    <h3 id="me">Who comes in here</h3>
    <p v-if="me.person" class="who">
      <span><PersonMark :person="me.person" /> <b>{{ me.person.name }}</b> <span class="quiet">· {{ ROLE_WORDS[me.role] }}</span></span>
      <button type="button" class="key" :disabled="busy" @click="signOut()">Sign out</button>
    </p>
    <details v-if="me.person" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
      <summary class="opens">Your password and second step</summary>
      <LazyPersonOwn v-if="isOpen" />
    </details>
    <p v-if="me.may('all')"><NuxtLink class="key" to="/people">People and devices</NuxtLink></p>
    <div v-if="asking" role="alert" class="sure">
      <p>Not sent yet: {{ unsent }}. Signing out empties what this browser kept, and that would be lost.</p>
      <span class="who">
        <button type="button" class="key" :disabled="busy" @click="signOut(true)">Sign out and lose it</button>
        <button type="button" class="key" :disabled="busy" @click="asking = false">Stay</button>
      </span>
    </div>
    <p v-if="fault" class="harm" role="alert">◆ {{ fault }}</p>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; margin-top: 1.4rem; padding-top: 1rem; border-top: 1px solid var(--line); }
h3 { font-weight: 700; }
.who { display: flex; flex-wrap: wrap; align-items: center; justify-content: space-between; gap: 0.5rem 1rem; }
.sure { display: grid; gap: 0.5rem; padding: 0.7rem 0.9rem; border: 1px solid var(--line); border-radius: 8px; }
</style>
