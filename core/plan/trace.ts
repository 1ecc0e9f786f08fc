import { abrasiveName, grainFigure } from '../abrasives'
import { cutSticks, usualCut, type Stick } from '../barrel'
import { waitIn } from '../climate'
import { given, worked, type Figure } from '../figures'
import { filmStep, noFilm, thinnest, type Film } from '../film'
import { capacity, capacityPart, deepest, freshSurface, scratchLeft, scratchPart, stepFor, timeToRemove, type LadderStep, type Medium, type Rung, type Surface } from '../sanding'
import { handsOnBase } from './hands-on'
import type { PlanInputs, ShelfAbrasive } from './inputs'
import { meanDiameter, passOf } from './ladder'
import { coatAsFilm } from './methods/ca-film'
import { endsOf, sizeOf, type Sized, type SizedEnd } from './size'
import { gateSince, type Plan, type Step } from './plan'
import { gritOverhead } from './targets'
import { mediumOf, sandSpeed, startMarks, tears } from './traits'

/** The blank and its film at one moment of the plan. Scratches in µm. */
export interface Stage {
  wood: Surface
  film: Film
  /** Deepest scratch in the film since it was levelled; 0 while it has only been coated. */
  filmScratch: number
  coats: number
}

/** One step of a plan with all that follows from it. */
export interface StepTrace {
  step: Step
  before: Stage
  after: Stage
  /** Time with hands on it, s. */
  handsOn: Figure
  /** Wait before it may begin, counted from the end of `since`. */
  wait?: { since: string, length: Figure }
  /** Begin and end, in s from the first step, when the plan is worked straight through. */
  begins: number
  ends: number
  /** Of a grit: its grain and its jump, what it takes and leaves in µm, and how many fresh pieces. */
  grit?: { grain: Figure, jump?: number, pieces: number, removes: Figure, leaves: Figure }
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
  handsOn: Figure
  /** Time until it may be handed over, s, when worked straight through. */
  untilHandOver: Figure
}

/** Everything that follows from a plan, worked out afresh; nothing of it is stored. Steps left out take no time and change nothing. */
export function trace(plan: Plan, leftOut: ReadonlySet<string> = new Set()): PlanTrace {
  const { inputs } = plan
  const start = startMarks(inputs.wishes)
  let stage: Stage = { wood: freshSurface(inputs.wishes.tool, start.value), film: noFilm, filmScratch: 0, coats: 0 }
  let clock = 0
  const ended = new Map<string, number>()
  const steps = plan.steps.map((step): StepTrace => {
    const before = stage
    if (leftOut.has(step.id)) return { step, before, after: before, handsOn: given('left out', 0, 's'), begins: clock, ends: clock }
    const grit = gritTrace(inputs, step, before, lastGrain(plan, step))
    const handsOn = handsOnTime(step, grit)
    stage = stageAfter(inputs, step, before, grit?.ladder)
    const wait = stepWait(plan, step, leftOut)
    const begins = Math.max(clock, wait ? ended.get(wait.since)! + wait.length.value : 0)
    clock = begins + handsOn.value
    ended.set(step.id, clock)
    return { step, before, after: stage, handsOn, begins, ends: clock, ...(wait ? { wait } : {}), ...(grit ? { grit: grit.shown } : {}) }
  })

  const sandingTakes = worked('taken off by sanding', stage.wood.removed, 'µm', 'each grit removes the deepest scratch before it', [
    start, ...steps.flatMap(one => one.step.kind === 'sand' && one.grit ? [one.grit.grain] : [])])
  const products = [...new Map(plan.steps.flatMap(step => step.kind === 'coat' ? [[step.product.id, step.product] as const] : [])).values()]
  const builds = products.map(product => given(`build of one coat, ${product.name}`, product.film!.build, 'µm', product.film!.source))
  const filmLeft = worked('film left', stage.film.mean, 'µm', 'coats put on − levelling − polishing', [given('coats', stage.coats, 'coats'), ...builds])
  const filmThinnest = worked('film left at the thinnest', thinnest(stage.film), 'µm', 'mean − 1.645 × spread from coat to coat', [
    filmLeft, given('spread (standard deviation)', stage.film.sd, 'µm', { mark: 'model', note: '20 % of each coat, in quadrature' })])

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
    handsOn: worked('hands on', steps.reduce((sum, one) => sum + one.handsOn.value, 0), 's', 'all steps together', steps.map(one => one.handsOn)),
    untilHandOver: worked('until it may be handed over', clock, 's', 'worked straight through, waits kept', steps.flatMap(one => one.wait ? [one.wait.length] : [])),
  }
}

