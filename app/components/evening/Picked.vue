<script setup lang="ts">
import type { Pin } from '#schemas'
import type { Shown } from '~/utils/evening-view'
import type { Wish } from '~/composables/usePinning'

/** One piece of work, taken up: what the turner can want of it, and what that would cost. */
const props = defineProps<{
  picked: Shown
  own: readonly Shown[]
  cost: string
  evenings: readonly Stretch[]
  pins: readonly Pin[]
  alike: readonly string[]
}>()
const emit = defineEmits<{
  pick: [block: Shown]
  hold: [block: Shown, wish: Wish | undefined]
  put: [block: Shown, wish: Wish]
  together: []
  weigh: [weight: number]
  drop: [id: string]
  close: []
}>()
const { minute: now } = useClock()

const wishes = computed(() => {
  const { from } = props.picked
  const own = props.evenings.findIndex(one => from >= one.from && from < one.to)
  const [first, next] = [props.evenings[0], props.evenings[own + 1]]
  const by = props.evenings.slice(0, Math.max(0, own)).slice(-3)
  return [
    { says: 'This first', wish: { kind: 'first', at: null } as Wish },
    ...(first && own === 0 && next ? [{ says: `Not ${nameOf(first)}`, wish: notBefore(next) }] : []),
    ...props.evenings.slice(own === 0 ? 2 : own + 1, own + 4).map(one => ({ says: `Not before ${nameOf(one)}`, wish: notBefore(one) })),
    ...by.map(one => ({ says: `By ${nameOf(one)}`, wish: { kind: 'by', at: one.to.toISOString() } as Wish })),
  ]
})
const nameOf = (evening: Stretch) => eveningName(evening.from, now.value).replace(/^To/, 'to')
const notBefore = (evening: Stretch): Wish => ({ kind: 'not before', at: evening.from.toISOString() })
const place = computed(() => props.own.findIndex(one => one.is.id === props.picked.is.id))
const [before, after] = [computed(() => props.own[place.value - 1]), computed(() => props.own[place.value + 1])]
const wanted = computed(() => {
  const { pen, is } = props.picked
  return props.pins.filter(one => one.pen === pen && one.kind !== 'weight' && (one.step === null || one.step === is.id))
})
const weight = computed(() => props.pins.find(one => one.pen === props.picked.pen && one.kind === 'weight')?.weight ?? 1)
const WEIGHTS = [1, 2, 3, 5].map(times => ({ label: wishWords({ kind: 'weight', at: null, weight: times }, now.value), value: times }))
</script>

<template>
  <section class="picked sheet figures" aria-labelledby="picked">
    <header>
      <PenTag :mark="picked.board.pen.mark" />
      <h2 id="picked">{{ picked.title }}</h2>
      <span class="quiet">{{ clockTime(picked.from, now) }} to {{ clockTime(picked.to, now) }}</span>
      <button type="button" class="key" :disabled="!before" @click="before && emit('pick', before)">Before it</button>
      <button type="button" class="key" :disabled="!after" @click="after && emit('pick', after)">After it</button>
      <button type="button" class="key" @click="emit('close')">Close</button>
    </header>
    <ul v-if="wanted.length" class="ways">
      <li v-for="pin in wanted" :key="pin.id">
        <b>{{ wishWords(pin, now) }}</b> <button type="button" class="key" @click="emit('drop', pin.id)">Take back</button>
      </li>
    </ul>
    <p class="ways">
      <button
        v-for="{ says, wish } in wishes" :key="says" type="button" class="key" @pointerenter="emit('hold', picked, wish)"
        @focus="emit('hold', picked, wish)" @pointerleave="emit('hold', picked, undefined)" @click="emit('put', picked, wish)"
      >
        {{ says }}
      </button>
      <button v-if="alike.length > 1" type="button" class="key" @click="emit('together')">In one go: {{ alike.join(' ') }}</button>
    </p>
    <USelect
      v-if="picked.board.pen.due" :model-value="weight" size="xl" :items="WEIGHTS" aria-label="How much its promise counts" class="weight"
      @update:model-value="emit('weigh', Number($event))"
    />
    <p role="status" class="quiet cost">{{ cost || 'Rest on a key to hear what it costs; or take the block and draw it elsewhere.' }}</p>
  </section>
</template>

<style scoped>
.picked { display: grid; gap: 0.6rem; padding: 0.9rem 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.8rem; }
header h2 { flex: 1; }
.ways { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem; }
.cost { min-height: 1.5rem; }
.weight { justify-self: start; min-width: 18rem; }
</style>
