<script setup lang="ts">
/** A secret address that shows this pen to whoever it is made for. It is told once; a new one takes the place of an earlier one. */
const props = defineProps<{ pen: string }>()
const link = ref('')
const says = ref('')
async function attempt(work: () => Promise<string>) {
  try {
    says.value = await work()
  } catch (error) {
    says.value = refused(error).message
  }
}
const show = () => attempt(async () => {
  const { secret } = await api('POST /api/pens/:id/link', { params: { id: props.pen } })
  link.value = `${location.origin}/shown#${secret}`
  return 'Whoever has this address sees this pen’s story and how far it is, and nothing else. It is told this once.'
})
const hide = () => attempt(async () => {
  await api('DELETE /api/pens/:id/link', { params: { id: props.pen } })
  link.value = ''
  return 'Shown to nobody any more.'
})
</script>

<template>
  <details>
    <summary>Show it to whoever it is for</summary>
    <div class="link">
      <p class="keys">
        <button type="button" class="key" @click="show">Make an address</button>
        <button type="button" class="key" @click="hide">Show it no more</button>
      </p>
      <p v-if="link" class="address"><a :href="link">{{ link }}</a></p>
      <p v-if="says" class="quiet" role="status">{{ says }}</p>
    </div>
  </details>
</template>

<style scoped>
summary { min-height: 44px; cursor: pointer; }
.link { display: grid; gap: 0.5rem; }
.keys { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.address { overflow-wrap: anywhere; }
a { text-decoration: underline; text-underline-offset: 3px; }
</style>
