<script setup lang="ts">
import { counted } from '#core/format'
import { intakeKind } from '#schemas/intake'
import type { IntakeKnown, Mapping } from '#schemas/intake'
import type { IntakeView } from '~/utils/intake-talk'

/** What words of a sheet mean that name nothing known here: said once, for every row. */
const props = defineProps<{ view: IntakeView, known: IntakeKnown }>()
const emit = defineEmits<{ read: [change: Partial<Mapping>] }>()

/** So many words of a field are shown: more are of a column that says something else. */
const SHOWN = 30
const PASSED = '-'
const fields = computed(() => props.view.unknown.flatMap(([name, words]) => {
  const field = intakeKind(props.view.name).fields.find(one => one.field === name)
  if (!field) return []
  const items = (field.among?.(props.known) ?? []).map(({ id, name: label }) => ({ label, value: id }))
  const passed = field.needed ? [] : [{ label: 'nothing: pass it over', value: PASSED }]
  return [{ field, words: words.slice(0, SHOWN), more: Math.max(0, words.length - SHOWN), items: [...passed, ...items] }]
}))
function meantBy(field: string, word: string): string | undefined {
  const said = props.view.mapping.words[field]?.[word]
  return said === '' ? PASSED : said
}
function mean(field: string, word: string, id: string) {
  const { words } = props.view.mapping
  emit('read', { words: { ...words, [field]: { ...words[field], [word]: id === PASSED ? '' : id } } })
}
</script>

<template>
  <section v-if="fields.length" class="sheet" aria-labelledby="words">
    <h2 id="words">Words that are not known here</h2>
    <p class="quiet">Say once what each means. What is chosen already is a guess: look it over.</p>
    <div v-for="{ field, words, more, items } in fields" :key="field.field" class="field">
      <h3>{{ field.says }}</h3>
      <ul>
        <li v-for="one in words" :key="one.word">
          <span><b>{{ one.text }}</b> <span class="quiet">in {{ counted(one.rows, 'row') }}</span></span>
          <USelectMenu
            :model-value="meantBy(field.field, one.word)" :items="items" value-key="value" size="lg" placeholder="choose"
            :aria-label="`What “${one.text}” means`" @update:model-value="mean(field.field, one.word, String($event))"
          />
        </li>
      </ul>
      <p v-if="more" class="quiet">And {{ more }} more: perhaps another column holds this.</p>
    </div>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; padding: 1rem 1.25rem; min-width: 0; }
.field { display: grid; gap: 0.4rem; }
ul { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 17rem), 1fr)); gap: 0.6rem 1.2rem; }
li { display: grid; gap: 0.25rem; min-width: 0; align-content: end; }
</style>
