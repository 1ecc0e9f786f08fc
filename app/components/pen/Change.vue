<script setup lang="ts">
import type { FieldErrors, NewPen } from '#schemas'
import type { Pen } from '#contract'

/** Changes a pen after it was started; the plan follows, and what is done stays done. */
const open = defineModel<boolean>('open', { required: true })
const props = defineProps<{ pen: Pen, begun: boolean }>()
const store = usePen()
const form = ref<NewPen>(emptyPen())
const errors = ref<FieldErrors>({})
const trouble = ref('')
/** What was there when the form was opened: the pen itself follows other devices. */
const version = ref(0)

watch(open, (now) => {
  if (!now) return
  const { mark, name, reason, due, fitting, material, method, tool, film, blank } = props.pen
  form.value = { mark, name, reason, due, fitting, material, method, tool, film, blank }
  errors.value = {}
  trouble.value = ''
  version.value = props.pen.version
})

async function keep() {
  const wanted = tidyPen(form.value)
  errors.value = penErrors(wanted)
  if (Object.keys(errors.value).length) return
  try {
    await store.change(wanted, version.value)
    open.value = false
  } catch (error) {
    const answer = refused(error)
    errors.value = answer.fields
    trouble.value = Object.keys(answer.fields).length ? '' : answer.message
    if (answer.status === 409) {
      await store.load(props.pen.id)
      version.value = props.pen.version
    }
  }
}
</script>

<template>
  <UModal
    v-model:open="open" title="Change this pen"
    :description="begun ? 'The plan follows; what is done stays done.' : 'The plan follows.'" :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <form novalidate @submit.prevent="keep">
        <PenFields v-model="form" :errors="errors" />
        <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
        <div class="end">
          <button type="button" class="key" @click="open = false">Leave as it was</button>
          <button type="submit" class="key next">Keep and plan</button>
        </div>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.end { display: flex; flex-wrap: wrap; justify-content: flex-end; gap: 0.75rem; }
</style>
