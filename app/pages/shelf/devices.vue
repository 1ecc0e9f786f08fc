<script setup lang="ts">
import { decimal } from '#core/format'
import { useIntervalFn } from '@vueuse/core'
import { calliperReading, eveningAir, tachometerReading, WIRE, type Signal } from '#devices/simulated'

/** Stand-ins for the instruments of a workshop: what they send is heard by the work screen that a hand was last at. */
useHead({ title: 'Devices · Oxlip' })
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const wire = new BroadcastChannel(WIRE)
onScopeDispose(() => wire.close())
const sent = ref<string>()
const send = (signal: Signal, says: string) => {
  wire.postMessage(signal)
  sent.value = says
}

const diameter = ref<number | null>(12)
const fault = ref('')
function calliper() {
  const between = diameter.value ?? Number.NaN
  fault.value = between > 0 ? '' : 'Type the diameter between its jaws, like 12 mm.'
  if (fault.value) return
  const mm = calliperReading(between, Math.random())
  send({ from: 'calliper', mm }, `Calliper: ${units.value.length(mm)}`)
}

const speed = ref(1000)
const running = ref(false)
const shown = ref(0)
const spindle = useIntervalFn(
  () => {
    shown.value = tachometerReading(running.value ? speed.value : 0, Math.random())
    wire.postMessage({ from: 'tachometer', revPerMin: shown.value })
  },
  500,
  { immediate: false },
)
function toggleTachometer() {
  running.value = !running.value
  if (running.value) spindle.resume()
}

/** One minute of the invented evening passes in this many ms: a reading a minute, or much quicker to look at. */
const paces = [
  { label: 'As it is', value: 60_000 },
  { label: 'An hour in a minute', value: 1000 },
]
const pace = ref(60_000)
const start = ref<{ celsius: number, humidity: number }>()
const minute = ref(0)
const air = computed(() => start.value && eveningAir(minute.value, start.value))
/** Readings go to the workshop at most this often, ms. */
const TOLD = 5000
let told = 0
const evening = useIntervalFn(
  () => {
    minute.value++
    read()
  },
  pace,
  { immediate: false },
)
const read = () => air.value && wire.postMessage({ from: 'thermo-hygrometer', ...air.value })
const trouble = ref('')
/** What the instrument reads becomes the air of the workshop, whichever instrument it is. */
useThermoHygrometer(async (reading) => {
  if (Date.now() - told < TOLD) return
  told = Date.now()
  try {
    await workshop.readAir(reading)
    trouble.value = ''
  } catch (error) {
    trouble.value = refused(error).message
  }
})
function toggleAir() {
  if (start.value) {
    start.value = undefined
    evening.pause()
    return
  }
  const { celsius = 20, humidity = 55 } = workshop.workshop ?? {}
  start.value = { celsius, humidity }
  minute.value = 0
  evening.resume()
  read()
}
</script>

<template>
  <div class="devices figures">
    <h1>Devices</h1>
    <p class="quiet">
      Stand-ins for a workshop without instruments. Keep this page open in a window of its own: what it sends is heard by the work screen
      you last touched.
    </p>
    <div class="stand">
      <section class="sheet" aria-labelledby="calliper">
        <h2 id="calliper">Calliper</h2>
        <p class="quiet">
          Its reading lands in the field that waits for it. A real one that types figures and Enter works on the work screen as it is.
        </p>
        <form novalidate @submit.prevent="calliper">
          <FieldMeasure v-model="diameter" label="Between its jaws" :error="fault" />
          <button type="submit" class="key">Send</button>
        </form>
      </section>
      <section class="sheet" aria-labelledby="pedal">
        <h2 id="pedal">Foot pedal</h2>
        <p class="quiet">Says “done, next”, as the space bar does.</p>
        <button type="button" class="key pedal" @click="send({ from: 'foot pedal' }, 'Foot pedal pressed')">Press</button>
      </section>
      <section class="sheet" aria-labelledby="tachometer">
        <h2 id="tachometer">Tachometer</h2>
        <p class="quiet">A speed outside the step’s window is pointed out.</p>
        <label class="speed">
          Spindle <input v-model.number="speed" type="range" min="0" max="4500" step="50"> <b>{{ speed }} rev/min</b>
        </label>
        <p>
          <button type="button" class="key" :aria-pressed="running" @click="toggleTachometer">
            {{ running ? 'Stop the lathe' : 'Start the lathe' }}
          </button> <span role="status">reads {{ shown }} rev/min</span>
        </p>
      </section>
      <section class="sheet" aria-labelledby="hygro">
        <h2 id="hygro">Thermo-hygrometer</h2>
        <p class="quiet">Drifts through an evening; running waits follow it.</p>
        <p v-if="air" role="status" class="reads">
          <b>{{ units.temperature(air.celsius) }} · {{ decimal(air.humidity) }} %</b> after {{ minute }} min
        </p>
        <p v-else-if="workshop.workshop" class="reads">
          {{ units.temperature(workshop.workshop.celsius) }} · {{ decimal(workshop.workshop.humidity) }} %, as set
        </p>
        <URadioGroup v-model="pace" legend="How fast the evening goes" :items="paces" orientation="horizontal" />
        <p>
          <button type="button" class="key" :aria-pressed="Boolean(start)" @click="toggleAir">
            {{ start ? 'Switch off' : 'Switch on' }}
          </button>
        </p>
        <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
      </section>
    </div>
    <p class="quiet" role="status">{{ sent ? `Sent. ${sent}` : 'Nothing sent yet.' }}</p>
  </div>
</template>

<style scoped>
.devices { display: grid; gap: 0.9rem; }
.stand { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 22rem), 1fr)); gap: 1rem; }
section { display: grid; gap: 0.6rem; align-content: start; padding: 1rem 1.2rem; }
form { display: flex; gap: 0.6rem; align-items: flex-start; min-height: 5.6rem; }
form > :first-child { flex: 1; }
form .key { margin-top: 1.5rem; }
.key { min-height: 52px; }
.pedal { min-height: 96px; font-size: 1.3rem; }
.speed { display: flex; flex-wrap: wrap; gap: 0.6rem; align-items: center; }
.speed input { flex: 1 1 10rem; min-height: 44px; accent-color: var(--leaf); }
.reads b { font: 700 1.5rem var(--font-head); }
</style>
