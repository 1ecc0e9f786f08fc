<script setup lang="ts">
import { counted } from '#core/format'
import { intakeKind, intakeKinds, MOST_ROWS, type IntakeName } from '#schemas/intake'

/** A spreadsheet in anybody's columns: looked at as it would come in, taken in as a whole, undone as one. */
useHead({ title: 'Take a spreadsheet in · Oxlip' })
const {
  known, intakes, view, areDaysSure, fault, busy, leavesOut, sending, refusals, load, readFile, readText, hold, read, take, undo,
} = useIntake()
const { failed, loaded, again } = useLoad(load)
const toast = useToast()

const pasted = ref('')
async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) await readFile(file)
  input.value = ''
}
const kinds = intakeKinds.map(({ name, says }) => ({ label: says, value: name }))
const hasDays = computed(() => view.value && intakeKind(view.value.name).fields
  .some(({ field, kind }) => kind === 'day' && view.value?.mapping.columns[field] !== undefined))
const signs = [{ label: '1.5', value: 'point' as const }, { label: '1,5', value: 'comma' as const }]
const orders = [{ label: '24/12/2026', value: 'day first' as const }, { label: '12/24/2026', value: 'month first' as const }]
const leaveWords = computed(() => (view.value?.wrong.length === 1
  ? 'Leave the row with something wrong out'
  : `Leave the ${view.value?.wrong.length} rows with something wrong out`))
const coming = computed(() => (view.value ? view.value.rows - (leavesOut.value ? view.value.wrong.length : 0) : 0))
const mayCome = computed(() => coming.value > 0 && (leavesOut.value || !view.value?.wrong.length))
const most = computed(() => (view.value ? intakeKind(view.value.name).most ?? MOST_ROWS : MOST_ROWS))
async function takeIn() {
  const rows = coming.value
  if (await take()) {
    pasted.value = ''
    toast.add({ title: `Taken in: ${counted(rows, 'row')}. It can be undone as one, below.` })
  }
}
async function takeBack(id: string) {
  try {
    await undo(id)
  } catch (error) {
    toast.add({ title: refused(error).message, color: 'error' })
  }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!known" class="quiet" role="status">Looking what is known here ...</p>
  <div v-else class="taking figures">
    <header>
      <h1>Take a spreadsheet in</h1>
      <p class="quiet">
        Pens, blanks, fittings, bottles, or pens you made before, in columns of your own. You see how the rows would come in before anything
        is written, and it can be undone as one.
      </p>
    </header>
    <section class="sheet from" aria-labelledby="from">
      <h2 id="from">The sheet</h2>
      <p>Save the sheet as CSV and choose that file; its first row names the columns. Or copy the cells and paste them here.</p>
      <p class="ways">
        <label class="key" :class="{ next: !view }">
          Choose a CSV file
          <input class="sr-only" type="file" accept=".csv,.tsv,.txt,text/csv,text/plain" @change="choose">
        </label>
      </p>
      <UTextarea v-model="pasted" :rows="2" size="lg" placeholder="or paste cells" aria-label="Cells of a sheet" class="paste" />
      <p v-if="pasted.trim()"><button type="button" class="key" @click="readText(pasted)">Read what is pasted</button></p>
      <p v-if="fault" class="harm" role="alert">◆ {{ fault }}</p>
      <div v-if="view" class="how filled">
        <UFormField :label="`${counted(view.rows, 'row')} of`">
          <USelect
            :model-value="view.name" :items="kinds" size="lg" aria-label="What it holds"
            @update:model-value="hold($event as IntakeName)"
          />
        </UFormField>
        <UFormField label="Figures are written">
          <USelect
            :model-value="view.mapping.decimal" :items="signs" size="lg" aria-label="Figures are written"
            @update:model-value="read({ decimal: $event })"
          />
        </UFormField>
        <UFormField
          v-if="hasDays" label="Days with strokes are written" :help="areDaysSure ? undefined : 'No day in it shows which: choose.'"
        >
          <USelect
            :model-value="view.mapping.days" :items="orders" size="lg" aria-label="Days with strokes are written"
            @update:model-value="read({ days: $event })"
          />
        </UFormField>
      </div>
    </section>
    <template v-if="view">
      <IntakeColumns :view="view" :known="known" @read="read" />
      <IntakeWords :view="view" :known="known" @read="read" />
      <IntakeRows :view="view" :known="known" @read="read" />
      <section class="take" aria-label="Take it in">
        <UCheckbox
          v-if="view.wrong.length" v-model="leavesOut" size="xl"
          :label="leaveWords"
        />
        <p v-if="coming > most" class="harm" role="alert">◆ {{ most }} are taken in at once at most: take them in in parts.</p>
        <ul v-if="refusals.length" class="harm" role="alert"><li v-for="says in refusals" :key="says">◆ {{ says }}</li></ul>
        <button type="button" class="key next" :disabled="!mayCome || coming > most || sending || busy" @click="takeIn">
          {{ sending ? 'Taking them in ...' : `Take ${counted(coming, 'row')} in` }}
        </button>
        <span v-if="view.name === 'past'" class="quiet">
          They stand among the finished pens, each on its day. Nothing is counted off the shelf for them.
        </span>
      </section>
    </template>
    <IntakeBefore :intakes="intakes" @undo="takeBack" />
  </div>
</template>

<style scoped>
.taking { display: grid; gap: 1rem; min-width: 0; }
header { display: grid; gap: 0.3rem; }
header p { max-width: 44rem; }
.from { display: grid; grid-template-columns: minmax(0, 1fr); justify-items: start; gap: 0.6rem; padding: 1rem 1.25rem; min-width: 0; }
.paste { width: 100%; max-width: 44rem; }
.how { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 12rem), 1fr)); gap: 0.6rem 1.2rem; }
.how { width: 100%; max-width: 44rem; }
.take { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem 1.2rem; }
</style>
