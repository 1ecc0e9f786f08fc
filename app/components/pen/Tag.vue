<script setup lang="ts">
/** The witness mark: a stamped tag with the slanting cut line at its left. */
withDefaults(defineProps<{ mark: string, size?: 'row' | 'head' }>(), { size: 'row' })
</script>

<template>
  <span :class="['tag', `tag-${size}`]">
    <svg viewBox="0 0 12 40" preserveAspectRatio="none" aria-hidden="true"><path d="M11 0 4 40" /></svg>
    <span class="sr-only">Witness mark </span><b>{{ mark }}</b>
  </span>
</template>

<style scoped>
.tag {
  position: relative;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 54px;
  height: 38px;
  padding: 0 10px 0 18px;
  border: 2px solid currentColor;
  border-radius: 3px 12px 12px 3px;
  font-family: var(--font-head);
  line-height: 1;
  flex: none;
}
.tag b { font-size: 1.1rem; font-weight: 700; }
.tag svg { position: absolute; left: 2px; top: 0; width: 10px; height: 100%; fill: none; stroke: currentColor; stroke-width: 2.5; }
.tag-head { min-width: 62px; height: 42px; }
.tag-head b { font-size: 1.35rem; }
</style>
