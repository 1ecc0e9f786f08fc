<script setup lang="ts">
import type { ListedPen } from '#contract'

/** The pen that stands for a line of an order, or none yet. Where more are here than stand in a list, one is looked up. */
const props = defineProps<{
  /** Those that are known. */
  pens: readonly ListedPen[]
  /** Whether there are more. */
  more: boolean
  error?: string | undefined
}>()
const chosen = defineModel<string | null>({ required: true })
const emit = defineEmits<{ found: [pens: readonly ListedPen[]] }>()

/** What stands for no choice in a select, which takes no empty value. */
const NONE = 'none'
const text = ref('')
const looked = useLooked(() => text.value, (words) => {
  text.value = words
})
/** Which of them say what is looked for; undefined: nothing is. */
const says = shallowRef<readonly string[]>()
const trouble = ref('')
watch(text, async (words) => {
  trouble.value = ''
  try {
    const { pens } = words ? await pensToStand(words) : { pens: undefined }
    // Something else may be looked for by now.
    if (words !== text.value) return
    if (pens) emit('found', pens)
    says.value = pens?.map(one => one.pen.id)
  } catch (error) {
    trouble.value = refused(error).message
  }
})
const choices = computed(() => [
  { label: 'None yet', value: NONE },
  ...props.pens.filter(({ pen: { id } }) => !says.value || id === chosen.value || says.value.includes(id))
    .map(({ pen }) => ({ label: `${pen.mark}, ${pen.name}`, value: pen.id })),
])
const choice = computed({
  get: () => chosen.value ?? NONE,
  set: (id) => {
    chosen.value = id === NONE ? null : id
  },
})
</script>

<template>
  <div class="stands">
    <UFormField label="The pen that stands for it" :error="error || trouble || false">
      <USelect v-model="choice" size="lg" :items="choices" />
    </UFormField>
    <PenSearch v-if="more || text" v-model="looked" label="Look a pen up" />
    <p v-if="says?.length === 0" class="quiet" role="status">No pen that is here says “{{ text }}”.</p>
  </div>
</template>

<style scoped>
.stands { display: grid; gap: 0.3rem; align-content: start; }
</style>
