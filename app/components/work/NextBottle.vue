<script setup lang="ts">
import { millilitres } from '#core/format'
import type { PlanTrace, StepTrace } from '#core/plan'

/** Of the coat that is next: a bottle that is sealed still, or too empty for it, is opened at the bench with one tap. */
const props = defineProps<{ traced: PlanTrace, next: StepTrace }>()
const workshop = useWorkshop()
const product = computed(() => {
  const { step } = props.next
  return step.kind === 'coat' ? workshop.shelf?.products.find(one => one.id === step.product.id) : undefined
})
/** What one coat of it takes, ml. */
const takes = computed(() => {
  const need = props.traced.needs.find(one => one.product.id === product.value?.id)
  return need ? need.volume.value / need.coats : 0
})
const says = computed(() => {
  const bottle = product.value?.bottle
  if (!bottle) return ''
  if (bottle.opened === null) return 'is still sealed.'
  const isTooEmpty = bottle.sealed && bottle.left !== undefined && bottle.left < takes.value
  return isTooEmpty ? `holds ${millilitres(bottle.left ?? 0)}: less than this coat takes.` : ''
})
const trouble = ref('')
async function open() {
  trouble.value = ''
  if (product.value) await workshop.openBottle(product.value).catch((error: unknown) => (trouble.value = refused(error).message))
}
</script>

<template>
  <p v-if="says && product" class="bottle" role="status">
    <span><b>{{ product.name }}</b> {{ says }}</span>
    <button type="button" class="key" @click="open">Opened now</button>
    <span class="harm">{{ trouble }}</span>
  </p>
</template>

<style scoped>
.bottle { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1rem; }
</style>
