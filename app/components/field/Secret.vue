<script setup lang="ts">
/** A password or a PIN, which can be shown while it is typed; `judge`: a new one, of which it is told how soon it is guessed. */
const said = defineModel<string>({ required: true })
const props = withDefaults(defineProps<{
  label: string
  error?: string | undefined
  description?: string | undefined
  size?: 'lg' | 'xl'
  autocomplete: 'current-password' | 'new-password'
  judge?: boolean
  names?: readonly string[]
}>(), { error: undefined, description: undefined, size: 'lg', judge: false, names: () => [] })
const isShown = ref(false)
/** Of so many powers of ten guesses the meter is full. */
const FULL = 12

const judged = shallowRef<{ power: number, words: string }>()
watch(() => [said.value, props.names] as const, async ([secret, names]) => {
  if (!props.judge || !secret) return
  // What people use is long to list: it comes when something is typed.
  const { guessesOf, guessWords } = await import('#schemas/guesses')
  if (said.value !== secret) return
  const guesses = guessesOf(secret, names)
  judged.value = { power: Math.min(FULL, Math.log10(guesses)), words: guessWords(guesses) }
})
</script>

<template>
  <UFormField :label="label" :error="error || false" :description="description">
    <span class="secret">
      <UInput
        v-model="said" class="typed" :size="size" :type="isShown ? 'text' : 'password'" maxlength="200" :autocomplete="autocomplete"
        autocapitalize="none" spellcheck="false"
      />
      <button type="button" class="key small" :aria-pressed="isShown" @click="isShown = !isShown">
        {{ isShown ? 'Hide' : 'Show' }}<span class="sr-only"> what is typed as {{ label }}</span>
      </button>
    </span>
    <span v-if="said && judged" class="judged">
      <meter min="0" :max="FULL" low="6" high="8" :optimum="FULL" :value="judged.power" :aria-label="`${label}: how hard to find`" />
      <span role="status">{{ judged.words }}</span>
    </span>
  </UFormField>
</template>

<style scoped>
.secret, .judged { display: flex; align-items: center; gap: 0.5rem; }
.typed { flex: 1; }
.judged { margin-top: 0.35rem; }
meter { width: 7rem; }
</style>
