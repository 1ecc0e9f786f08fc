<script setup lang="ts">
import type { Access, Device, Person } from '#contract'
import { counted } from '#core/format'

/** Who may come in to this workshop, by which devices, and who tried in vain. */
useHead({ title: 'People and devices · Oxlip' })
const me = useMe()
const { minute: now } = useClock()
const people = shallowRef<readonly Person[]>()
const access = shallowRef<Access>()
const { failed, loaded, again } = useLoad(async () => {
  ;[people.value, access.value] = await Promise.all([api('GET /api/people'), api('GET /api/people/access')])
})
const roleOf = ({ role, keeper }: Person) =>
  (role ? `${ROLE_WORDS[role]}${keeper ? ', looks after the installation' : ''}` : 'does not belong here')
const devicesOf = ({ id }: Person) => access.value?.devices.filter(one => one.person === id) ?? []
const howOf = (one: Device) =>
  `${one.how === 'paired' ? 'let in' : 'signed in'} ${clockTime(one.made, now.value)}, seen ${clockTime(one.seen, now.value)}`

/** What is open: somebody’s form, a new one, or a code. */
const editing = ref<string>()
const pairing = shallowRef<Person>()
const trouble = ref('')
async function attempt(work: () => Promise<unknown>) {
  trouble.value = ''
  try {
    await work()
  } catch (error) {
    const { message, fields } = refused(error)
    trouble.value = Object.values(fields)[0] ?? message
  }
}
const takeAway = (one: Device) => attempt(async () => {
  access.value = await api('DELETE /api/devices/:id', { params: { id: one.id } })
  if (one.isThis) await toDoor()
})
const lock = (locked: boolean) => attempt(async () => {
  await api('PUT /api/door/lock', { body: { locked } })
  if (locked && !me.person) await toDoor()
  else await again()
})
function kept(all: readonly Person[]) {
  people.value = all
  void again()
}
async function closePairing() {
  pairing.value = undefined
  await again()
}
/** The fingerprint in four lines, as it is compared by eye. */
const fingerprint = computed(() =>
  access.value?.network?.fingerprint.match(/(?:[0-9A-F]{2}:?){8}/g)?.map(part => part.replaceAll(':', ' ').trim()) ?? [])
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!people || !access" class="quiet" role="status">Fetching who may come in ...</p>
  <div v-else class="all">
    <header>
      <h1>People and devices</h1>
      <button type="button" class="key" @click="editing = 'new'">Somebody new</button>
    </header>
    <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
    <PersonForm v-if="editing === 'new'" :self="false" @kept="kept" @close="editing = undefined" />
    <p v-if="!people.length" class="quiet">
      Nobody yet. On this machine nothing is asked. Add yourself as the owner first: then the tablet at the lathe, the phone at the fair and
      whoever else belongs here can be let in.
    </p>
    <ul class="people">
      <li v-for="one in people" :key="one.id" class="sheet">
        <div class="who">
          <span><PersonMark :person="one" /> <b>{{ one.name }}</b> <span class="quiet">{{ roleOf(one) }}</span></span>
          <span class="keys">
            <button v-if="one.role" type="button" class="key" @click="pairing = one">
              Let a device in<span class="sr-only">, {{ one.name }}</span>
            </button>
            <button type="button" class="key" @click="editing = editing === one.id ? undefined : one.id">
              Change<span class="sr-only"> {{ one.name }}</span>
            </button>
          </span>
        </div>
        <PersonForm
          v-if="editing === one.id" :person="one" :self="one.id === me.person?.id" @kept="kept" @close="editing = undefined"
        />
        <ul v-if="devicesOf(one).length" class="devices" :aria-label="`Devices of ${one.name}`">
          <li v-for="device in devicesOf(one)" :key="device.id">
            <span>
              <b>{{ device.name }}</b> <span class="quiet figures">{{ device.isThis ? '· this one · ' : '' }}{{ howOf(device) }}</span>
            </span>
            <button type="button" class="key" @click="takeAway(device)">Take away<span class="sr-only"> {{ device.name }}</span></button>
          </li>
        </ul>
        <p v-else-if="one.role && !one.hasSecret" class="quiet">No device and no password: cannot come in from elsewhere yet.</p>
      </li>
    </ul>
    <section class="sheet part" aria-labelledby="network">
      <h2 id="network">On the network</h2>
      <template v-if="access.network">
        <p>Oxlip is to be had at:</p>
        <ul class="figures"><li v-for="one in access.network.addresses" :key="one">{{ one }}</li></ul>
        <p>Once on each device, for the certificate: <b>{{ access.network.plain[0] }}</b></p>
        <p>
          Its fingerprint, to be compared there:
          <code v-for="part in fingerprint" :key="part" class="print">{{ part }}</code>
        </p>
      </template>
      <p v-else>
        Oxlip listens on this machine only. For the tablet at the lathe and for phones, stop it and start it with
        <code>./start --network</code>.
      </p>
    </section>
    <section v-if="me.may('installation')" class="sheet part" aria-labelledby="machine">
      <h2 id="machine">This machine</h2>
      <p v-if="access.locked">Whoever sits at it signs in, as on any other device.</p>
      <p v-else>Whoever sits at it is in, and may do everything. Nothing is asked.</p>
      <button type="button" class="key" @click="lock(!access.locked)">
        {{ access.locked ? 'Ask nobody here' : 'Ask here too who it is' }}
      </button>
    </section>
    <section v-if="access.knocks.length" class="sheet part" aria-labelledby="knocks">
      <h2 id="knocks">Tried in vain in the last week</h2>
      <ul class="figures">
        <li v-for="one in access.knocks" :key="one.address">
          {{ one.address }}: {{ counted(one.times, 'time') }}, last {{ clockTime(one.last, now) }}
        </li>
      </ul>
      <p class="quiet">After five tries each one has to wait longer, up to a quarter of an hour.</p>
    </section>
    <PersonPairing v-if="pairing" :person="pairing" :network="access.network" @close="closePairing" />
  </div>
</template>

<style scoped>
.all { display: grid; grid-template-columns: minmax(0, 60rem); gap: 1rem; }
header, .who, .keys, .devices li { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 1rem; }
.who, .devices li { justify-content: space-between; }
.people { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.7rem; }
.people > li { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.6rem; padding: 0.8rem 1.1rem; }
.devices { display: grid; gap: 0.3rem; padding-left: 2.6rem; }
.part { display: grid; justify-items: start; gap: 0.5rem; padding: 1rem 1.25rem; overflow-wrap: anywhere; }
code { font-family: var(--font-mono); }
.print { display: block; }
@media (max-width: 640px) { .devices { padding-left: 0; } }
</style>
