<script setup lang="ts">
import { tableNames, type Backups, type CsvDialect, type TableName } from '#contract'
import { counted, decimal } from '#core/format'

/** All that is kept, saved in one file, and how it is put back. */
useHead({ title: 'Backup and files · Oxlip' })
const { minute: now } = useClock()
const told = shallowRef<Backups>()
const { failed, loaded, again } = useLoad(async () => {
  told.value = await api('GET /api/backups')
})
const WAYS = { 'screen': 'from this page', 'command': 'by command', 'before a change': 'by itself' }
const says = computed(() => {
  const last = told.value?.last
  return last ? `Saved last: ${clockTime(last.made, now.value)}, ${WAYS[last.how]}, ${decimal(last.bytes / 1e6, 1)} MB.` : 'Not saved yet.'
})
const TABLES: Record<TableName, string> = {
  pens: 'Pens', defects: 'Defects', diameters: 'Diameters', times: 'Times of steps', orders: 'Orders', sales: 'Sales', stock: 'Stock',
}
const dialect = ref<CsvDialect>('point')
const dialects = [
  { label: 'Commas, 1.5', value: 'point' as const },
  { label: 'Semicolons, 1,5', value: 'comma' as const },
]
/** The file comes after a while: what stands here is asked for again when one comes back to the page. */
const asked = ref(false)
/** An archive that is taken in, and what came of it. */
const taking = ref(false)
const taken = shallowRef<{ says: string, bad: boolean }>()
async function takeArchive(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  taking.value = true
  taken.value = undefined
  try {
    const told = await sendArchive(file)
    const count = Object.values(told.changed).reduce((sum, one) => sum + one, 0) + told.photos
    const came = `Taken in: ${counted(count, 'thing')} new or newer, of ${told.rows}. Lists follow in a moment.`
    taken.value = { says: count ? came : 'All of it was here already.', bad: false }
  } catch (error) {
    const answer = refused(error)
    taken.value = { says: answer.fields.archive ?? answer.message, bad: true }
  } finally {
    taking.value = false
    input.value = ''
  }
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!told" class="quiet" role="status">Looking when it was saved last ...</p>
  <div v-else class="saving">
    <h1>Backup and files</h1>
    <section class="sheet" aria-labelledby="save">
      <h2 id="save">Save everything in one file</h2>
      <p>
        Every workshop, every pen with its whole log, the shelf and all pictures, as they stand at that moment. Work can go on meanwhile.
        Keep the file on another disk than this one.
      </p>
      <p role="status" :class="{ harm: told.isDue }">{{ told.isDue ? '◆ ' : '' }}{{ says }}</p>
      <p class="ways">
        <a class="key next" href="/api/backup" download @click="asked = true">Save now</a>
        <span v-if="asked" class="quiet" role="status">The file is made, and comes to where this browser keeps what it fetches.</span>
      </p>
    </section>
    <section class="sheet" aria-labelledby="tables">
      <h2 id="tables">Tables for a spreadsheet</h2>
      <p>Of this workshop, as CSV: lengths in mm, moments in UTC.</p>
      <p class="ways">
        <USelect v-model="dialect" :items="dialects" size="lg" aria-label="How they are written" />
        <a
          v-for="table in tableNames" :key="table" class="key" download
          :href="addressHere(`/api/tables/${table}.csv?dialect=${dialect}`)"
        >{{ TABLES[table] }}</a>
      </p>
    </section>
    <section class="sheet" aria-labelledby="sheet">
      <h2 id="sheet">A spreadsheet of your own</h2>
      <p>Pens, blanks, fittings, bottles and pens you made before come in from columns of your own.</p>
      <NuxtLink class="key" to="/shelf/sheet">Take a spreadsheet in</NuxtLink>
    </section>
    <section class="sheet" aria-labelledby="carry">
      <h2 id="carry">Carry this workshop elsewhere</h2>
      <p>
        An archive is this workshop alone: rows as JSON Lines with their schema, pictures beside, in one tar file that any program can
        read. Taken in, it adds what is not here yet; what is here stays, but where the archive has it newer. Twice is as once.
      </p>
      <p class="ways">
        <a class="key" :href="addressHere('/api/archive')" download>Save as an archive</a>
        <label class="key" :class="{ busy: taking }">
          {{ taking ? 'Taking it in ...' : 'Take an archive in' }}
          <input class="sr-only" type="file" accept=".tar,application/x-tar" :disabled="taking" @change="takeArchive">
        </label>
      </p>
      <p v-if="taken" :class="{ harm: taken.bad }" role="status">{{ taken.says }}</p>
    </section>
    <section class="sheet" aria-labelledby="back">
      <h2 id="back">Put it back</h2>
      <p>In Oxlip’s folder, while Oxlip is stopped. What is there already is kept under another name:</p>
      <pre>./restore --aside FILE</pre>
      <p>It is compared with what was saved before it counts. A file that is cut off or damaged changes nothing.</p>
    </section>
    <section class="sheet" aria-labelledby="command">
      <h2 id="command">By command</h2>
      <p>While Oxlip runs or when it does not; the file is put back into an empty database and compared at once:</p>
      <pre>./backup FILE</pre>
      <p class="quiet">Before a newer Oxlip changes the form of what is kept, it saves it by itself, in the folder .oxlip/backups.</p>
    </section>
  </div>
</template>

<style scoped>
.saving { display: grid; grid-template-columns: minmax(0, 44rem); gap: 1rem; }
section { display: grid; justify-items: start; gap: 0.6rem; padding: 1rem 1.25rem; }
.busy { opacity: 0.55; }
.ways { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 1rem; }
pre { max-width: 100%; overflow-x: auto; padding: 0.5rem 0.8rem; border: 1px solid var(--line); border-radius: 6px; }
pre { font: 1rem var(--font-mono); }
</style>
