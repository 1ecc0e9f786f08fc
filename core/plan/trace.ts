import { abrasiveName, grainFigure } from '../abrasives'
import { cutSticks, usualCut, type Stick } from '../barrel'
import { latestIn, waitIn, type Climate } from '../climate'
import { given, worked, type Figure, type Source } from '../figures'
import { filmStep, noFilm, sandThrough, thinnest, type Film, type FilmStep, type SandThrough } from '../film'
import { capacity, capacityPart, deepest, freshSurface, scratchLeft, scratchPart, stepFor, timeToRemove, type LadderStep, type Rung, type Surface } from '../sanding'
import { handsOnBase } from './hands-on'
import type { PlanInputs, Product, ShelfAbrasive } from './inputs'
import { meanDiameter, passOf } from './ladder'
import { coatAsFilm } from './methods/coats'
import { FILM } from './methods/levelling'
import { buildOf } from './methods/products'
import { needsOf, type Need } from './needs'
import { endsOf, sizeOf, type Sized, type SizedEnd } from './size'
import { gateSince, type Plan, type Step, type StepOf } from './plan'
import { gritOverhead } from './targets'
import { mediumOf, sandSpeed, startMarks, tears } from './traits'

/** The blank and its film at one moment of the plan. Scratches in µm. */
export interface Stage {
  wood: Surface
  film: Film
  /** The film where a defect was covered, thinner than elsewhere; absent while there is none. */
  spot?: Film
  /** What stands of each coat, from the wood outward, µm. */
  stack: readonly StandingCoat[]
  /** Deepest scratch in the film since it was levelled; 0 while it has only been coated. */
  filmScratch: number
  coats: number
}

/** A coat in the film: of what, and how much of it still stands, µm. */
export interface StandingCoat {
  product: Product
  um: number
  /** The defect it covers. */
  mends?: string
}

/** One step of a plan with all that follows from it. */
export interface StepTrace {
  step: Step
  before: Stage
  after: Stage
  /** Time with hands on it, s. */
  handsOn: Figure
  /** Wait before it may begin, counted from the end of `since`; and by when it should have, where it must not be put off. */
  wait?: StepWait
  /** Of a levelling: the chance that it and the grits after it go through the film. */
  risk?: SandThrough
  /** Begin and end, in s from the first step, when the plan is worked straight through. */
  begins: number
  ends: number
  /** Of a grit: its grain and its jump, what it takes and leaves in µm, and how many fresh pieces. */
  grit?: { grain: Figure, jump?: number, pieces: number, removes: Figure, leaves: Figure }
}

/** A wait before a step: what it counts from, how long, and by when at the latest (s), where there is a latest. */
export interface StepWait {
  since: string
  length: Figure
  latest?: Figure
}

export interface PlanTrace {
  steps: StepTrace[]
  stick: Stick
  /** Every barrel’s outline, walls, section, drilling and glue; and its ends from the tip to the clip. */
  size: Sized
  ends: SizedEnd[]
  /** Depth that sanding takes off the bare blank, µm. */
  sandingTakes: Figure
  /** Mean film once polished, and what is there at the thinnest place with 95 % certainty, µm. */
  filmLeft: Figure
  filmThinnest: Figure
  /** What the coats take from the bottles. */
  needs: Need[]
  handsOn: Figure
  /** Time until it may be handed over, s, when worked straight through. */
  untilHandOver: Figure
}

