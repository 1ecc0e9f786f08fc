import { HARD_SPREAD } from '../climate'
import { COAT_SPREAD, ENDS, filmStep, LAID, noFilm, OVER_SPREAD, type Film } from '../film'
import { evennessOf, firstStage, forgives, mayLeave, STROKES_SECONDS, type Plan } from '../plan'
import { afterGrit, deepest, fewStrokes, workGrit, type Rung, type Surface, type WorkedGrit } from '../sanding'
import { isResin } from '../shelf'
import { compile, hardAfter, type Compiled, type CompiledStep } from './compiled'
import { BEGINNER, PACE_SPREAD, type Hand } from './hand'
import { unknownsOf, type Unknown } from './unknowns'

/** How one simulated pen turned out. */
export interface Outcome {
  /** Hands on it, s. */
  hands: number
  /** Until it may be handed over, worked straight through, s. */
  ready: number
  /** Film left on the mean, µm. */
  film: number
  /** How much wood sanding took, µm. */
  taken: number
  /** The deepest scratch left in wood and film, µm. */
  scratch: number
  /** 1: a levelling went through the film on the open barrel. */
  through: number
  /** 1: it went through there, or at an edge or end. */
  throughEdges: number
  /** 1: a coat was put on, or levelled, before the one under it was hard. */
  soft: number
  /** 1: a scratch shows. */
  shows: number
}

/** A plan that can be played: what is unknown in it, and how it turns out where that is so. */
export interface Playable {
  /** All that is not known, or that chance decides. */
  unknowns: readonly Unknown[]
  /** How many numbers a run takes. */
  size: number
  /** How the pen turns out; each number is one of a standard normal distribution, all 0: as the plan is traced. */
  play: (x: ArrayLike<number>) => Outcome
  /** When each step was done, s from the first, of the run that was played last. */
  ends: Float64Array
}

const { exp, max } = Math

/** Makes a plan ready to be played by a hand. */
export function playable(plan: Plan, hand: Hand): Playable {
  const compiled = compile(plan)
  const { unknowns, size, at } = unknownsOf(compiled)
  const run = new Run(plan, compiled, hand, at)
  return { unknowns, size, play: x => run.play(x), ends: run.ends }
}

/** Plays a plan. What a run needs is kept between runs, since there are ten thousand of them. */
class Run {
  readonly ends: Float64Array
  private readonly hard: Float64Array
  private readonly evenness
  private readonly leave: number
  private readonly sheen: number
  private readonly fresh: Surface
  private x: ArrayLike<number> = []

  constructor(
    plan: Plan, private readonly compiled: Compiled, private readonly hand: Hand, private readonly at: ReadonlyMap<string, number>,
  ) {
    this.ends = new Float64Array(compiled.steps.length)
    this.hard = new Float64Array(compiled.coats)
    const { wood, over } = evennessOf(plan.inputs)
    this.evenness = { wood: wood * (hand.beginner ? BEGINNER.wood : 1), over: over * (hand.beginner ? BEGINNER.over : 1) }
    this.leave = mayLeave(plan.inputs).value
    this.sheen = forgives(plan.inputs.method.sheen, isResin(plan.inputs.material)).value
    this.fresh = firstStage(plan.inputs).wood
  }

  /** The number of an unknown in this run. */
  private z(id: string, place = 0): number {
    return this.x[(this.at.get(id) ?? 0) + place] ?? 0
  }

