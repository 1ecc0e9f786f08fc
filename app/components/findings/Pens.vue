<script setup lang="ts">
import type { FindingPens } from '#contract'
import type { FindingQuery } from '#schemas'

/** The pens behind a number. */
const props = defineProps<{ asked: FindingQuery, is: string, so: 'yes' | undefined }>()
const told = shallowRef<FindingPens>()
const { failed, again } = useInsist(async () => {
  told.value = await api('GET /api/findings/pens', { query: { ...props.asked, is: props.is, ...(props.so ? { so: props.so } : {}) } })
})
watch(() => [props.is, props.so], () => void again(), { immediate: true })
</script>

<template>
  <ShellTrouble v-if="failed && !told" :refused="failed" @again="again" />
  <p v-else-if="!told" class="quiet" role="status">Fetching the pens ...</p>
  <div v-else class="pens">
    <ul aria-label="Pens behind this number">
      <li v-for="pen in told.pens" :key="pen.id">
        <NuxtLink :to="`/pens/${pen.id}/record`">
          <PenTag :mark="pen.mark" /> <span>{{ pen.name }}</span>
          <b v-if="pen.figure !== null">{{ figureWords(asked.of, pen.figure) }}</b>
          <b v-else-if="!so && pen.isSo" class="so">{{ ofLabel(asked.of).toLowerCase() }}</b>
        </NuxtLink>
      </li>
    </ul>
    <p v-if="told.all > told.pens.length" class="quiet">These are the latest; there are {{ told.all }} in all.</p>
  </div>
</template>

<style scoped>
.pens { padding: 0.2rem 0 0.7rem; }
ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr)); gap: 0.1rem 1rem; }
a { display: flex; align-items: center; gap: 0.6rem; min-height: 44px; color: var(--ink); }
a span { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
b { margin-left: auto; white-space: nowrap; }
.so { font-weight: 500; color: var(--brick); }
</style>
