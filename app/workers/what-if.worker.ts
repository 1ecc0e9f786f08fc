import { foresee, playable, playing, sharesOf, type Foreseen, type Played } from '#core/simulate'
import { causes, evidence } from '#reference'
import type { AskedWhatIf, ToldWhatIf } from '../utils/what-if-talk'

/** So many runs of each plan are told at first, and then at a time. */
const FIRST = 200
const EVERY = 1000
/** So many pairs of runs tell what matters. */
const PAIRS = 500
/** So many simulated pens of each plan are looked through for what speaks for a defect. */
const PENS = 60

let current = 0
const tell = (message: ToldWhatIf) => self.postMessage(message)
/** Lets in what was asked meanwhile. */
const pause = () => new Promise(resolve => setTimeout(resolve, 0))

/** Plays plans away from the page: all of them a little, so that they can be compared at once, then more and more. */
self.onmessage = ({ data }: MessageEvent<AskedWhatIf>) => {
  if (data.kind === 'play') {
    current = data.number
    void play(data)
    return
  }
  if (data.kind === 'foresee') {
    current = data.number
    void lookAhead(data)
    return
  }
  const { plan, hand, of, number } = data
  const one = playable(plan, hand)
  tell({ kind: 'matters', number, of, shares: sharesOf(x => one.play(x)[of], one.unknowns, { runs: PAIRS }) })
}

async function lookAhead({ number, all, shop }: Extract<AskedWhatIf, { kind: 'foresee' }>) {
  const told: Foreseen[] = []
  for (const { plan, hand } of all) {
    told.push(foresee(plan, hand, { causes, evidence, ...shop }, PENS))
    await pause()
    if (number !== current) return
  }
  tell({ kind: 'foresee', number, all: told })
}

async function play({ number, all, runs }: Extract<AskedWhatIf, { kind: 'play' }>) {
  // The same seed for all: where they are alike they come to the same, and what differs is no chance.
  const begun = all.map(({ plan, hand }) => playing(playable(plan, hand), runs, { every: FIRST }))
  const so: (Played | undefined)[] = all.map(() => undefined)
  for (let told = 0; ;) {
    let least = Infinity
    for (const [index, one] of begun.entries()) {
      for (let next = one.next(); !next.done; next = one.next()) {
        so[index] = next.value
        if (next.value.runs >= Math.min(runs, told === 0 ? FIRST : told + EVERY)) break
      }
      least = Math.min(least, so[index]?.runs ?? 0)
      await pause()
      if (number !== current) return
    }
    told = least
    tell({ kind: 'play', number, all: so.flatMap(one => one ?? []) })
    if (least >= runs) return
  }
}
