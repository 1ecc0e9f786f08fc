<script setup lang="ts">
import type { StepKind } from '#core/plan'
import { freedoms, type ClassWork, type Freedom } from '#core/classroom'
import { materials } from '#reference'
import type { ClassEntry, Person } from '#contract'
import { classChangeSchema, errorsOf, newClassSchema, type FieldErrors } from '#schemas'

/** A class: what everybody makes, before which steps the teacher looks, what each says yes to, what pupils may change; and who. */
const props = defineProps<{ kept?: ClassEntry | undefined, people: readonly Person[] }>()
const emit = defineEmits<{ kept: [entry: ClassEntry], close: [] }>()
const stock = useStock()
const methods = useMethods()
/** Steps before which a look is usual; those of the plan alone count. */
const LOOKS: StepKind[] = ['cut', 'drill', 'tube', 'square', 'turn', 'sand', 'coat', 'level', 'polish', 'assemble']
const FREE: Record<Freedom, string> = { name: 'its name', size: 'its shape and size', wood: 'its wood' }
const text = (lines: readonly string[]) => lines.join('\n')
const linesOf = (said: string) => said.split('\n').map(line => line.trim()).filter(Boolean)
const work = props.kept?.work
const form = reactive({
  name: props.kept?.name ?? '',
  fitting: '',
  material: 'apple',
  method: '',
  looks: [...(work?.looks ?? ['turn', 'sand', 'coat', 'assemble'])] as StepKind[],
  free: [...(work?.free ?? ['name'])] as Freedom[],
  cautions: text(work?.cautions ?? ['I wear a face shield at the lathe, and nothing loose.', 'I stop the lathe before I touch the pen.']),
  tools: text(work?.tools ?? ['Face shield', 'Mandrel and bushings', 'Skew and gouge', 'Paper towel']),
  clearing: text(work?.clearing ?? ['Shavings swept up', 'Tools back in their rack', 'Bottles closed']),
  criteria: text(work?.criteria ?? ['Shape', 'Surface', 'Care at work']),
  people: [] as string[],
})
// What a new class makes is chosen from the shelf: there is no form before it has come in.
const { failed, loaded, again } = useInsist(async () => {
  if (!props.kept) await Promise.all([stock.loadFittings(), methods.load()])
  form.fitting ||= stock.fittings?.[0]?.fitting.id ?? ''
  form.method ||= methods.methods?.[0]?.id ?? ''
})
onMounted(again)
const errors = ref<FieldErrors>({})
const trouble = ref('')
const busy = ref(false)
const pupils = computed(() => props.people.filter(one => one.role && one.role !== 'looker'))
const fittings = computed(() => (stock.fittings ?? []).map(({ fitting }) => ({ label: fitting.name, value: fitting.id })))
const finishes = computed(() => (methods.methods ?? []).map(({ id, name }) => ({ label: name, value: id })))
const woods = materials.map(({ id, name }) => ({ label: name, value: id }))

async function keep() {
  const asked: ClassWork = {
    looks: form.looks, free: form.free, cautions: linesOf(form.cautions), tools: linesOf(form.tools), clearing: linesOf(form.clearing),
    criteria: linesOf(form.criteria),
  }
  const { name, fitting, material, method, people } = form
  const change = props.kept && { version: props.kept.version, name: name.trim(), work: asked, ended: props.kept.ended }
  const makes = { fitting, material, method, tool: 'skew' as const, film: 'gloss' as const }
  const made = { id: newId(), name: name.trim(), ...makes, work: asked, people }
  errors.value = change ? errorsOf(classChangeSchema, change) : errorsOf(newClassSchema, made)
  trouble.value = Object.values(errors.value)[0] ?? ''
  if (trouble.value) return
  busy.value = true
  try {
    emit('kept', props.kept && change
      ? await api('PUT /api/classes/:id', { params: { id: props.kept.id }, body: change })
      : await api('POST /api/classes', { body: made }))
  } catch (error) {
    const answer = refused(error)
    errors.value = answer.fields
    trouble.value = Object.values(answer.fields)[0] ?? answer.message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Fetching the shelf ...</p>
  <form v-else class="sheet filled" aria-label="A class" novalidate @submit.prevent="keep">
    <UFormField label="What the class is called" :error="errors.name || false" class="wide">
      <UInput v-model="form.name" size="lg" maxlength="80" placeholder="Saturday beginners" />
    </UFormField>
    <template v-if="!kept">
      <UFormField label="Fitting" :error="errors.fitting || false">
        <USelect v-model="form.fitting" size="lg" :items="fittings" />
      </UFormField>
      <UFormField label="Material" :error="errors.material || false">
        <USelect v-model="form.material" size="lg" :items="woods" />
      </UFormField>
      <UFormField label="Finish" :error="errors.method || false">
        <USelect v-model="form.method" size="lg" :items="finishes" />
      </UFormField>
    </template>
    <fieldset class="wide">
      <legend>The teacher looks before</legend>
      <label v-for="one in LOOKS" :key="one">
        <input v-model="form.looks" type="checkbox" :value="one"> {{ workLabel(one).toLowerCase() }}
      </label>
    </fieldset>
    <fieldset class="wide">
      <legend>Pupils may change of their pen</legend>
      <label v-for="one in freedoms" :key="one"><input v-model="form.free" type="checkbox" :value="one"> {{ FREE[one] }}</label>
    </fieldset>
    <UFormField label="Each says yes to, a line each" description="The cautions of the steps themselves come with them.">
      <UTextarea v-model="form.cautions" size="lg" :rows="4" />
    </UFormField>
    <UFormField label="What lies ready, a line each"><UTextarea v-model="form.tools" size="lg" :rows="4" /></UFormField>
    <UFormField label="What is cleared up, a line each"><UTextarea v-model="form.clearing" size="lg" :rows="4" /></UFormField>
    <UFormField label="What you mark by, a line each"><UTextarea v-model="form.criteria" size="lg" :rows="4" /></UFormField>
    <fieldset v-if="!kept" class="wide">
      <legend>Who, each with a pen of their own</legend>
      <label v-for="one in pupils" :key="one.id">
        <input v-model="form.people" type="checkbox" :value="one.id"> <PersonMark :person="one" /> {{ one.name }}
      </label>
      <p v-if="!pupils.length" class="quiet">
        Nobody belongs here yet: add them under <NuxtLink to="/people">People and devices</NuxtLink>.
      </p>
    </fieldset>
    <p v-if="trouble" class="harm wide" role="alert">◆ {{ trouble }}</p>
    <p class="keys wide">
      <button type="submit" class="key next" :disabled="busy">{{ kept ? 'Keep' : 'Set the class up' }}</button>
      <button type="button" class="key" :disabled="busy" @click="emit('close')">Leave it</button>
    </p>
  </form>
</template>

<style scoped>
form { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr)); gap: 0.8rem 1.2rem; padding: 1rem 1.25rem; }
.wide { grid-column: 1 / -1; }
fieldset { display: flex; flex-wrap: wrap; gap: 0.2rem 1.2rem; }
legend { margin-bottom: 0.2rem; font-weight: 500; }
label { display: inline-flex; align-items: center; gap: 0.5rem; min-height: 44px; cursor: pointer; }
input[type="checkbox"] { width: 22px; height: 22px; accent-color: var(--leaf); }
.keys { display: flex; flex-wrap: wrap; gap: 0.6rem; }
</style>
