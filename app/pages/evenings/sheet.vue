<script setup lang="ts">
import { format } from 'date-fns'
import { forHelper } from '#core/evening'
import { roughSpan } from '#core/format'

/** The coming evenings on paper: what is done when, and what is promised. */
const me = useMe()
useHead({ title: 'Evenings, on paper · Oxlip' })
const live = useLive()
const store = useEveningsKept()
const workshop = useWorkshop()
const { failed, loaded, again } = useLoad(() => Promise.all([live.meet(), store.load()]))
const { plan, evenings: coming, helps, blocks, asKept } = useShownPlan()
const SHOWN = 7
const evenings = computed(() =>
  [...laid(coming.value, 'turner'), ...laid(helps.value, 'helper')].sort((a, b) => a.from.getTime() - b.from.getTime()))
/** Hours of somebody in which something is done. */
const laid = (of: readonly Stretch[], who: Who) => of.slice(0, SHOWN).flatMap((evening) => {
  const groups = groupsIn(blocks.value, evening, who)
  return groups.length ? [{ ...evening, who, groups }] : []
})
/** Day by day. */
const promised = computed(() => {
  const days = new Map<string, string[]>()
  for (const { pen: { mark, name, due } } of store.boards) if (due !== null) days.set(due, [...(days.get(due) ?? []), `${mark} ${name}`])
  return [...days].sort(([a], [b]) => a.localeCompare(b)).map(([due, pens]) => ({ due, pens }))
})
/** Names that stand on the file, and whatever else was typed: products of one’s own are named in what is done. */
const written = computed(() =>
  [...promised.value.flatMap(one => one.pens), ...evenings.value.flatMap(one => one.groups.map(group => group.title))])
const print = () => window.print()
const { trouble, busy, attempt } = useAttempt()
/** The same as a PDF: as it stands here, whether or not it was kept. */
const save = () => attempt(async () => {
  const shown = asKept()
  if (!shown) return
  const soon = { evenings: shown.evenings.slice(0, SHOWN), helps: shown.helps?.slice(0, SHOWN) }
  saveFile(await paperOf({ ...shown, ...soon }), 'oxlip-evenings.pdf')
})
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded || !plan" class="quiet" role="status">Planning the evenings ...</p>
  <article v-else class="paper figures">
    <header>
      <h1>The coming evenings</h1>
      <button type="button" class="key next no-print" @click="print">Print</button>
      <button type="button" class="key no-print" :disabled="busy" @click="save">Save as PDF</button>
      <NuxtLink class="key no-print" to="/evenings">Back to the evenings</NuxtLink>
    </header>
    <p v-if="trouble" class="harm no-print" role="alert">{{ trouble }}</p>
    <PaperSigns class="no-print" :texts="written" />
    <p v-if="!evenings.length">Nothing is laid into the coming evenings.</p>
    <section v-for="one in evenings" :key="one.who + one.from.toISOString()">
      <h2>
        {{ format(one.from, 'EEEE d MMMM') }}, {{ format(one.from, 'HH:mm') }} to {{ format(one.to, 'HH:mm')
        }}{{ one.who === 'helper' ? forHelper(workshop.workshop?.helper) : '' }}
      </h2>
      <table>
        <tbody>
          <tr v-for="(group, index) in one.groups" :key="index">
            <td class="box" aria-hidden="true"><i /></td>
            <td class="when">{{ format(group.from, 'HH:mm') }}</td>
            <td><b>{{ group.title }}</b></td>
            <td class="pens">{{ group.marks.join(' ') }}</td>
            <td class="span">{{ roughSpan((group.to.getTime() - group.from.getTime()) / 1000) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="promised.length">
      <h2>Promised</h2>
      <p v-for="one in promised" :key="one.due"><b>{{ dayWords(one.due) }}</b>: {{ one.pens.join(', ') }}</p>
    </section>
    <EveningCalendar v-if="me.may('all')" class="no-print" />
  </article>
</template>

<style scoped>
.paper { display: grid; gap: 1.1rem; max-width: 52rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.7rem; }
header h1 { flex: 1; }
section { display: grid; gap: 0.4rem; break-inside: avoid; }
table { width: 100%; border-collapse: collapse; table-layout: fixed; }
td { padding: 0.35rem 0.5rem 0.35rem 0; border-top: 1px solid var(--line); vertical-align: top; }
.box { width: 1.4rem; }
.box i { display: block; width: 0.8rem; height: 0.8rem; margin-top: 0.25rem; border: 1.5px solid var(--ink-2); }
.pens { width: 30%; }
.when, .span { width: 5rem; font-family: var(--font-mono); white-space: nowrap; }
/* On a phone the pens stand under what is done on them. */
@media screen and (max-width: 40rem) {
  tr { display: grid; grid-template-columns: 1.6rem 3.6rem minmax(0, 1fr) auto; border-top: 1px solid var(--line); padding-block: 0.35rem; }
  td { border: 0; padding-block: 0.1rem; }
  .pens { grid-area: 2 / 3 / auto / -1; width: auto; }
  .when, .span { width: auto; }
}
</style>
