<script setup lang="ts">
import { capital } from '#core/format'
import type { RefusedEntry } from '~/stores/outbox'

/** One entry that the server would not take: what it is and why, the field to mend, and the ways on. */
const props = defineProps<{ entry: RefusedEntry }>()
const outbox = useOutbox()
const boards = useBenchPens()
const { minute: now } = useClock()
const mark = computed(() => boards.boardOf(props.entry.event.pen)?.pen.mark)
const stands = computed(() => fieldOf(props.entry.event, props.entry.reason.field))
const typed = ref(String(stands.value ?? ''))
const fault = ref('')
const isAside = computed(() => outbox.aside.some(one => one.event.id === props.entry.event.id))

async function again() {
  const { event, reason } = props.entry
  const mended = stands.value === undefined ? event : withField(event, reason.field, typed.value)
  fault.value = mended ? '' : 'Should be a number.'
  if (mended) await outbox.again(mended)
}
</script>

<template>
  <li>
    <p>
      <b>{{ entryWords(entry.event) }}<template v-if="mark">, {{ mark }}</template></b>,
      {{ clockTime(entry.event.at, now) }}, {{ entry.event.device }}
    </p>
    <p class="harm">◆ {{ entry.reason.says }}</p>
    <form novalidate @submit.prevent="again">
      <UFormField v-if="stands !== undefined" :label="capital(entry.reason.field.replace('payload.', ''))" :error="fault || false">
        <UInput v-model="typed" size="lg" autocomplete="off" />
      </UFormField>
      <button type="submit" class="key">Try again</button>
      <button v-if="!isAside" type="button" class="key" @click="outbox.putAside(entry)">Put aside</button>
    </form>
  </li>
</template>

<style scoped>
li { display: grid; gap: 0.3rem; padding: 0.5rem 0; }
li + li { border-top: 1px solid var(--line); }
form { display: flex; flex-wrap: wrap; gap: 0.5rem 0.8rem; align-items: end; }
.key { min-height: 44px; }
</style>