/** The wait before a step: the base wait of what it waits for, in this climate. Absent where nothing is waited for. */
export function stepWait(plan: Plan, step: Step, leftOut?: ReadonlySet<string>): { since: string, length: Figure } | undefined {
  const since = gateSince(plan, step, leftOut)
  if (!step.gate || !since || !('product' in since) || !since.product) return undefined
  const { product } = since
  const base = product.waits?.[step.gate.purpose]
  if (!base) return undefined
  const quick = 'accelerated' in since && since.accelerated && base.accelerated !== undefined
  const figure = given(`${product.name}, ${step.gate.purpose}${quick ? ', with accelerator' : ''}`, quick ? base.accelerated! : base.plain, 's', base.source)
  return { since: since.id, length: waitIn(plan.inputs.climate, figure, product.setsBy ?? 'warmth', `wait for ${step.gate.purpose}`) }
}

type GritStep = Extract<Step, { abrasive: ShelfAbrasive }>
const isGrit = (step: Step): step is GritStep => 'abrasive' in step
const FILM: Medium = { kind: 'film' }

function lastGrain(plan: Plan, step: Step): number | undefined {
  if (!isGrit(step)) return undefined
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
  const depth = onWood ? deepest(before.wood) : step.kind === 'level' ? before.film.unevenness : before.filmScratch
  const rung = { id: step.abrasive.id, pass }
  const ladder: LadderStep = stepFor(rung, depth, gritOverhead.value) ?? givenUp(rung)
  const grain = grainFigure(step.abrasive)
  const removes = worked('taken off', ladder.removes, 'µm', onWood ? 'the deepest scratch before it' : step.kind === 'level' ? 'the unevenness, peak to valley' : 'the scratches before it', [])
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
  if (step.kind === 'coat') return { ...before, film: filmStep(before.film, coatAsFilm(inputs, step)), filmScratch: 0, coats: before.coats + 1 }
  if (!grit || !isGrit(step)) return before
  if (step.kind === 'sand') {
    const left = before.wood.scratches.map(one => ({ ...one, depth: one.depth - grit.removes })).filter(one => one.depth > 1e-6)
    const scratches = [...left, { origin: abrasiveName(step.abrasive), depth: grit.leaves }]
    return { ...before, wood: { scratches, removed: before.wood.removed + grit.removes } }
  }
  const film = step.kind === 'level'
    ? filmStep(before.film, { kind: 'level', scratch: grit.leaves })
    : filmStep(before.film, { kind: 'smooth', scratchBefore: before.filmScratch })
  return { ...before, film, filmScratch: grit.leaves }
}

function handsOnTime(step: Step, grit: ReturnType<typeof gritTrace>): Figure {
  if (!grit || !isGrit(step)) return handsOnBase(step)
  const { ladder: { seconds, pieces, rung: { pass } }, speed, shown: { grain, removes } } = grit
  const name = abrasiveName(step.abrasive)
  const sanding = worked(`sanding with ${name}`, seconds, 's', '−τ · ln(1 − depth / capacity), τ 15 s at 40 m/min', [removes, capacityPart(pass.medium), grain, speed])
  return worked(`time for ${name}`, seconds + pieces * gritOverhead.value, 's', 'sanding + change for each piece', [sanding, gritOverhead])
}