/** Everything that follows from a plan, worked out afresh; nothing of it is stored. Steps left out take no time and change nothing. */
export function trace(plan: Plan, leftOut: ReadonlySet<string> = new Set()): PlanTrace {
  const { inputs } = plan
  const start = startMarks(inputs.wishes)
  let stage: Stage = { wood: freshSurface(inputs.wishes.tool, start.value), film: noFilm, stack: [], filmScratch: 0, coats: 0 }
  let clock = 0
  const ended = new Map<string, number>()
  const fresh = stage
  /** Barrels that catch up, by the mend that made them. */
  const apart = new Map<string, Stage>()
  const steps = plan.steps.map((step): StepTrace => {
    const before = step.apart ? apart.get(step.mend!) ?? fresh : stage
    if (leftOut.has(step.id)) return { step, before, after: before, handsOn: given('left out', 0, 's'), begins: clock, ends: clock }
    const grit = gritTrace(inputs, step, before, lastGrain(plan, step))
    const handsOn = handsOnTime(step, grit)
    const after = stageAfter(inputs, step, before, grit?.ladder)
    if (step.apart) apart.set(step.mend!, after)
    else stage = after
    const endOf = (wait: StepWait) => ended.get(wait.since)! + wait.length.value
    const wait = stepWaits(plan, step, inputs.climate, leftOut).reduce<StepWait | undefined>((last, one) => last && endOf(last) >= endOf(one) ? last : one, undefined)
    const begins = Math.max(clock, wait ? endOf(wait) : 0)
    clock = begins + handsOn.value
    ended.set(step.id, clock)
    return { step, before, after, handsOn, begins, ends: clock, ...(wait ? { wait } : {}), ...(grit ? { grit: grit.shown } : {}) }
  })

  withRisks(steps)

  const sandingTakes = worked('taken off by sanding', stage.wood.removed, 'µm', 'each grit removes the deepest scratch before it', [
    start, ...steps.flatMap(one => one.step.kind === 'sand' && one.grit ? [one.grit.grain] : [])])
  const products = [...new Map(plan.steps.flatMap(step => step.kind === 'coat' ? [[step.product.id, step.product] as const] : [])).values()]
  const builds = products.map(product => buildOf(inputs, product))
  const filmLeft = worked('film left', stage.film.mean, 'µm', 'coats put on − levelling − polishing', [given('coats', stage.coats, 'coats'), ...builds])
  const least = stage.spot && thinnest(stage.spot) < thinnest(stage.film) ? stage.spot : stage.film
  const filmThinnest = worked(stage.spot ? 'film left where it was mended' : 'film left at the thinnest', Math.max(0, thinnest(least)), 'µm', 'mean − 1.645 × spread from coat to coat', [
    least === stage.film ? filmLeft : given('film over the mended place', least.mean, 'µm'), given('spread (standard deviation)', least.sd, 'µm', { mark: 'model', note: '20 % of each coat, in quadrature' })])

  const cut = usualCut(tears(inputs.material), inputs.habits)
  const stick = cutSticks(inputs.fitting, cut)
  const size = sizeOf(inputs, stick, cut, sandingTakes, filmLeft)

  return {
    steps,
    stick,
    size,
    ends: endsOf(size),
    sandingTakes,
    filmLeft,
    filmThinnest,
    needs: needsOf(plan, size, leftOut),
    handsOn: worked('hands on', steps.reduce((sum, one) => sum + one.handsOn.value, 0), 's', 'all steps together', steps.map(one => one.handsOn)),
    untilHandOver: worked('until it may be handed over', clock, 's', 'worked straight through, waits kept', steps.flatMap(one => one.wait ? [one.wait.length] : [])),
  }
}

const RESTS: Source = { mark: 'model', note: 'starting value; the label stands above it' }

/** The waits before a step in this air: the label's figure where there is one, else the base wait of what it waits for. Empty where nothing is waited for; of several the one that ends last counts. */
export function stepWaits(plan: Plan, step: Step, climate: Climate, leftOut?: ReadonlySet<string>): StepWait[] {
  return gateSince(plan, step, leftOut).flatMap((since): StepWait[] => {
    const { purpose } = step.gate!
    if (since.kind === 'set aside') return [{ since: since.id, length: given('left alone in the warm', since.seconds, 's', RESTS) }]
    const product = 'product' in since ? since.product : null
    const label = product?.label?.[purpose]
    const base = label ?? product?.waits?.[purpose]
    if (!product || !base) return []
    const quick = 'accelerated' in since && since.accelerated && base.accelerated !== undefined
    const said = label ? ', by the label' : ''
    const figure = given(`${product.name}, ${purpose}${quick ? ', with accelerator' : ''}${said}`, quick ? base.accelerated! : base.plain, 's', base.source)
    const length = waitIn(climate, figure, product.setsBy ?? 'warmth', `wait for ${purpose}`, { label: Boolean(label) })
    const latest = base.latest === undefined ? {} : { latest: latestIn(climate, given(`${product.name}, ${purpose}, at the latest${said}`, base.latest, 's', base.source), `latest for ${purpose}`) }
    return [{ since: since.id, length, ...latest }]
  })
}

/** Gives every levelling the chance that it and the grits up to the next coat go through the film. */
function withRisks(steps: StepTrace[]): void {
  steps.forEach((one, index) => {
    if (one.step.kind !== 'level') return
    const rest = steps.slice(index + 1).filter(later => later.step.apart === one.step.apart)
    const end = rest.findIndex(later => later.step.kind === 'coat' || later.step.kind === 'sand back')
    const through = end < 0 ? rest : rest.slice(0, end)
    const after = through.at(-1)?.after ?? one.after
    const film = one.before.spot && thinnest(one.before.spot) < thinnest(one.before.film) ? 'spot' : 'film'
    one.risk = sandThrough(one.before[film]!, one.before[film]!.mean - after[film]!.mean)
  })
}

type GritStep = Extract<Step, { abrasive: ShelfAbrasive }>
const isGrit = (step: Step): step is GritStep => 'abrasive' in step

function lastGrain(plan: Plan, step: Step): number | undefined {
  if (!isGrit(step)) return undefined
  if (step.kind === 'cut back' || (step.kind === 'level' && step.phase === 'coat')) return undefined
  const before = plan.steps.slice(0, plan.steps.indexOf(step)).findLast(one => isGrit(one) && one.phase === step.phase)
  return before && isGrit(before) ? grainFigure(before.abrasive).value : undefined
}

