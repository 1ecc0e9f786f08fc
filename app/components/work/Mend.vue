<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import type { DefectState } from '#core/bench'
import type { RepairWay } from '#core/defects'
import { defects as catalogue } from '#reference'

/** Why a defect came about, as far as the log and a few questions tell, and what can be done now. */
const props = defineProps<{ defect: DefectState }>()
const emit = defineEmits<{
  choose: [way: RepairWay]
  leave: []
  later: []
  answer: [question: string, answer: 'yes' | 'no' | 'not known']
  judge: [cause: string | null]
  back: []
  photo: [file: File]
}>()
const { units } = storeToRefs(useWorkshop())
const known = useDefects()
const photos = usePhotos()
const { minute: now } = useClock()
const { tried } = useWays(() => props.defect)
const heading = useTemplateRef<HTMLElement>('heading')
onMounted(() => {
  heading.value?.focus()
  void known.load().catch(() => undefined)
})
const name = computed(() => catalogue.find(row => row.kind === props.defect.kind)?.name ?? props.defect.kind)
</script>

<template>
  <section class="mend sheet figures" aria-labelledby="mend" @keydown.esc="emit('later')">
    <header>
      <DefectPicture :kind="defect.kind" class="drawn" />
      <div>
        <h2 id="mend" ref="heading" tabindex="-1">{{ name }}</h2>
        <p class="quiet">
          {{ units.length(defect.size, defect.size < 1 ? 2 : 1) }}, {{ barrelNames[defect.barrel] }}, {{ units.length(defect.fromTip, 1) }}
          from its tip end, {{ clockTime(defect.at, now) }}
        </p>
        <p v-if="tried.length" class="harm">◆ Tried already: {{ tried.join(', ') }}. It still shows.</p>
      </div>
      <span class="photos">
        <a v-for="photo in defect.photos" :key="photo" :href="photos.urlOf(photo, 'large')" target="_blank" rel="noopener">
          <img :src="photos.urlOf(photo)" alt="The defect, opens large">
        </a>
        <FieldCamera label="Photo" @taken="emit('photo', $event)" />
      </span>
    </header>
    <div class="both">
      <MendWhy :defect="defect" @answer="(question, said) => emit('answer', question, said)" @judge="emit('judge', $event)" />
      <MendWays :defect="defect" @choose="emit('choose', $event)" @leave="emit('leave')" @later="emit('later')" @back="emit('back')" />
    </div>
  </section>
</template>

<style scoped>
.mend { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.8rem; padding: 1rem 1.25rem; }
header { display: flex; flex-wrap: wrap; gap: 0.4rem 1.1rem; align-items: center; }
.drawn { width: 6.4rem; flex: none; }
h2 { font-size: 1.9rem; outline: none; }
.photos { display: flex; gap: 0.5rem; margin-left: auto; align-items: center; }
.photos .key { min-height: 64px; }
.photos img { height: 64px; border-radius: 6px; }
.both { display: grid; grid-template-columns: minmax(0, 5fr) minmax(0, 7fr); gap: 0.8rem 1.8rem; align-items: start; }
@media (max-width: 820px) { .both { grid-template-columns: minmax(0, 1fr); } .photos { margin-left: 0; } }
</style>
