<script setup lang="ts">
import type { Person } from '#contract'
import type { Role } from '#schemas'

/** Somebody new in this workshop, or changed: name, mark, colour, what they may do, and by what they sign in. */
const props = defineProps<{ person?: Person | undefined, self: boolean }>()
const emit = defineEmits<{ kept: [people: Person[]], close: [] }>()
const COLOURS = ['#3d6f8e', '#a23a2a', '#2f6049', '#8a5a3a', '#6b4f8a', '#b8924a', '#1c2b24', '#c05a7e']
const NONE = 'none'
const roles: { label: string, value: Role | typeof NONE }[] = [
  { label: 'Owner: everything', value: 'owner' },
  { label: 'Maker: own pens, and the shelf', value: 'maker' },
  { label: 'Pupil: own pens', value: 'pupil' },
  { label: 'Looks only', value: 'looker' },
  ...(props.person ? [{ label: 'Does not belong here any more', value: NONE } as const] : []),
]
const form = reactive({
  name: props.person?.name ?? '', mark: props.person?.mark ?? '', colour: props.person?.colour ?? COLOURS[0] ?? '',
  role: (props.person ? props.person.role ?? NONE : 'maker') as Role | typeof NONE, secret: '', current: '',
})
const { errors, trouble, busy, attempt } = useAttempt()
watch(() => form.name, (now, before) => {
  const initials = (name: string) => name.split(/\s+/).filter(Boolean).map(word => word[0]?.toUpperCase() ?? '').join('').slice(0, 3)
  if (form.mark === initials(before)) form.mark = initials(now)
})

const keeping = (work: () => Promise<Person[]>) => attempt(async () => emit('kept', await work()))
async function keep() {
  const [name, mark, { colour }] = [form.name.trim(), form.mark.trim(), form]
  const { person } = props
  const done = await keeping(async () => {
    if (!person) {
      const role = form.role === NONE ? 'looker' : form.role
      return api('POST /api/people', { body: { name, mark, colour, role, secret: form.secret || null } })
    }
    const role = form.role === NONE ? null : form.role
    const { id } = person
    const isSame = name === person.name && mark === person.mark && colour === person.colour && role === person.role
    // The password first: whoever becomes an owner needs one that does for an owner.
    const people = form.secret ? await secret(form.secret) : undefined
    if (isSame) return people ?? api('GET /api/people')
    const version = people?.find(one => one.id === id)?.version ?? person.version
    return api('PUT /api/people/:id', { params: { id }, body: { version, name, mark, colour, role } })
  })
  if (done) emit('close')
}
const secret = (said: string | null) => api('PUT /api/people/:id/secret', {
  params: { id: props.person?.id ?? '' }, body: { secret: said, ...(props.self && form.current ? { current: form.current } : {}) },
})
async function takeSecret() {
  if (await keeping(() => secret(null))) emit('close')
}
const secretHint = computed(() => (form.role === 'owner' ? 'At least twelve signs.' : 'At least six signs; a PIN will do.'))
</script>

<template>
  <form class="sheet filled" :aria-label="person ? `Change ${person.name}` : 'Somebody new'" novalidate @submit.prevent="keep">
    <UFormField label="Name" :error="errors.name || false">
      <UInput v-model="form.name" size="lg" maxlength="60" autocomplete="off" />
    </UFormField>
    <UFormField label="Mark, one to three letters" :error="errors.mark || false">
      <UInput v-model="form.mark" size="lg" maxlength="3" />
    </UFormField>
    <fieldset>
      <legend>Colour</legend>
      <span class="colours">
        <label v-for="one in COLOURS" :key="one" :style="{ background: one }">
          <input v-model="form.colour" type="radio" name="colour" :value="one"><span class="sr-only">{{ one }}</span>
        </label>
      </span>
    </fieldset>
    <UFormField label="May do here" :error="errors.role || false">
      <USelect v-model="form.role" size="lg" :items="roles" />
    </UFormField>
    <FieldSecret
      v-if="self && person?.hasSecret" v-model="form.current" label="The password you have" :error="errors.current"
      autocomplete="current-password"
    />
    <FieldSecret
      v-model="form.secret" :label="person?.hasSecret ? 'A new password or PIN' : 'Password or PIN, if wanted'" :error="errors.secret"
      :description="secretHint" autocomplete="new-password" judge :names="[form.name]"
    />
    <PersonSecond v-if="person?.role" :person="person" :self="self" @kept="emit('kept', $event)" />
    <p v-if="trouble" class="harm wide" role="alert">◆ {{ trouble }}</p>
    <p class="keys wide">
      <button type="submit" class="key next" :disabled="busy">Keep</button>
      <button type="button" class="key" :disabled="busy" @click="emit('close')">Leave it</button>
      <button v-if="person?.hasSecret" type="button" class="key" :disabled="busy" @click="takeSecret">Take the password away</button>
    </p>
  </form>
</template>

<style scoped>
form { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr)); gap: 0.6rem 1.2rem; padding: 1rem 1.25rem; }
.wide { grid-column: 1 / -1; }
.keys, .colours { display: flex; flex-wrap: wrap; gap: 0.6rem; }
legend { margin-bottom: 0.4rem; font-weight: 500; }
.colours label { display: grid; place-items: center; width: 36px; height: 36px; border-radius: 18px; cursor: pointer; }
.colours label:has(:checked) { outline: 3px solid var(--ink); outline-offset: 2px; }
.colours label:has(:focus-visible) { outline: 3px solid var(--wait); outline-offset: 2px; }
.colours input { appearance: none; }
</style>
