import { counted, decimal, formatSpan, micrometres } from '../format'
import { afterGrit, workGrit } from './grit'
import { deepest, freshSurface, type Scratch, type Surface } from './surface'
import { capacity, work, type Pass } from './work'

/** One step of a ladder somebody wrote. */
export interface WrittenStep {
  /** Its id in the plan. */
  id: string
  /** How it is sanded. */
  pass: Pass
  /** How it is named, and in which scale: numbers of different scales do not compare. */
  name: string
  /** The scale of its number. */
  scale: string
  /** Its number by that scale. */
  number: number
  /** Its change and look, s, where they are not those of the others. */
  overhead?: number
  /** How many pieces there are. */
  stock?: number
  /** Whether it is sanded wet. */
  wet?: boolean
  /** Seconds sanded; the time it needs when not said. */
  seconds?: number
}

export interface ReviewContext {
  /** Depth of the scratches it begins with, µm. */
  from: number
  /** Who made the marks it begins with. */
  origin: string
  /** Deepest scratch that does not show in the end, µm. */
  forgives: number
  /** From one grit to the next at most, times. */
  greatestJump: number
  /** Time for a change of paper and a look, s. */
  overhead: number
  /** Bare wood, which is not sanded wet; film and resin are. */
  bare: boolean
  /** Depth of wood that may still come off at each end, µm; none where it does not matter. */
  toSpare?: readonly { end: string, depth: number }[]
}

export type FindingKind
  = 'backward' | 'jump' | 'pointless' | 'too fine to begin' | 'left behind' | 'shows' | 'wet on bare wood' | 'too much off'

export interface Finding {
  /** What is wrong. */
  kind: FindingKind
  /** The step it is about, by its place; absent for the whole. */
  step?: number
  /** The same in a sentence. */
  says: string
  /** What would be right. */
  remedy: string
}

/** One step as it goes: how long, what it takes off, what stays. */
export interface ReviewedStep {
  /** Its id in the plan. */
  id: string
  /** Time on the paper, s. */
  seconds: number
  /** The same with changes and looks, s. */
  handsOn: number
  /** Pieces of paper it takes. */
  pieces: number
  /** The surface before it. */
  before: Surface
  /** The surface after it. */
  after: Surface
  /** Deepest scratch of earlier origin that is still there, µm. */
  inherited: number
}

export interface Review {
  /** In the order they are sanded. */
  steps: ReviewedStep[]
  /** What is wrong with it; empty where nothing is. */
  findings: Finding[]
  /** Sanding and overhead together, s. */
  seconds: number
  /** Deepest scratch in the end, µm, and who made it. */
  left: { depth: number, origin: string }
  /** Whether it comes to the end that is wanted. */
  usable: boolean
}

/** A grit that takes the scratches down by less than this ratio does nothing worth its overhead [model]. */
const POINTLESS = 1.15

/**
 * Reviews any ladder: what each step takes and leaves, and what is wrong with it. A step without a time of its own is sanded until the
 * scratches before it are gone, or until its piece is dull. Order is taken as written.
 */
export function reviewLadder(written: readonly WrittenStep[], context: ReviewContext): Review {
  const steps = written.reduce<ReviewedStep[]>(
    (done, step) => [...done, reviewed(step, done.at(-1)?.after ?? freshSurface(context.origin, context.from), context.overhead)],
    [],
  )
  const surface = steps.at(-1)?.after ?? freshSurface(context.origin, context.from)
  const worst = deepestOf(surface.scratches) ?? { origin: context.origin, depth: 0 }
  const findings = [
    ...placesOf(written, steps).flatMap(place => findingsAt(place, context)),
    ...showing(worst, steps, context),
    ...tooMuchOff(surface, context),
  ]
  return {
    steps,
    findings,
    seconds: steps.reduce((sum, one) => sum + one.handsOn, 0),
    left: { depth: worst.depth, origin: worst.origin },
    usable: !findings.some(one => UNUSABLE.includes(one.kind)),
  }
}

/** Findings with which no surface comes out as wanted. */
const UNUSABLE: readonly FindingKind[] = ['shows', 'left behind', 'backward', 'too much off']

/** How a written step goes on this surface: for its own time with one piece, else as any grit is worked. */
function reviewed({ pass, seconds: own, ...rung }: WrittenStep, before: Surface, overhead: number): ReviewedStep {
  const grit = workGrit({ ...rung, pass }, deepest(before), overhead)
  const after = own === undefined ? afterGrit(before, grit) : work(before, pass, own)
  const [seconds, pieces] = own === undefined ? [grit.seconds, grit.pieces] : [own, 1]
  return {
    id: rung.id,
    seconds,
    handsOn: seconds + pieces * (rung.overhead ?? overhead),
    pieces,
    before,
    after,
    inherited: deepestOf(after.scratches.filter(one => one.origin !== pass.origin))?.depth ?? 0,
  }
}

const deepestOf = (scratches: readonly Scratch[]): Scratch | undefined =>
  scratches.reduce<Scratch | undefined>((most, one) => (one.depth > (most?.depth ?? 0) ? one : most), undefined)

