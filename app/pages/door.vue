<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { codeSchema, errorsOf, passwordSchema, type FieldErrors } from '#schemas'

/** The door: a code from an owner’s screen, or a name and a password. It tells a stranger nothing else. */
definePageMeta({ layout: 'door' })
useHead({ title: 'Door · Oxlip' })
const me = useMe()
// The page that would ask for the workshops is not open: nothing is waited for.
useWorkshops().known = true
const way = ref<'code' | 'password'>('code')
const form = reactive({ code: '', name: '', password: '', second: '', device: deviceName() })
/** Whether the door asked for figures after a password. */
const asksSecond = ref(false)
const errors = ref<FieldErrors>({})
const trouble = ref('')
const busy = ref(false)

/** Seconds until the next try is heard. */
const { pause, resume } = useIntervalFn(() => {
  me.wait -= 1
  if (me.wait <= 0) pause()
}, 1000, { immediate: false })
watch(() => me.wait > 0, is => is && resume(), { immediate: true })

async function comeIn() {
  const { code, name, password, second, device } = form
  const asked = way.value === 'code' ? { code, device } : { name, password, device }
  trouble.value = ''
  errors.value = way.value === 'code' ? errorsOf(codeSchema, asked) : errorsOf(passwordSchema, asked)
  if (Object.keys(errors.value).length) return
  busy.value = true
  try {
    if (way.value === 'code') await api('POST /api/door/code', { body: { code, device } })
    else await api('POST /api/door/password', { body: { name, password, device, ...(second ? { second } : {}) } })
    await forgetAnswers()
    localStorage.setItem('oxlip-device', device)
    location.assign('/')
  } catch (error) {
    const answer = refused(error)
    errors.value = answer.fields
    trouble.value = Object.keys(answer.fields).length ? '' : answer.message
    // Where only the figures are missing the password was right, and stays.
    if (answer.fields.second) asksSecond.value = true
    else form.password = ''
    form.second = ''
    await me.meet()
    busy.value = false
  }
}
onMounted(async () => {
  // A code that was read off a screen stands behind the #, where no server log has it.
  const read = decodeURIComponent(location.hash.slice(1))
  if (read) {
    form.code = read
    history.replaceState(history.state, '', location.pathname)
  }
  if (await me.meet() && me.me) await navigateTo('/')
})
</script>

<template>
  <div class="door">
    <h1>oxlip</h1>
    <p>Whoever belongs here comes in once on each device.</p>
    <div class="ways" role="group" aria-label="How you come in">
      <button type="button" class="key" :aria-pressed="way === 'code'" @click="way = 'code'">By a code</button>
      <button type="button" class="key" :aria-pressed="way === 'password'" @click="way = 'password'">By name and password</button>
    </div>
    <form class="sheet filled" novalidate @submit.prevent="comeIn">
      <UFormField
        v-if="way === 'code'" label="Code" :error="errors.code || false"
        description="Eight letters and figures from an owner’s screen: Workshop, People and devices."
      >
        <UInput v-model="form.code" size="xl" maxlength="40" autocomplete="one-time-code" autocapitalize="characters" spellcheck="false" />
      </UFormField>
      <template v-else>
        <UFormField label="Name" :error="errors.name || false">
          <UInput v-model="form.name" size="xl" maxlength="60" autocomplete="username" />
        </UFormField>
        <FieldSecret
          v-model="form.password" label="Password or PIN" size="xl" :error="errors.password" autocomplete="current-password"
        />
        <UFormField v-if="asksSecond" label="Figures of the second step" :error="errors.second || false">
          <UInput v-model="form.second" size="xl" maxlength="12" inputmode="numeric" autocomplete="one-time-code" />
        </UFormField>
      </template>
      <UFormField label="What this device is called" :error="errors.device || false">
        <UInput v-model="form.device" size="xl" maxlength="60" autocomplete="off" />
      </UFormField>
      <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
      <p v-else-if="me.wait > 0" class="quiet" role="status">Too many tries. The next is heard in {{ me.wait }} s.</p>
      <button type="submit" class="key next" :disabled="busy || me.wait > 0">Come in</button>
    </form>
    <p class="quiet">
      Forgotten? An owner shows you a new code. On the machine that Oxlip runs on, <code>./way-in</code> prints one.
    </p>
  </div>
</template>

<style scoped>
.door { display: grid; gap: 1rem; }
h1 { font: 800 2.4rem var(--font-head); letter-spacing: -0.02em; }
.ways { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.ways [aria-pressed="true"] { border-color: var(--ink); font-weight: 700; }
form { display: grid; gap: 0.8rem; padding: 1.1rem 1.25rem; }
code { font-family: var(--font-mono); }
</style>
