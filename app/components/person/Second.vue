<script setup lang="ts">
import type { Person, SecondStep } from '#contract'

/** A second step at the door: figures that another device shows. Set up, or taken away. */
const props = defineProps<{ person: Person, self: boolean }>()
const emit = defineEmits<{ kept: [people: Person[]] }>()
const made = shallowRef<SecondStep>()
const form = reactive({ current: '', second: '' })
const { errors, trouble, busy, attempt } = useAttempt()
const params = computed(() => ({ id: props.person.id }))
const begin = () => attempt(async () => {
  made.value = await api('POST /api/people/:id/second', { params: params.value, body: { current: form.current } })
  form.current = ''
})
const confirm = () => attempt(async () => {
  emit('kept', await api('PUT /api/people/:id/second', { params: params.value, body: { second: form.second } }))
  made.value = undefined
  form.second = ''
})
const drop = () => attempt(async () => emit('kept', await api('DELETE /api/people/:id/second', { params: params.value })))
</script>

<template>
  <details class="second wide">
    <summary>Second step at the door: <b>{{ person.hasSecond ? 'asked for' : 'none' }}</b></summary>
    <div class="inside">
      <template v-if="person.hasSecond">
        <p>After the password the door asks for six figures that another device shows.</p>
        <button type="button" class="key" :disabled="busy" @click="drop">Ask for the password alone</button>
      </template>
      <p v-else-if="!self" class="quiet">Each sets it up for themselves, signed in.</p>
      <p v-else-if="!person.hasSecret" class="quiet">It comes after a password: give yourself one first.</p>
      <template v-else-if="!made">
        <p>
          Whoever finds your password out still cannot come in: the door asks for six figures too, which an app on another device shows.
        </p>
        <FieldSecret
          v-model="form.current" label="Your password, for the second step" autocomplete="current-password" :error="errors.current"
        />
        <button type="button" class="key" :disabled="busy || !form.current" @click="begin">Set it up</button>
      </template>
      <template v-else>
        <p>Let an app that shows such figures read this, or type the letters into it.</p>
        <FieldPicture :text="made.link" label="A picture of the secret, for the camera of the device that is to show the figures" />
        <p class="figures letters">{{ made.secret.match(/.{1,4}/g)?.join(' ') }}</p>
        <UFormField label="The six figures it shows now" :error="errors.second || false">
          <UInput v-model="form.second" size="lg" maxlength="12" inputmode="numeric" autocomplete="one-time-code" />
        </UFormField>
        <button type="button" class="key next" :disabled="busy || !form.second" @click="confirm">From now on ask for them</button>
      </template>
      <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
    </div>
  </details>
</template>

<style scoped>
.inside { display: grid; justify-items: start; gap: 0.6rem; padding-block: 0.5rem; }
summary { min-height: 32px; cursor: pointer; }
.letters { font-family: var(--font-mono); overflow-wrap: anywhere; }
.wide { grid-column: 1 / -1; }
</style>
