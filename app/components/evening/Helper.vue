<script setup lang="ts">
/** What whoever helps is called on the evenings and on paper; empty, they have no name. */
const store = useWorkshop()
/** What is being typed stands there, whatever comes in meanwhile. */
const typed = ref<string>()
const shown = computed(() => typed.value ?? store.workshop?.helper ?? '')
const fault = ref('')
async function keep() {
  if (!store.workshop || typed.value === undefined) return
  const { celsius: _celsius, humidity: _humidity, cautions: _cautions, ...kept } = store.workshop
  fault.value = ''
  try {
    await store.save({ ...kept, helper: typed.value.trim() || null })
    typed.value = undefined
  } catch (error) {
    const { message, fields, status } = refused(error)
    fault.value = Object.values(fields)[0] ?? message
    // What another device said meanwhile is met; what was typed stands, and is kept when it is entered again.
    if (status === 409) await store.load().catch(() => undefined)
  }
}
</script>

<template>
  <UFormField label="What they are called" description="Stands on their line, over their list and on paper." :error="fault || false">
    <UInput
      size="xl" :disabled="!store.workshop" maxlength="40" placeholder="who helps" :model-value="shown"
      @update:model-value="typed = String($event)" @change="keep"
    />
  </UFormField>
</template>