function gritTrace(inputs: PlanInputs, step: Step, before: Stage, grainBefore: number | undefined) {
  if (!isGrit(step)) return undefined
  const onWood = step.kind === 'sand'
  const { speeds, source } = inputs.method
  const spindle = onWood ? sandSpeed(inputs) : given('spindle speed', speeds.level, 'rev/min', source)
  const pass = passOf(step.abrasive, onWood ? mediumOf(inputs.material) : FILM, inputs.fitting, spindle.value, inputs.own)
  const speed = worked('surface speed', pass.speed, 'm/min', 'π × diameter × spindle speed', [given('mean end diameter', meanDiameter(inputs.fitting), 'mm', inputs.fitting.source), spindle])
  const evens = step.kind === 'level' || step.kind === 'cut back'
  const depth = onWood ? deepest(before.wood) : step.kind === 'sand back' ? before.film.mean + before.film.unevenness / 2 : evens ? before.film.unevenness : before.filmScratch
  const rung = { id: step.abrasive.id, pass }
  const ladder: LadderStep = stepFor(rung, depth, gritOverhead.value) ?? givenUp(rung)
  const grain = grainFigure(step.abrasive)
  const removes = worked('taken off', ladder.removes, 'µm', onWood ? 'the deepest scratch before it' : step.kind === 'sand back' ? 'all of the film' : evens ? 'the unevenness, peak to valley' : 'the scratches before it', [])
  const leaves = worked('scratches it leaves', ladder.leaves, 'µm', 'grain × scratch depth per grain size', [grain, scratchPart(pass.medium)])
  const jump = grainBefore === undefined ? {} : { jump: grainBefore / grain.value }
  return { ladder, speed, shown: { grain, ...jump, pieces: ladder.pieces, removes, leaves } }
}

/** A grit that cannot take out what is before it is given up when its piece has done nine tenths of what it can; the rest stays. */
function givenUp(rung: Rung): LadderStep {
  const removes = 0.9 * capacity(rung.pass)
  return { rung, seconds: timeToRemove(rung.pass, removes), pieces: 1, removes, leaves: scratchLeft(rung.pass) }
}

function stageAfter(inputs: PlanInputs, step: Step, before: Stage, grit: LadderStep | undefined): Stage {
  if (step.kind === 'coat') return coated(inputs, step, before)
  if (!grit || !isGrit(step)) return before
  if (step.kind === 'sand back') {
    const { spot: _, ...bare } = before
    return step.whole ? { ...bare, wood: { scratches: [{ origin: abrasiveName(step.abrasive), depth: grit.leaves }], removed: before.wood.removed + grit.leaves }, film: noFilm, stack: [], filmScratch: 0, coats: 0 } : before
  }
  if (step.kind === 'sand') {
    const left = before.wood.scratches.map(one => ({ ...one, depth: one.depth - grit.removes })).filter(one => one.depth > 1e-6)
    const scratches = [...left, { origin: abrasiveName(step.abrasive), depth: grit.leaves }]
    return { ...before, wood: { scratches, removed: before.wood.removed + grit.removes } }
  }
  const sanding: FilmStep = step.kind === 'smooth' ? { kind: 'smooth', scratchBefore: before.filmScratch } : { kind: step.kind, scratch: grit.leaves }
  const film = filmStep(before.film, sanding)
  return { ...before, film, ...(before.spot ? { spot: filmStep(before.spot, sanding) } : {}), stack: takenOff(before.stack, before.film.mean - film.mean), filmScratch: film.mean > 0 ? grit.leaves : 0 }
}

/** A coat more. The first one over a sand-through begins a film of its own there, on bare wood. */
function coated(inputs: PlanInputs, step: StepOf<'coat'>, before: Stage): Stage {
  const coats = before.coats + 1
  const coat = coatAsFilm(inputs, step)
  if (!coat) return { ...before, coats }
  const film = filmStep(before.film, coat)
  const bare = step.mends && !before.stack.some(one => one.mends === step.mends) ? noFilm : before.spot
  return {
    ...before, film, ...(bare ? { spot: filmStep(bare, coat) } : {}), filmScratch: 0, coats,
    stack: [...before.stack, { product: step.product, um: coat.product.build * coat.onTop, ...(step.mends ? { mends: step.mends } : {}) }],
  }
}

/** The coats that stand once so much (µm) was taken off from above. */
function takenOff(stack: readonly StandingCoat[], um: number): StandingCoat[] {
  const left = [...stack]
  let rest = um
  while (rest > 0 && left.length) {
    const top = left.pop()!
    if (top.um > rest) left.push({ ...top, um: top.um - rest })
    rest -= top.um
  }
  return left
}

function handsOnTime(step: Step, grit: ReturnType<typeof gritTrace>): Figure {
  if (!grit || !isGrit(step)) return handsOnBase(step)
  const { ladder: { seconds, pieces, rung: { pass } }, speed, shown: { grain, removes } } = grit
  const name = abrasiveName(step.abrasive)
  const sanding = worked(`sanding with ${name}`, seconds, 's', '−τ · ln(1 − depth / capacity), τ 15 s at 40 m/min', [removes, capacityPart(pass.medium), grain, speed])
  return worked(`time for ${name}`, seconds + pieces * gritOverhead.value, 's', 'sanding + change for each piece', [sanding, gritOverhead])
}
