<script setup lang="ts">
import { addDays, format, startOfDay } from 'date-fns'
import type { DayHours } from '#contract'
import { weekdays } from '#schemas'

/** When hands are there: a usual week, said once, and single days that are other. */
const props = defineProps<{ hours: readonly DayHours[] }>()
const emit = defineEmits<{ close: [] }>()
const store = useEveningsKept()
const { now } = useClock()

const who = ref<DayHours['who']>('turner')
const whoChoices = [{ label: 'Your own hands', value: 'turner' }, { label: 'Somebody who helps', value: 'helper' }]
const NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const week = computed(() =>
  weekdays.map((day, index) => ({ day, name: NAMES[index] ?? '', ...first(usualOn(props.hours, who.value, day)) })))
const days = computed(() => Array.from({ length: 14 }, (_, index) => {
  const date = addDays(startOfDay(now.value), index)
  const day = format(date, 'yyyy-MM-dd')
  const said = props.hours.some(one => one.who === who.value && one.day === day)
  return { day, name: format(date, 'EEE d MMM'), said, ...first(spansOn(props.hours, who.value, date)) }
}))
const others = computed(() => days.value.filter(one => one.said))
const isOther = ref('')
const choices = computed(() => days.value.filter(one => !one.said).map(one => ({ label: one.name, value: one.day })))
function first(spans: DayHours['spans']): { from: string, to: string, more: DayHours['spans'] } {
  const [one, ...more] = spans
  return { from: one?.from ?? '', to: one?.to ?? '', more }
}

const fault = ref<{ day: string, says: string }>()
type Row = { day: string, from: string, to: string, more: DayHours['spans'] }
/** What is typed is kept as it stands; both empty: nobody is there that day. */
async function say({ day, from, to, more }: Row) {
  fault.value = undefined
  if (!from !== !to) return
  const spans = from ? [{ from, to }, ...more] : []
  try {
    await store.sayHours({ who: who.value, day, spans })
  } catch (error) {
    const { message, fields } = refused(error)
    fault.value = { day, says: Object.values(fields)[0] ?? message }
  }
}
async function other(day: string) {
  const row = days.value.find(one => one.day === day)
  const spans = row?.from ? [{ from: row.from, to: row.to }, ...row.more] : [{ from: '19:00', to: '21:00' }]
  await store.sayHours({ who: who.value, day, spans })
  isOther.value = ''
}
const PLACEHOLDER = { from: '19:00', to: '21:30' }
const typed = ref<Record<string, Partial<Pick<Row, 'from' | 'to'>>>>({})
/** As it may be typed: 19:30, 19.30, 1930, 9:30, 19. What is none of these is refused with what it should be. */
function clockOf(typed: string): string {
  const [, hours, minutes = '00'] = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*$/.exec(typed) ?? []
  return hours === undefined ? typed.trim() : `${hours.padStart(2, '0')}:${minutes}`
}
/** What is being typed stands there, whatever comes in meanwhile. */
function type(row: Row, field: 'from' | 'to', { target }: Event) {
  typed.value[row.day] = { ...typed.value[row.day], [field]: (target as HTMLInputElement).value }
}
function put(row: Row, field: 'from' | 'to') {
  const text = typed.value[row.day]?.[field] ?? row[field]
  typed.value[row.day] = { ...typed.value[row.day], [field]: clockOf(text) }
  void say({ ...row, ...typed.value[row.day] })
}
const shown = (row: Row, field: 'from' | 'to') => typed.value[row.day]?.[field] ?? row[field]
watch(who, () => {
  typed.value = {}
})
</script>

<template>
  <UModal
    :open="true" title="Hours" description="When hands are there. Work is laid into these and nowhere else." @update:open="emit('close')"
  >
    <template #body>
      <div class="hours figures">
        <URadioGroup v-model="who" legend="Whose" orientation="horizontal" :items="whoChoices" />
        <section aria-labelledby="week">
          <h3 id="week">A usual week</h3>
          <ul>
            <li v-for="row in week" :key="row.day">
              <span>{{ row.name }}</span>
              <input
                class="field-plain" inputmode="numeric" :placeholder="PLACEHOLDER.from" :value="shown(row, 'from')"
                :aria-label="`${row.name}, from`" @input="type(row, 'from', $event)" @change="put(row, 'from')"
              >
              <span>to</span>
              <input
                class="field-plain" inputmode="numeric" :placeholder="PLACEHOLDER.to" :value="shown(row, 'to')"
                :aria-label="`${row.name}, to`" @input="type(row, 'to', $event)" @change="put(row, 'to')"
              >
              <p v-if="fault?.day === row.day" class="harm" role="alert">{{ fault.says }}</p>
            </li>
          </ul>
          <p class="quiet">Empty: nobody is there that day.</p>
        </section>
        <section aria-labelledby="other">
          <h3 id="other">Days that are other</h3>
          <ul>
            <li v-for="row in others" :key="row.day">
              <span>{{ row.name }}</span>
              <input
                class="field-plain" inputmode="numeric" :placeholder="PLACEHOLDER.from" :value="shown(row, 'from')"
                :aria-label="`${row.name}, from`" @input="type(row, 'from', $event)" @change="put(row, 'from')"
              >
              <span>to</span>
              <input
                class="field-plain" inputmode="numeric" :placeholder="PLACEHOLDER.to" :value="shown(row, 'to')"
                :aria-label="`${row.name}, to`" @input="type(row, 'to', $event)" @change="put(row, 'to')"
              >
              <button type="button" class="key" @click="store.sayHours({ who, day: row.day, spans: null })">As usual</button>
              <p v-if="fault?.day === row.day" class="harm" role="alert">{{ fault.says }}</p>
            </li>
          </ul>
          <USelect
            v-model="isOther" size="xl" :items="choices" placeholder="Another day" aria-label="Another day"
            @update:model-value="other(String($event))"
          />
        </section>
        <p class="end"><button type="button" class="key next" @click="emit('close')">Done</button></p>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.hours { display: grid; gap: 1rem; }
section { display: grid; gap: 0.4rem; }
ul { display: grid; gap: 0.3rem; }
li { display: grid; grid-template-columns: 7rem 6rem auto 6rem auto; align-items: center; gap: 0.5rem; justify-content: start; }
li p { grid-column: 1 / -1; }
.end { display: flex; justify-content: flex-end; }
@media (max-width: 640px) { li { grid-template-columns: 1fr auto 1fr; } li > span:first-child { grid-column: 1 / -1; font-weight: 500; } }
</style>
