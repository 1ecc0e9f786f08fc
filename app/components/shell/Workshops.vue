<script setup lang="ts">
import type { WorkshopEntry } from '#contract'

/** The workshops of this installation: which one this is, the way into the others, its name; and the demo, begun anew or deleted. */
const workshops = useWorkshops()
const outbox = useOutbox()
const photos = usePhotos()
const unsent = computed(() => outbox.pending.length + photos.waiting.size)

const name = ref('')
const fault = ref('')
watch(() => workshops.entered?.name, (now = '') => (name.value = now), { immediate: true })

/** What is to be done once it was said twice. */
type Wish = { does: 'go', to: WorkshopEntry } | { does: 'reset' } | { does: 'delete' }
const wish = ref<Wish>()
/** What asks again stands below the list, where it may be out of sight. */
const sure = useTemplateRef('sure')
watch(wish, () => sure.value?.scrollIntoView({ block: 'nearest' }), { flush: 'post' })
const busy = ref(false)

async function attempt(work: () => Promise<unknown>) {
  busy.value = true
  fault.value = ''
  try {
    await work()
    wish.value = undefined
  } catch (error) {
    const { message, fields } = refused(error)
    fault.value = fields.name ?? message
  } finally {
    busy.value = false
  }
}
/** Entries that are not sent stay in this browser with their workshop: that is told before anybody leaves it. */
async function go(to: WorkshopEntry) {
  if (unsent.value) await outbox.send()
  if (unsent.value) wish.value = { does: 'go', to }
  else enterWorkshop(to.id)
}
const says = computed(() => {
  if (wish.value?.does === 'go')
    return `Not sent yet: ${unsent.value}. That stays on this device and is sent when you come back to this workshop.`
  if (wish.value?.does === 'reset') return 'Everything done in the demo is lost, and its pens are as they were at first.'
  return 'The demo and everything done in it are lost. It can be set up again here.'
})
const doesIt = computed(() => ({ go: 'Go all the same', reset: 'Begin it anew', delete: 'Delete it' })[wish.value?.does ?? 'go'])
function confirm() {
  const wanted = wish.value
  if (wanted?.does === 'go') enterWorkshop(wanted.to.id)
  else void attempt(wanted?.does === 'reset' ? workshops.resetDemo : workshops.deleteDemo)
}
const rename = () => attempt(async () => workshops.entered && workshops.rename(workshops.entered.id, name.value.trim()))
</script>

<template>
  <section aria-labelledby="workshops">
    <h3 id="workshops">Workshops here</h3>
    <ul>
      <li v-for="one in workshops.all" :key="one.id">
        <span>
          <b>{{ one.name }}</b><template v-if="one.kind === 'demo'"> · the demo</template>
          <span v-if="one.id === workshops.entered?.id" class="quiet"> · you are here</span>
        </span>
        <span class="ways">
          <button v-if="one.id !== workshops.entered?.id" type="button" class="key" :disabled="busy" @click="go(one)">
            Go there<span class="sr-only">, {{ one.name }}</span>
          </button>
          <template v-if="one.kind === 'demo'">
            <button type="button" class="key" :disabled="busy" @click="wish = { does: 'reset' }">Begin anew</button>
            <button type="button" class="key" :disabled="busy" @click="wish = { does: 'delete' }">Delete</button>
          </template>
        </span>
      </li>
      <li v-if="!workshops.demo">
        <span class="quiet">The demo: fourteen made-up pens to try things on</span>
        <button type="button" class="key" :disabled="busy" @click="attempt(workshops.setUpDemo)">Set it up</button>
      </li>
    </ul>
    <div v-if="wish" ref="sure" class="sure" role="alert">
      <p>{{ says }}</p>
      <span class="ways">
        <button type="button" class="key" :disabled="busy" @click="confirm">{{ doesIt }}</button>
        <button type="button" class="key" :disabled="busy" @click="wish = undefined">Leave it</button>
      </span>
    </div>
    <form v-if="workshops.entered?.kind === 'own'" novalidate @submit.prevent="rename">
      <UFormField label="Name of this workshop" :error="fault || false">
        <UInput v-model="name" size="lg" maxlength="60" autocomplete="off" />
      </UFormField>
      <button type="submit" class="key" :disabled="busy || name.trim() === workshops.entered.name">Rename</button>
    </form>
    <p v-else-if="fault" class="harm" role="alert">◆ {{ fault }}</p>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; margin-top: 1.4rem; padding-top: 1rem; border-top: 1px solid var(--line); }
h3 { font-weight: 700; }
li { display: flex; flex-wrap: wrap; align-items: center; justify-content: space-between; gap: 0.3rem 1rem; padding: 0.25rem 0; }
.ways { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.sure { display: grid; gap: 0.5rem; padding: 0.7rem 0.9rem; border: 1px solid var(--line); border-radius: 8px; }
form { display: flex; flex-wrap: wrap; align-items: end; gap: 0.75rem; }
</style>