  play(x: ArrayLike<number>): Outcome {
    this.x = x
    const { steps } = this.compiled
    const marks = exp(MARKS * this.z('marks'))
    let wood: Surface = { ...this.fresh, scratches: this.fresh.scratches.map(one => ({ ...one, depth: one.depth * marks })) }
    let film: Film = noFilm
    let [scratch, clock, hands, through, edges, soft] = [0, 0, 0, 0, 0, 0]
    let levelled: { film: Film, place: number } | undefined
    let levellings = 0
    const goneThrough = (after: Film) => {
      if (!levelled) return
      const { film: before, place } = levelled
      const takes = (before.mean - after.mean) * this.evenness.over * exp(OVER_SPREAD * this.z('over', place))
      const uneven = this.evenness.wood * this.z('wood') + LAID * before.mean * this.z('laid')
      if (takes > 0 && before.mean + uneven < takes) through = 1
      if (takes > 0 && ENDS.film * (before.mean + uneven) < ENDS.taken * takes) edges = 1
      levelled = undefined
    }
    for (let index = 0; index < steps.length; index++) {
      const step = steps[index]
      if (!step) continue
      const worked = step.grit && this.sanded(step, wood, film, scratch)
      const took = (worked ? worked.seconds + worked.pieces * step.seconds * this.overhead() : step.seconds) * this.pace(step, index)
      const began = this.begins(step, clock)
      if (began.soft) soft = 1
      clock = began.at + took
      hands += took
      this.ends[index] = clock
      if (step.coat) {
        goneThrough(film)
        scratch = 0
        this.hard[step.coat.place] = exp(this.waitSd(step.coat.product) * this.z(`wait:${step.coat.product}`)
          + HARD_SPREAD * this.z('hard', step.coat.place))
        if (step.coat.film) film = filmStep(film, this.laid(step.coat.film, step.coat.product, step.coat.place))
      }
      if (!worked) continue
      if (step.kind === 'sand') wood = afterGrit(wood, worked)
      else if (step.kind === 'sand back') {
        goneThrough(film)
        if (step.strips) [wood, film, scratch] = [{ scratches: [{ origin: worked.rung.pass.origin, depth: worked.leaves }],
          removed: wood.removed + worked.leaves }, noFilm, 0]
      } else {
        if (step.kind === 'level') {
          goneThrough(film)
          levelled = { film, place: levellings++ }
        }
        film = step.kind === 'smooth'
          ? filmStep(film, { kind: 'smooth', scratchBefore: scratch })
          : filmStep(film, { kind: step.kind === 'level' ? 'level' : 'cut back', scratch: worked.leaves, takes: () => worked.removes })
        scratch = film.mean > 0 ? worked.leaves : 0
      }
    }
    goneThrough(film)
    const inWood = deepest(wood)
    return {
      hands, ready: clock, film: max(0, film.mean), taken: wood.removed, scratch: max(inWood, scratch), through,
      throughEdges: max(through, edges), soft, shows: inWood > this.leave + 1e-6 || scratch > this.sheen + 1e-6 ? 1 : 0,
    }
  }

  /** A grit as it is worked in this run: until the eye says that what was there is gone. */
  private sanded({ grit, kind }: CompiledStep, wood: Surface, film: Film, scratch: number): WorkedGrit | undefined {
    if (!grit) return undefined
    const rung = kind === 'sand' ? this.rung(grit.rung) : grit.rung
    if (kind === 'cut back') return fewStrokes(rung, film.unevenness, STROKES_SECONDS)
    const stood = kind === 'sand'
      ? deepest(wood)
      : kind === 'sand back' ? film.mean + film.unevenness / 2 : kind === 'level' ? film.unevenness : scratch
    const eye = kind === 'sand' ? exp((this.hand.beginner ? BEGINNER.eye : 1) * EYE * this.z('eye', grit.place)) : 1
    return workGrit(rung, stood * eye, 0)
  }

  private rung(rung: Rung): Rung {
    const { rate, capacity } = rung.pass.own ?? { rate: 1, capacity: 1 }
    const { sanding } = this.hand
    const own = { rate: rate * exp(sanding.rate * this.z('rate')), capacity: capacity * exp(sanding.capacity * this.z('capacity')) }
    return { ...rung, pass: { ...rung.pass, own } }
  }

  private overhead(): number {
    return exp(this.hand.sanding.overhead * this.z('overhead'))
  }

  private pace({ kind }: CompiledStep, index: number): number {
    const own = this.hand.paces[kind]
    const slow = this.hand.beginner ? BEGINNER.pace : 1
    return slow * (own?.factor ?? 1) * exp((own?.spread ?? PACE_SPREAD) * this.z('pace', index))
  }

  private laid(film: NonNullable<NonNullable<CompiledStep['coat']>['film']>, product: string, place: number) {
    const sd = this.hand.builds[product] ?? this.hand.builds.usual ?? 0
    const factor = max(LEAST_BUILD, 1 + sd * this.z(`build:${product}`)) * max(0, 1 + COAT_SPREAD * this.z('coats', place))
    return { ...film, product: { ...film.product, build: film.product.build * factor } }
  }

  private waitSd(product: string): number {
    return this.hand.waits[product] ?? this.hand.waits.usual ?? 0
  }

  /** When a step begins: once what it waits for is over, or before that where waits are hurried. */
  private begins({ waits }: CompiledStep, clock: number): { at: number, soft: boolean } {
    let [at, soft] = [clock, false]
    for (const { since, seconds, touched } of waits) {
      const from = this.ends[since] ?? 0
      const hard = touched ? hardAfter(seconds) * (this.hard[touched.coat] ?? 1) : 0
      at = max(at, from + (this.hand.hurry === undefined ? max(seconds, hard) : seconds * this.hand.hurry))
      if (touched && at - from < hard - A_MOMENT) soft = true
    }
    return { at, soft }
  }
}

/** Marks of the tool are judged by eye: the standard deviation of the logarithm (handbook 4.4: within 40 % nine times in ten). */
const MARKS = 0.2
/** How closely an eye tells that scratches are gone: the standard deviation of the logarithm of what is taken off [model]. */
const EYE = 0.1
/** Less than this is no time, s. */
const A_MOMENT = 1e-3
/** A coat builds no less than this part of what it usually does [model]. */
const LEAST_BUILD = 0.1
