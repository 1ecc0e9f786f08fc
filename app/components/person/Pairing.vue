<script setup lang="ts">
import type { NetworkState, Pairing, Person } from '#contract'

/** A code that lets one device of somebody in: to be read by its camera, or typed. Shown until it is used or over. */
const props = defineProps<{ person: Person, network: NetworkState | null }>()
const emit = defineEmits<{ close: [] }>()
const { now } = useClock()
const made = shallowRef<Pairing>()
const fault = ref('')
async function make() {
  fault.value = ''
  try {
    made.value = await api('POST /api/people/:id/pairing', { params: { id: props.person.id } })
  } catch (error) {
    fault.value = refused(error).message
  }
}
onMounted(make)
const left = computed(() => Math.max(0, Math.ceil((Date.parse(made.value?.ends ?? '') - now.value.getTime()) / 1000)))
const link = computed(() => made.value?.links[0])
</script>

<template>
  <UModal :open="true" :title="`Let a device in: ${person.name}`" description="Good once, for five minutes." @update:open="emit('close')">
    <template #body>
      <p v-if="fault" class="harm" role="alert">◆ {{ fault }}</p>
      <div v-else-if="made" class="pairing">
        <template v-if="left > 0">
          <FieldPicture v-if="link" :text="link" :label="`A picture of the address ${link}, for the camera of the device`" />
          <p>Or type at its door:</p>
          <p class="code figures" role="status">{{ made.code }}</p>
          <p class="quiet figures">Good for {{ Math.floor(left / 60) }}:{{ String(left % 60).padStart(2, '0') }} more.</p>
        </template>
        <template v-else>
          <p role="status">This code is over.</p>
          <button type="button" class="key next" @click="make">Show a new one</button>
        </template>
        <ol v-if="network">
          <li>Once on each device: take the certificate in. Open <b>{{ network.plain[0] }}</b> on it and follow the steps.</li>
          <li>Then read the picture, or open <b>{{ network.addresses[0] }}</b> and type the code.</li>
        </ol>
        <p v-else class="quiet">
          Oxlip listens on this machine only: the code is good in another browser here. For other devices start it with
          <code>./start --network</code>.
        </p>
      </div>
      <p v-else class="quiet" role="status">Making a code ...</p>
    </template>
  </UModal>
</template>

<style scoped>
.pairing { display: grid; justify-items: center; gap: 0.6rem; text-align: center; }
.code { font: 700 2rem var(--font-mono); letter-spacing: 0.08em; }
ol { padding-left: 1.3rem; list-style: decimal; text-align: left; overflow-wrap: anywhere; }
code { font-family: var(--font-mono); }
</style>
