<script setup lang="ts">
import { addDays, format, parseISO } from 'date-fns'
import { counted, formatSpan, list, millilitres } from '#core/format'
import { eveningCost } from '#core/money'
import type { EveningSum } from '#contract'

/** What an evening came to, on all pens: hands, coats, what they took, what it cost, what was sold. */
const bench = useBenchPens()
const prices = usePrices()
const workshop = useWorkshop()
const { minute: now } = useClock()
/** What is worked after midnight belongs to the evening before, up to this hour. */
const TURNS = 4
const tonight = computed(() => format(new Date(now.value.getTime() - TURNS * 3_600_000), 'yyyy-MM-dd'))
const day = ref(tonight.value)
const told = shallowRef<EveningSum>()
const open = ref(false)
const from = computed(() => new Date(parseISO(day.value).getTime() + TURNS * 3_600_000))
/** Entries that came in, of which the sum may be another. */
const entered = computed(() => bench.inWork.reduce((sum, one) => sum + one.state.log.length, 0))
watch([open, day, entered], async () => {
  if (!open.value || !day.value || Number.isNaN(from.value.getTime())) return
  const query = { from: from.value.toISOString(), to: addDays(from.value, 1).toISOString() }
  const [sum] = await Promise.all([api('GET /api/evenings/sum', { query }).catch(() => undefined), prices.load().catch(() => undefined)])
  told.value = sum
})
const bottleOf = (id: string) => workshop.shelf?.products.find(one => one.id === id)
const cost = computed(() => told.value && eveningCost(told.value, prices.prices ?? {}, id => bottleOf(id)?.bottle))
const took = computed(() => list((told.value?.bottles ?? []).map(({ id, ml }) => `${millilitres(ml)} ${bottleOf(id)?.name ?? id}`)))
</script>

<template>
  <details class="sum figures" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>What an evening came to</summary>
    <label class="day">
      <span>Evening of</span>
      <UInput v-model="day" type="date" size="lg" :max="tonight" aria-label="Evening of" />
    </label>
    <template v-if="told">
      <p v-if="!told.steps && !told.sold" class="quiet">Nothing was done then.</p>
      <dl v-else>
        <div><dd>{{ formatSpan(told.seconds) }}</dd><dt>hands on {{ counted(told.pens, 'pen') }}</dt></div>
        <div><dd>{{ told.steps }}</dd><dt>{{ told.steps === 1 ? 'step' : 'steps' }}, {{ counted(told.coats, 'coat') }}</dt></div>
        <div v-if="cost?.total.value"><dd><FigureOpen :figure="cost.total" /></dd><dt>what is known of its cost</dt></div>
        <div v-if="told.sold"><dd>{{ workshop.inMoney(told.taken) }}</dd><dt>from {{ counted(told.sold, 'pen') }} sold</dt></div>
      </dl>
      <p v-if="took" class="quiet">Coats took {{ took }}.</p>
    </template>
  </details>
</template>

<style scoped>
.sum > summary { padding-block: 0.6rem; font-weight: 500; cursor: pointer; }
.day { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem; }
dl { display: flex; flex-wrap: wrap; gap: 0.4rem 1.6rem; margin-top: 0.7rem; }
dl div { display: flex; align-items: baseline; gap: 0.5rem; }
dd { font-size: 1.3rem; font-weight: 700; }
</style>
