<script setup lang="ts">
import type { Defect, DefectKind } from '#core/defects'
import type { Entry } from '#core/bench'
import type { CheckAct } from '#core/plan'
import { cautionsFor } from '#reference'

/** One operation on many pens: a tile each, and one yellow key for all of them. */
definePageMeta({ layout: 'work' })
useHead({ title: 'Together · Oxlip' })
const route = useRoute()
const ids = computed(() => String(route.query.pens ?? '').split(',').filter(Boolean))
const { minute: now } = useClock()
const { workshop } = storeToRefs(useWorkshop())
const {
  tiles, operation, chosen, inHand, words, checks, sands, nextReady, last, enter, done, sayYes, notYet, takeBack, toggle, load,
} = useTogether(() => ids.value)
const { failed, loaded, again } = useLoad(load)

const caution = computed(() => words.value && cautionsFor(words.value.step, undefined, workshop.value?.cautions)[0])
const why = computed(() => (operation.value && chosen.value.length > 1 ? savedWords(operation.value.saves, chosen.value.length) : ''))
const key = computed(() => {
  if (chosen.value.length) return togetherKey(chosen.value.length, inHand.value.length, words.value?.done ?? '')
  return nextReady.value ? `Ready ${clockTime(nextReady.value, now.value)}` : 'No pen is in it'
})

/** The pen whose tile was tapped, and whether a defect of it is noted. */
const tapped = ref<string>()
/** The defects to choose from first, while one is noted. */
const noting = ref<readonly DefectKind[]>()
const tile = computed(() => tiles.value.find(one => one.board.pen.id === tapped.value))
function tap(id: string) {
  tapped.value = tapped.value === id ? undefined : id
}
function note(found: Omit<Defect, 'id'>) {
  const board = tile.value?.board
  if (board) enter(board.pen.id, { kind: 'defect', payload: { ...found, step: board.state.next?.id ?? null } }, [found.barrel])
  noting.value = undefined
  tapped.value = undefined
}

/** What is done about a no there and then. */
const entryOf = (step: string, act: CheckAct): Entry =>
  'wait' in act
    ? { kind: 'wait', payload: { step, seconds: act.wait } }
    : { kind: 'extra', payload: { work: act.work, with: act.with, step } }

/** Two presses closer than this are one finger that bounced, ms. */
const BOUNCE = 600
let pressed = 0
function press() {
  if (Date.now() - pressed < BOUNCE) return
  pressed = Date.now()
  tapped.value = undefined
  done()
}
/** After that the next press is meant, however soon it comes. */
function back() {
  pressed = 0
  if (last.value.length) takeBack()
}
useWorkKeys({ ' ': press, 'z': back, 'n': notYet }, () => !noting.value)
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Looking at these pens ...</p>
  <section v-else-if="!tiles.length" class="none">
    <h1>No pens are chosen</h1>
    <p><NuxtLink class="key next" to="/">Choose them on the bench</NuxtLink></p>
  </section>
  <div v-else class="together figures">
    <header>
      <p>Together, {{ countWord(tiles.length).toLowerCase() }} pens · {{ clockTime(now, now) }}</p>
      <nav aria-label="Away from here"><NuxtLink to="/">Bench</NuxtLink></nav>
    </header>

    <LazyWorkDefect
      v-if="noting && tile" :key="tapped" :plan="tile.board.state.plan" :step="tile.board.state.next?.id ?? null" :looks="noting"
      @note="note" @close="noting = undefined"
    />
    <template v-else>
      <section v-if="words" aria-live="polite">
        <h1 class="title">{{ words.title }}</h1>
        <p v-if="words.how" class="how">{{ words.how }}</p>
        <p v-if="why" class="why">{{ why }}</p>
        <p v-if="caution" class="harm caution">◆ {{ caution.short }}</p>
      </section>
      <h1 v-else class="title">Nothing left to do together</h1>

      <TogetherLooks v-if="checks.length" :checks="checks" @all="sayYes" />
      <p class="quiet">Tap a pen that is not in it, or that something is wrong with.</p>
      <ul>
        <template v-for="one in tiles" :key="one.board.pen.id">
          <li><TogetherTile :tile="one" :tapped="tapped === one.board.pen.id" @tap="tap(one.board.pen.id)" /></li>
          <li v-if="tapped === one.board.pen.id" class="opened">
            <TogetherOne
              :tile="one" @toggle="toggle(one.board.pen.id); tapped = undefined" @wrong="noting = $event"
              @check="(step, check, answer) => enter(one.board.pen.id, { kind: 'check', payload: { step, check, answer } })"
              @act="(step, act) => enter(one.board.pen.id, entryOf(step, act))"
              @touch="(step, felt) => enter(one.board.pen.id, { kind: 'touch', payload: { step, felt } })"
              @measure="enter(one.board.pen.id, { kind: 'measure', payload: $event }, [$event.barrel])"
              @remark="enter(one.board.pen.id, { kind: 'remark', payload: { text: $event, step: one.board.state.next?.id ?? null } })"
            />
          </li>
        </template>
      </ul>
      <footer>
        <div class="keys">
          <button type="button" class="key done" :class="{ next: chosen.length }" :disabled="!chosen.length" @click="press">
            <span>{{ key }}</span><kbd>space</kbd>
          </button>
          <button v-if="sands" type="button" class="key" @click="notYet"><span>Not yet</span><kbd>n</kbd></button>
          <button type="button" class="key" :disabled="!last.length" @click="back"><span>Take back</span><kbd>z</kbd></button>
        </div>
      </footer>
    </template>
  </div>
</template>

<style scoped>
.together { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.8rem; align-content: start; }
.none { display: grid; gap: 1rem; justify-items: start; }
header { display: flex; justify-content: space-between; align-items: center; color: var(--ink-2); font-size: 1.3rem; }
header a { display: grid; place-items: center; min-height: 44px; padding: 0 0.6rem; color: var(--ink-2); font-size: 1.05rem; }
.title { font: 700 clamp(2.4rem, 6.6vw, 5.4rem)/1.05 var(--font-head); letter-spacing: -0.02em; overflow-wrap: anywhere; }
.how { margin-top: 0.4rem; font-size: 1.6rem; line-height: 1.3; }
.why { font-size: 1.3rem; color: var(--ink-2); }
.caution { margin-top: 0.4rem; font-size: 1.05rem; }
/* What is said of one stands under its row; the tiles after it fill that row up. */
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 17.5rem), 1fr));
  grid-auto-flow: dense;
  gap: 0.6rem;
}
.opened { grid-column: 1 / -1; }
footer { display: grid; gap: 0.6rem; position: sticky; bottom: 0; z-index: 2; padding-block: 0.5rem; background: var(--ground); }
.keys { display: flex; gap: 0.85rem; }
.keys .key { min-height: 76px; justify-content: space-between; padding: 0.7rem 1rem; font-size: 1.2rem; }
.keys .done { flex: 1; font: 700 2.1rem/1.1 var(--font-head); text-align: left; }
kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); }
.next kbd { color: var(--on-oxlip-2); }
@media (max-width: 1100px) {
  kbd { display: none; }
  .keys .done { font-size: 1.6rem; }
}
@media (max-width: 820px) {
  .how { font-size: 1.2rem; }
  .why { font-size: 1.1rem; }
}
</style>