/** A step in its place: how it was written and how it went, and what stands before and after it. */
interface Place {
  index: number
  step: WrittenStep
  seen: ReviewedStep
  before?: WrittenStep
  seenBefore?: ReviewedStep
  /** How it and all later ones went. */
  onward: readonly ReviewedStep[]
}

const placesOf = (written: readonly WrittenStep[], steps: readonly ReviewedStep[]): Place[] =>
  steps.flatMap((seen, index) => {
    const step = written[index]
    const [before, seenBefore] = [written[index - 1], steps[index - 1]]
    return step ? [{ index, step, seen, onward: steps.slice(index), ...(before && seenBefore ? { before, seenBefore } : {}) }] : []
  })

function findingsAt(place: Place, context: ReviewContext): Finding[] {
  const first = tooFine(place, context)
  return [...wetOnWood(place, context), ...(first.length ? first : leftBehind(place, context)), ...badJump(place, context)]
}

function wetOnWood({ index, step }: Place, { bare }: ReviewContext): Finding[] {
  if (!step.wet || !bare) return []
  const says = `${step.name} wet on bare wood raises its grain and carries colour.`
  return [{ kind: 'wet on bare wood', step: index, says, remedy: 'Sand it dry; keep water for film and resin.' }]
}

function tooFine({ index, step, seen, before }: Place, { from }: ReviewContext): Finding[] {
  if (before || capacity(step.pass) >= from) return []
  const marks = `${micrometres(from)} µm of marks`
  const says = seen.inherited > 1e-6
    ? `${step.name} cannot take out ${marks}: ${micrometres(seen.inherited)} µm stay.`
    : `${step.name} needs ${counted(seen.pieces, 'piece')} and ${formatSpan(seen.seconds)} for ${marks}.`
  return [{ kind: 'too fine to begin', step: index, says, remedy: 'Begin coarser, or go back to the tool.' }]
}

/** Grains nearer than this, as a ratio, count as the same. */
const ALIKE = 1.02

function badJump({ index, step, before }: Place, { greatestJump }: ReviewContext): Finding[] {
  if (!before) return []
  const ratio = before.pass.grain / step.pass.grain
  const grains = `${micrometres(before.pass.grain)} to ${micrometres(step.pass.grain)} µm`
  const find = (kind: FindingKind, says: string, remedy: string): Finding[] => [{ kind, step: index, says, remedy }]
  if (ratio < 1 / ALIKE) {
    const trap = before.scale !== step.scale && step.number > before.number ? ' A higher number on another scale is not finer.' : ''
    const says = `${before.name} to ${step.name} goes back, from ${grains}.${trap}`
    return find('backward', says, `Leave ${step.name} out, or use it before ${before.name}.`)
  }
  if (ratio < POINTLESS) return find('pointless', `${step.name} is hardly finer than ${before.name}, ${grains}.`, 'Leave one of them out.')
  if (ratio <= greatestJump + 1e-9) return []
  const says = `${before.name} to ${step.name} is a jump of ${decimal(ratio, 1)} : 1, from ${grains}.`
  return find('jump', says, 'Put one between them: it is quicker and surer.')
}

/** The step after which scratches are never caught up with: it was cut short, or its piece could not do more. */
function leftBehind({ index, step, seen, seenBefore, onward }: Place, { forgives, origin }: ReviewContext): Finding[] {
  const stays = onward.every(later => later.inherited > forgives)
  if (!stays || (seenBefore && seenBefore.inherited > forgives)) return []
  const source = deepestOf(seen.after.scratches.filter(one => one.origin !== step.pass.origin))
  if (!source) return []
  const last = source.origin === origin ? 'begin coarser' : 'put a grit between'
  return [
    {
      kind: 'left behind',
      step: index,
      says: `${step.name} leaves ${micrometres(seen.inherited)} µm of what ${source.origin} made.`,
      remedy: `Stay longer here, take a fresh piece, or ${last}.`,
    },
  ]
}

function showing(worst: Scratch, steps: readonly ReviewedStep[], { forgives }: ReviewContext): Finding[] {
  if (worst.depth <= forgives + 1e-9) return []
  const older = (steps.at(-1)?.inherited ?? 0) >= worst.depth
  return [
    {
      kind: 'shows',
      says: `${micrometres(worst.depth)} µm deep scratches of ${worst.origin} will show; ${micrometres(forgives)} µm may be left.`,
      remedy: older ? 'Go back to the grit after them until they are gone, then the finer ones again.' : 'Go on to a finer grit.',
    },
  ]
}

const tooMuchOff = ({ removed }: Surface, { toSpare = [] }: ReviewContext): Finding[] =>
  toSpare
    .filter(({ depth }) => removed > depth + 1e-9)
    .map(({ end, depth }) => ({
      kind: 'too much off',
      says: `${micrometres(removed)} µm come off; the ${end} has ${micrometres(Math.max(0, depth))} µm to spare.`,
      remedy: 'Turn that end prouder, or begin finer.',
    }))
