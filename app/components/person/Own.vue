<script setup lang="ts">
import type { Person } from '#contract'

/** One’s own way in by password: a new one, and the second step. */
const me = useMe()
const store = usePeople()
const { failed, again } = useLoad(store.load)
const self = computed(() => store.one(me.person?.id))
const form = reactive({ current: '', secret: '' })
const { errors, trouble, busy, attempt } = useAttempt()
const said = ref('')
const kept = (people: readonly Person[]) => {
  store.people = people
}
async function keep() {
  const { id = '', hasSecret = false } = self.value ?? {}
  const body = { secret: form.secret, ...(hasSecret ? { current: form.current } : {}) }
  said.value = ''
  if (!await attempt(async () => kept(await api('PUT /api/people/:id/secret', { params: { id }, body })))) return
  Object.assign(form, { current: '', secret: '' })
  said.value = 'Kept. Whoever is signed in by the old one elsewhere is out.'
}
</script>

<template>
  <ShellTrouble v-if="failed && !self" :refused="failed" @again="again" />
  <form v-else-if="self" class="own filled" aria-label="Your own way in" novalidate @submit.prevent="keep">
    <FieldSecret
      v-if="self.hasSecret" v-model="form.current" label="The password you have" :error="errors.current" autocomplete="current-password"
    />
    <FieldSecret
      v-model="form.secret" label="A new password or PIN" :error="errors.secret" autocomplete="new-password" judge :names="[self.name]"
    />
    <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <button type="submit" class="key" :disabled="busy || !form.secret">Keep the new one</button>
    <PersonSecond :person="self" self @kept="kept" />
  </form>
</template>

<style scoped>
.own { display: grid; gap: 0.7rem; }
.own > .key { justify-self: start; }
</style>
