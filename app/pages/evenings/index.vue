<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { capital } from '#core/format'
import { format } from 'date-fns'

useHead({ title: 'Evenings · Oxlip' })
const live = useLive()
const me = useMe()
const store = useEveningsKept()
const workshops = useWorkshops()
const stock = useStock()
const workshop = useWorkshop()
const { failed, loaded, again } = useLoad(() =>
  Promise.all([live.meet(), store.load(), stock.load(), workshop.shelf ? undefined : workshop.load()]))
const { minute: now } = useClock()
const { chances, moment, stop, lookLonger } = useEvenings()
const { plan, evenings, helps, blocks, promised } = useShownPlan()

/** So wide the first evening and the names beside it have to be, and each further evening, px. */
const FIRST = 660
const EVENING = 260
const frame = useTemplateRef('frame')
const { width } = useElementSize(frame)
const count = computed(() => 1 + Math.max(0, Math.min(3, Math.floor((width.value - FIRST) / EVENING))))
const from = ref(0)
/** When anybody is there: whoever helps may come when the turner does not. */
const there = computed(() => anybodysOf(evenings.value, helps.value))
const shown = computed(() => there.value.slice(from.value, from.value + count.value))
const heading = computed(() => {
  const first = shown.value[0]
  if (!first) return 'Evenings'
  const name = eveningName(first.from, now.value)
  return shown.value.length > 1 ? `${name} and ${countWord(shown.value.length - 1).toLowerCase()} more` : name
})

const late = computed(() => promised.value.filter(one => !one.kept))
const night = computed(() => {
  const first = evenings.value[0]
  return first ? nightWords(blocks.value, first) : ''
})
/** The evening that is next, as hands go, and the next in which whoever helps has something to do: what comes first stands first. */
const lists = computed(() => {
  const next = (of: readonly Stretch[], who: Who) => {
    const evening = of.find(one => groupsIn(blocks.value, one, who).length)
    return evening ? [{ who, evening, groups: groupsIn(blocks.value, evening, who) }] : []
  }
  return [...next(evenings.value.slice(0, 1), 'turner'), ...next(helps.value, 'helper')]
    .sort((a, b) => a.evening.from.getTime() - b.evening.from.getTime())
})
/** Work that no evening is long enough for. */
const tooLong = computed(() => {
  const longest = Math.max(0, ...[...evenings.value, ...helps.value].map(one => secondsTo(one.from, one.to)))
  return blocks.value.find(one => (one.to.getTime() - one.from.getTime()) / 1000 > longest)
})
const over = computed(() => new Set(blocks.value.filter(one => !one.inHours).map(one => one.board.pen.mark)))

const { lacking } = useLacking(blocks)
const { remedies } = useRemedies(late)
const danger = computed(() => {
  const told = chances.value
  const known = plan.value
  if (!told?.byDue.length || !known) return ''
  const tight = [...told.tight].sort((a, b) => a.by - a.begins - (b.by - b.begins))[0]
  const block = tight && blocks.value.find(one => one.pen === tight.pen && one.is.id === tight.step)
  const by = tight && new Date(known.of.now.getTime() + tight.by * 1000)
  const most = block && by ? `; most in danger: ${block.board.pen.mark}, ${block.title}, to be begun by ${clockTime(by, now.value)}` : ''
  const days = told.byDue.map(({ due, kept, but }) => {
    const day = format(new Date(known.of.now.getTime() + due * 1000), 'EEE d MMM')
    return `that ${but ? 'all the others are' : 'all is'} ready for ${day} is ${chanceWords(kept)}, ${inTen(kept)}`
  })
  return capital(`${days.join('; ')}${most}.`)
})

