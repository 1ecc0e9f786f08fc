<script setup lang="ts">
import { addDays, format, startOfDay } from 'date-fns'
import type { DayHours } from '#contract'
import { formatSpan } from '#core/format'
import { weekdays } from '#schemas'

/** When hands are there: a usual week, said once, and single days that are other. */
const props = defineProps<{ hours: readonly DayHours[] }>()
const emit = defineEmits<{ close: [] }>()
const store = useEveningsKept()
const me = useMe()
const { minute: now } = useClock()
const { stays } = useEvenings()
const STAYS = [{ label: 'anything', value: 0 }, ...[10, 60, 240].map(value => ({ label: `more than ${formatSpan(value * 60)}`, value }))]

const who = ref<Who>('turner')
const whoChoices = [{ label: 'Your own hands', value: 'turner' }, { label: 'Somebody who helps', value: 'helper' }]
const NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const week = computed(() => weekdays.map((day, index) => ({ day, name: NAMES[index] ?? '', spans: usualOn(props.hours, who.value, day) })))
/** So many days from today can be other than usual. */
const AHEAD = 14
const days = computed(() => Array.from({ length: AHEAD }, (_, index) => {
  const date = addDays(startOfDay(now.value), index)
  const day = format(date, 'yyyy-MM-dd')
  const said = props.hours.some(one => one.who === who.value && one.day === day)
  return { day, name: format(date, 'EEE d MMM'), said, spans: spansOn(props.hours, who.value, date) }
}))
const others = computed(() => days.value.filter(one => one.said))
const choices = computed(() => days.value.filter(one => !one.said).map(one => ({ label: one.name, value: one.day })))

/** Where nothing is usual on a day that is to be other. */
const SOME: DayHours['spans'] = [{ from: '19:00', to: '21:00' }]
const isOther = ref('')
const fault = ref('')
async function other(day: string) {
  const spans = days.value.find(one => one.day === day)?.spans ?? []
  fault.value = ''
  try {
    await store.sayHours({ who: who.value, day, spans: spans.length ? spans : SOME })
  } catch (error) {
    fault.value = refused(error).message
  }
  isOther.value = ''
}
</script>

<template>
  <UModal
    :open="true" title="Hours" description="When hands are there. Work is laid into these and nowhere else." @update:open="emit('close')"
  >
    <template #body>
      <div class="hours figures">
        <URadioGroup v-model="who" legend="Whose" orientation="horizontal" :items="whoChoices" />
        <EveningHelper v-if="who === 'helper' && me.may('all')" />
        <section aria-labelledby="week">
          <h3 id="week">A usual week</h3>
          <ul><EveningSpan v-for="one in week" :key="who + one.day" :who="who" :day="one.day" :name="one.name" :spans="one.spans" /></ul>
          <p class="quiet">Empty: nobody is there that day.</p>
        </section>
        <section aria-labelledby="other">
          <h3 id="other">Days that are other</h3>
          <ul>
            <EveningSpan v-for="one in others" :key="who + one.day" :who="who" :day="one.day" :name="one.name" :spans="one.spans" usual />
          </ul>
          <USelect
            v-model="isOther" size="xl" :items="choices" placeholder="Another day" aria-label="Another day"
            @update:model-value="other(String($event))"
          />
          <p v-if="fault" class="harm" role="alert">{{ fault }}</p>
        </section>
        <URadioGroup
          v-model="stays" legend="Keep the order that is shown, unless another has pens ready sooner in all by" :items="STAYS"
        />
        <p class="end"><button type="button" class="key next" @click="emit('close')">Done</button></p>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.hours { display: grid; gap: 1rem; }
section { display: grid; gap: 0.4rem; }
ul { display: grid; gap: 0.3rem; }
.end { display: flex; justify-content: flex-end; }
</style>
