<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import type { ListedDefect } from '#contract'

/** A defect of some pen: what it is and where, how it stands, why, how it was mended, its pictures. */
const props = defineProps<{ one: ListedDefect }>()
const photos = usePhotos()
const { units } = storeToRefs(useWorkshop())
const { minute: now } = useClock()
const name = computed(() => defectName(props.one.kind))
const where = computed(() => `${barrelNames[props.one.barrel]}, ${units.value.length(props.one.fromTip, 1)} from its tip end`)
</script>

<template>
  <li class="defect">
    <DefectPicture :kind="one.kind" class="drawn" />
    <div class="what">
      <p>
        <b>{{ name }}</b>, {{ units.length(one.size, one.size < 1 ? 2 : 1) }} ·
        <NuxtLink :to="`/pens/${one.pen.id}/record`">{{ one.pen.mark }} {{ one.pen.name }}</NuxtLink>
      </p>
      <PenStrip
        class="strip" :fitting="one.fitting" :colour="one.material.colour" :resin="one.material.resin" :defects="[one]" :label="where"
      />
      <p class="quiet">{{ where }} · {{ clockTime(one.at, now) }}{{ one.found ? `, at: ${one.found}` : '' }}</p>
    </div>
    <div class="how">
      <p><b :class="{ harm: one.status === 'open' }">{{ one.status === 'open' ? '◆ ' : '' }}{{ defectStates[one.status] }}</b></p>
      <p v-if="one.judged">{{ causeName(one.judged) }}</p>
      <p v-if="one.mends.length" class="quiet">{{ mendsWords(one.mends) }}</p>
    </div>
    <span class="photos">
      <a v-for="photo in one.photos" :key="photo" :href="photos.urlOf(photo, 'large')" target="_blank" rel="noopener">
        <img :src="photos.urlOf(photo)" :alt="`${name} on ${one.pen.mark}, opens large`">
      </a>
    </span>
  </li>
</template>

<style scoped>
.defect {
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 1fr) minmax(0, 16rem) auto;
  gap: 0.3rem 1.2rem;
  align-items: center;
  padding: 0.7rem 1rem;
}
.defect + .defect { border-top: 1px solid var(--line); }
.strip { max-width: 22rem; margin: 0.2rem 0; }
.what a { text-decoration: underline; text-underline-offset: 3px; }
.photos { display: flex; gap: 0.4rem; }
.photos img { height: 56px; border-radius: 6px; }
@media (max-width: 820px) {
  .defect { grid-template-columns: 4.5rem minmax(0, 1fr); }
  .how, .photos { grid-column: 2; }
}
</style>
