<script setup lang="ts">
import type { HoursChange } from '#schemas'

/** When hands are there on one day: typed from and to; both empty, nobody is. */
const props = defineProps<{ who: Who, day: string, name: string, spans: HoursChange['spans'], usual?: boolean }>()
const store = useEveningsKept()
const ENDS = ['from', 'to'] as const
type End = (typeof ENDS)[number]
const PLACEHOLDER = { from: '19:00', to: '21:30' }

/** What is being typed stands there, whatever comes in meanwhile. */
const typed = ref<Partial<Record<End, string>>>({})
const shown = (end: End) => typed.value[end] ?? props.spans?.[0]?.[end] ?? ''
const fault = ref('')
/** As it may be typed: 19:30, 19.30, 1930, 9:30, 19. What is none of these is refused with what it should be. */
function clockOf(text: string): string {
  const [, hours, minutes = '00'] = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*$/.exec(text) ?? []
  return hours === undefined ? text.trim() : `${hours.padStart(2, '0')}:${minutes}`
}
async function keep() {
  for (const end of ENDS) typed.value[end] = clockOf(shown(end))
  const [from, to] = [shown('from'), shown('to')]
  fault.value = ''
  if (!from === !to) await say(from ? [{ from, to }, ...(props.spans ?? []).slice(1)] : [])
}
async function say(spans: HoursChange['spans']) {
  try {
    await store.sayHours({ who: props.who, day: props.day, spans })
  } catch (error) {
    const { message, fields } = refused(error)
    fault.value = Object.values(fields)[0] ?? message
  }
}
</script>

<template>
  <li>
    <span>{{ name }}</span>
    <input
      v-for="end in ENDS" :key="end" class="field-plain" inputmode="numeric" :placeholder="PLACEHOLDER[end]" :value="shown(end)"
      :aria-label="`${name}, ${end}`" @input="typed[end] = ($event.target as HTMLInputElement).value" @change="keep"
    >
    <button v-if="usual" type="button" class="key" @click="say(null)">As usual</button>
    <p v-if="fault" class="harm" role="alert">{{ fault }}</p>
  </li>
</template>

<style scoped>
li { display: grid; grid-template-columns: 7rem 6rem 6rem auto; align-items: center; gap: 0.5rem; justify-content: start; }
li p { grid-column: 1 / -1; }
@media (max-width: 640px) {
  li { grid-template-columns: repeat(2, minmax(0, 1fr)); justify-content: stretch; }
  li > span { grid-column: 1 / -1; font-weight: 500; }
  li input { min-width: 0; width: 100%; }
}
</style>
