import { learnSanding, TAU, type Learnt, type SandingObservation } from '../../core/sanding'
import { nth } from '../../core/sure'
import { chance } from './chance'

/** A turner of known hands, who logs pens as such a person would. */
export interface SimulatedTurner {
  /** Cut rate against the model’s. */
  rate: number
  /** Change, with-grain pass, wipe and look, s. */
  overhead: number
  /** Stops when the scratches are gone; or sands for the planned time and looks, and goes on by half of it until they are. */
  stops: 'when gone' | 'as planned'
  /** Whether the paper is tapped on. */
  taps: boolean
}

/** What came of a turner’s pens. */
export interface Outcome {
  /** Planned over needed hands-on time of the last five pens, each. */
  ratios: number[]
  /** What was learnt in the end. */
  learnt: Learnt
}

/** The ladder that is sanded: depth to remove, µm, and capacity and time constant of each grit, as the model has them on medium wood. */
const GRITS = [{ depth: 15, grain: 46.2 }, { depth: 13.9, grain: 25.8 }, { depth: 7.7, grain: 21.8 }]
const grits = GRITS.map(({ depth, grain }) => ({ depth, capacity: 0.75 * grain, tau: TAU * Math.sqrt(grain / 68) }))

/** Time on the paper and pieces, by the handbook’s formula: pieces until each has less than nine tenths to do. */
function need(depth: number, capacity: number, tau: number): { seconds: number, pieces: number } {
  let pieces = 1
  while (depth > 0.9 * pieces * capacity) pieces++
  return { seconds: pieces * tau * -Math.log(1 - depth / pieces / capacity), pieces }
}

/**
 * So many pens of a turner, each planned with what was learnt from those before: marks are known within 40 %, every time errs by a tenth
 * and a second or two, every tenth is off by a factor of three either way.
 */
export function simulate(
  { rate, overhead, stops, taps }: SimulatedTurner, pens: number, seed: number, learns: 'after each pen' | 'at the end' = 'after each pen',
): Outcome {
  const { uniform, normal } = chance(seed)
  const log: SandingObservation[] = []
  let learnt = learnSanding(log)
  const ratios: number[] = []
  for (let pen = 0; pen < pens; pen++) {
    let [planned, needed] = [0, 0]
    for (const grit of grits) {
      const plan = need(grit.depth, grit.capacity * learnt.capacity.likely, grit.tau / learnt.rate.likely)
      const truly = need(grit.depth * (0.6 + 0.8 * uniform()), grit.capacity, grit.tau / rate)
      planned += plan.seconds + plan.pieces * learnt.overhead.likely
      needed += truly.seconds + truly.pieces * overhead
      log.push(logged(grit, plan.seconds, truly))
    }
    ratios.push(planned / needed)
    if (learns === 'after each pen' || pen === pens - 1) learnt = learnSanding(log)
  }
  return { ratios: ratios.slice(-5), learnt }

  function logged(grit: (typeof grits)[number], plan: number, { seconds, pieces }: ReturnType<typeof need>): SandingObservation {
    const looks: number[] = []
    if (stops === 'as planned') {
      let spent = plan
      while (spent < seconds) {
        looks.push(spent)
        spent += plan / 2
      }
      seconds = spent
    }
    const stray = uniform() < 0.1 ? (uniform() < 0.5 ? 3 : 1 / 3) : 1
    // Of a tapped paper half of the first change lies before.
    const before = pieces - (taps ? 0.5 : 0)
    const clock = (sanded: number, count: number) =>
      Math.max(1, stray * (sanded * (1 + 0.1 * normal()) + overhead * (before + count) * (1 + 0.1 * normal()) + normal()))
    const times = [...looks, seconds].map((at, look) => clock(at, look)).sort((a, b) => a - b)
    return {
      depth: grit.depth, capacity: grit.capacity, tau: grit.tau,
      notYet: times.slice(0, -1), gone: nth(times, times.length - 1), before: taps ? 0.5 : 1, each: 1,
    }
  }
}
