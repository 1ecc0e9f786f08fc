<script setup lang="ts">
/** Pages that only makers and owners change: for others what would be refused is not offered, and it is said why. */
const props = defineProps<{ what: string, open?: boolean }>()
const me = useMe()
const isShut = computed(() => !props.open && !me.may('shelf'))
</script>

<template>
  <p v-if="isShut" class="quiet" role="note">{{ what }} here by makers and owners. You can look at it all.</p>
  <fieldset class="looking" :disabled="isShut"><slot /></fieldset>
</template>

<style scoped>
.looking { min-width: 0; margin: 0; padding: 0; border: 0; }
</style>