const { picked, alike, cost, pick, hold, put, together, weigh, drop } = usePinning(blocks, evenings)
const { query } = useRoute()
/** Whether a day to be promised is asked for: at once where an order asks it. */
const asking = ref(query.fitting !== undefined)
const saying = ref(false)
const ownOf = (pen: string) => blocks.value.filter(one => one.pen === pen)
function draw(who: Who, evening: Stretch, edge: Edge, moment: Date) {
  const change = edgeMoved(store.kept?.hours ?? [], who, evening, edge, moment)
  if (change) void store.attempt(() => store.sayHours(change))
}
function move(by: number) {
  from.value = Math.max(0, Math.min(Math.max(0, there.value.length - count.value), from.value + by))
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded || !plan" class="quiet" role="status">Planning the evenings ...</p>
  <div v-else ref="frame" class="evenings">
    <header>
      <div class="what">
        <h1>{{ heading }}</h1>
        <p v-if="blocks.length" class="quiet figures" role="status">
          {{ promiseWords(promised) }} {{ provenWords(plan.is, plan.of.problem.pens.length, plan.rests) }}
        </p>
      </div>
      <EveningSearch v-if="blocks.length" :gone="plan.gone" :rests="plan.rests" :best="plan.is.proven" @stop="stop" @longer="lookLonger" />
      <button v-if="me.may('shelf')" type="button" class="key" @click="saying = true">Hours</button>
      <button type="button" class="key" :disabled="!evenings.length" @click="asking = true">When may I promise?</button>
      <NuxtLink class="key" to="/evenings/sheet">Print</NuxtLink>
    </header>

    <section v-if="!store.boards.length" class="empty sheet">
      <h2>Nothing to plan</h2>
      <p>Start a pen, and Oxlip lays its work into your evenings: what to do tonight, what the night does, and when it is ready.</p>
      <p class="ways">
        <NuxtLink v-if="me.may('work')" class="key next" to="/pens/new">Start a pen</NuxtLink>
        <button v-if="workshops.demo" type="button" class="key" @click="enterWorkshop(workshops.demo.id)">Look at the demo</button>
      </p>
    </section>
    <section v-else-if="!evenings.length" class="empty sheet">
      <h2>No hours</h2>
      <p>Nobody is at the lathe in the coming months. Say when you are, and the work finds its place.</p>
      <p class="ways"><button v-if="me.may('shelf')" type="button" class="key next" @click="saying = true">Say your hours</button></p>
    </section>
    <template v-else>
      <div class="says figures">
        <p v-for="one in late.slice(0, 3)" :key="one.pen">
          <b class="harm">◆ {{ lateWords(one, there) }}, promised for {{ dayWords(one.due) }}:</b>
          {{ remedies.get(one.pen) ?? 'looking for what would keep it ...' }}
        </p>
        <p v-if="late.length > 3" class="harm">◆ {{ countWord(late.length - 3) }} more miss their day.</p>
        <p v-if="tooLong" class="harm">
          ◆ {{ tooLong.board.pen.mark }}, {{ tooLong.title }}: no evening is long enough for it. Make one longer.
        </p>
        <p v-else-if="over.size" class="harm">
          ◆ The hours of the coming months do not hold it all: {{ [...over].join(', ') }} lie after them. Say more hours.
        </p>
        <p v-for="one in lacking.slice(0, 3)" :key="one.of + one.id">
          <b class="harm">◆ {{ lackingWords(one, blocks, now) }}</b> {{ one.of === 'bottle' ? '' : 'Get more, or take those pens out.' }}
        </p>
        <p v-if="lacking.length > 3">
          <b class="harm">◆ {{ shortWords(lacking.length - 3) }}</b>
          <NuxtLink class="buy" to="/shelf/buy">See what to buy</NuxtLink>
        </p>
        <p v-if="night"><b>{{ night }}</b></p>
        <p v-if="store.kept?.more" class="quiet">{{ store.kept.more }} more planned pens are not in here: those due first come first.</p>
      </div>
      <p v-if="store.trouble" class="harm" role="alert">{{ store.trouble }}</p>
      <EveningChart
        :blocks="blocks" :evenings="shown" :own="evenings" :helped="helps" :promised="promised" :boards="store.boards" :before="from > 0"
        :after="from + count < there.length" :cost="cost" :movable="me.may('shelf')" @move="move"
        @pick="pick" @hold="hold" @put="put" @drawn="draw"
      />
      <EveningPicked
        v-if="picked && me.may('shelf')" :picked="picked" :own="ownOf(picked.pen)" :cost="cost"
        :evenings="evenings" :pins="store.kept?.pins ?? []"
        :alike="alike.map(one => one.board.pen.mark)" @pick="pick" @hold="hold" @put="put" @together="together"
        @weigh="picked && weigh(picked.pen, $event)" @drop="drop" @close="pick(undefined)"
      />
      <EveningWishes :pins="store.kept?.pins ?? []" :blocks="blocks" :movable="me.may('shelf')" @drop="drop" />
      <EveningTonight v-for="one in lists" :key="one.who" v-bind="one" />
      <p class="quiet figures">
        A notch on the line of hands is a change of bit, paper or bottle; bands are waits that run by themselves. {{ danger }}
      </p>
      <EveningBy />
      <EveningPast :past="store.kept?.past ?? []" />
      <LazyEveningSum v-if="me.may('money')" />
    </template>
    <EveningHours v-if="saying" :hours="store.kept?.hours ?? []" @close="saying = false" />
    <EveningPromise v-if="asking && evenings.length" :key="moment" :wanted="promiseOf(query)" @close="asking = false" />
  </div>
</template>

<style scoped>
.evenings { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem 0.8rem; }
header .what { flex: 1 1 20rem; min-width: 0; }
header h1 { line-height: 1.2; }
.says { display: grid; gap: 0.3rem; font-size: 1.05rem; }
.says .buy { margin-inline-start: 0.3em; text-decoration: underline; text-underline-offset: 0.2em; }
.empty { display: grid; gap: 0.7rem; padding: 1.4rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.7rem; }
</style>
