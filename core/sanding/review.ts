import { stepFor } from './ladders'
import { deepest, freshSurface, type Surface } from './surface'
import { capacity, lifeUsed, scratchLeft, timeToRemove, work, type Pass } from './work'

/** One step of a ladder somebody wrote. */
export interface WrittenStep {
  id: string
  pass: Pass
  /** How it is named, and in which scale: numbers of different scales do not compare. */
  name: string
  scale: string
  number: number
  wet?: boolean
  /** Seconds sanded; the time it needs when not said. */
  seconds?: number
}

export interface ReviewContext {
  from: number
  /** Who made the marks it begins with. */
  origin: string
  /** Deepest scratch that does not show in the end, µm. */
  forgives: number
  greatestJump: number
  overhead: number
  /** Bare wood, which is not sanded wet; film and resin are. */
  bare: boolean
  /** Depth of wood that may still come off at each end, µm; none where it does not matter. */
  toSpare?: readonly { end: string, depth: number }[]
}

export type FindingKind = 'backward' | 'jump' | 'pointless' | 'too fine to begin' | 'left behind' | 'shows' | 'wet on bare wood' | 'too much off'

export interface Finding {
  kind: FindingKind
  /** The step it is about, by its place; absent for the whole. */
  step?: number
  says: string
  remedy: string
}

/** One step as it goes: how long, what it takes off, what stays. */
export interface ReviewedStep {
  id: string
  seconds: number
  pieces: number
  before: Surface
  after: Surface
  /** Deepest scratch of earlier origin that is still there, µm. */
  inherited: number
}

export interface Review {
  steps: ReviewedStep[]
  findings: Finding[]
  /** Sanding and overhead together, s. */
  seconds: number
  /** Deepest scratch in the end, µm, and who made it. */
  left: { depth: number, origin: string }
  usable: boolean
}

/** A grit that takes the scratches down by less than this ratio does nothing worth its overhead [model]. */
const POINTLESS = 1.15
const um = (value: number): string => value < 10 ? value.toFixed(1) : value.toFixed(0)

/**
 * Reviews any ladder: what each step takes and leaves, and what is wrong with it. A step without a time of its own is sanded until the scratches before it are gone, or until
 * its piece is dull. Order is taken as written.
 */
export function reviewLadder(written: readonly WrittenStep[], context: ReviewContext): Review {
  let surface = freshSurface(context.origin, context.from)
  const steps = written.map((step): ReviewedStep => {
    const before = surface
    const { seconds, pieces } = timing(step, before, context.overhead)
    for (let piece = 0; piece < pieces; piece++) surface = work(surface, step.pass, seconds / pieces)
    surface = once(surface)
    return { id: step.id, seconds, pieces, before, after: surface, inherited: deepest({ ...surface, scratches: surface.scratches.filter(one => one.origin !== step.pass.origin) }) }
  })
  const worst = surface.scratches.reduce((most, one) => one.depth > most.depth ? one : most, { origin: context.origin, depth: 0 })
  const findings = [...written.flatMap((_, index) => findingsOf(written, steps, index, context)), ...wholeFindings(surface, steps, context, worst)]
  return {
    steps, findings,
    seconds: steps.reduce((sum, one) => sum + one.seconds + one.pieces * context.overhead, 0),
    left: { depth: worst.depth, origin: worst.origin },
    usable: !findings.some(one => ['shows', 'left behind', 'backward', 'too much off'].includes(one.kind)),
  }
}

/** Several pieces of one abrasive make one family of scratches. */
function once(surface: Surface): Surface {
  const byOrigin = new Map(surface.scratches.map(scratch => [scratch.origin, scratch]))
  return { ...surface, scratches: [...byOrigin.values()] }
}

function timing(step: WrittenStep, before: Surface, overhead: number): { seconds: number, pieces: number } {
  if (step.seconds !== undefined) return { seconds: step.seconds, pieces: 1 }
  const depth = deepest(before)
  const planned = stepFor({ id: step.id, pass: step.pass }, depth, overhead)
  if (planned && planned.pieces <= 2) return planned
  // A grit that cannot do it is given up when its piece has done nine tenths of what it can.
  return { seconds: timeToRemove(step.pass, 0.9 * capacity(step.pass)), pieces: 1 }
}

function findingsOf(written: readonly WrittenStep[], steps: readonly ReviewedStep[], index: number, context: ReviewContext): Finding[] {
  const step = written[index]!
  const before = written[index - 1]
  const found: Finding[] = []
  const add = (kind: FindingKind, says: string, remedy: string) => found.push({ kind, step: index, says, remedy })
  if (step.wet && context.bare) add('wet on bare wood', `${step.name} wet on bare wood raises its grain and carries colour.`, 'Sand it dry; keep water for film and resin.')
  const tooFine = !before && capacity(step.pass) < context.from && steps[index]!.inherited > 1e-6
  if (!tooFine) found.push(...leftBehind(written, steps, index, context))
  if (!before) {
    if (tooFine) add('too fine to begin', `${step.name} cannot take out ${um(context.from)} µm of marks: ${um(steps[index]!.inherited)} µm stay.`, 'Begin coarser, or go back to the tool.')
    return found
  }
  const ratio = before.pass.grain / step.pass.grain
  const grains = `${um(before.pass.grain)} to ${um(step.pass.grain)} µm`
  if (ratio < 1 / 1.02) {
    const trap = before.scale !== step.scale && step.number > before.number ? ` A higher number on another scale is not finer.` : ''
    add('backward', `${before.name} to ${step.name} goes back, from ${grains}.${trap}`, `Leave ${step.name} out, or use it before ${before.name}.`)
  } else if (ratio < POINTLESS) {
    add('pointless', `${step.name} is hardly finer than ${before.name}, ${grains}.`, 'Leave one of them out.')
  } else if (ratio > context.greatestJump + 1e-9) {
    add('jump', `${before.name} to ${step.name} is a jump of ${ratio.toFixed(1)} : 1, from ${grains}.`, 'Put one between them: it is quicker and surer.')
  }
  return found
}

/** The step after which scratches are never caught up with: it was cut short, or its piece could not do more. */
function leftBehind(written: readonly WrittenStep[], steps: readonly ReviewedStep[], index: number, { forgives, origin }: ReviewContext): Finding[] {
  const [step, { inherited, after }] = [written[index]!, steps[index]!]
  const lasts = steps.slice(index).every(later => later.inherited > forgives)
  if (!lasts || (index > 0 && steps[index - 1]!.inherited > forgives)) return []
  const source = after.scratches.filter(one => one.origin !== step.pass.origin).reduce((a, b) => b.depth > a.depth ? b : a)
  return [{
    kind: 'left behind', step: index, says: `${step.name} leaves ${um(inherited)} µm of what ${source.origin} made.`,
    remedy: source.origin === origin ? 'Stay longer here, take a fresh piece, or begin coarser.' : 'Stay longer here, take a fresh piece, or put a grit between.',
  }]
}

function wholeFindings(surface: Surface, steps: readonly ReviewedStep[], context: ReviewContext, worst: { origin: string, depth: number }): Finding[] {
  const found: Finding[] = []
  if (worst.depth > context.forgives + 1e-9) {
    found.push({ kind: 'shows', says: `${um(worst.depth)} µm deep scratches of ${worst.origin} will show; the finish hides ${um(context.forgives)} µm.`, remedy: (steps.at(-1)?.inherited ?? 0) >= worst.depth ? 'Go back to the grit after them until they are gone, then the finer ones again.' : 'Go on to a finer grit.' })
  }
  for (const { end, depth } of context.toSpare ?? []) {
    if (surface.removed > depth + 1e-9) found.push({ kind: 'too much off', says: `${um(surface.removed)} µm come off; the ${end} has ${um(Math.max(0, depth))} µm to spare.`, remedy: 'Turn that end prouder, or begin finer.' })
  }
  return found
}

/** What goes on after “not yet”: ways to take the rest of the scratches out, the cheapest first. */
export interface WayOn {
  how: 'longer' | 'fresh piece' | 'back a grit'
  id: string
  /** Sanding and overhead, s, until the ladder is where it should have been. */
  seconds: number
}

/**
 * The cheapest ways on when scratches of `left` µm are still there after a grit: go on with the same piece, take a fresh one, or go back to a coarser grit and down again.
 */
export function waysOn(current: { id: string, pass: Pass }, spent: number, left: number, coarser: readonly { id: string, pass: Pass }[], overhead: number): WayOn[] {
  const ways: WayOn[] = []
  const dulled: Pass = { ...current.pass, worn: Math.min(0.999, lifeUsed(current.pass, spent)) }
  const longer = timeToRemove(dulled, left)
  if (Number.isFinite(longer)) ways.push({ how: 'longer', id: current.id, seconds: longer })
  const fresh = stepFor({ id: current.id, pass: { ...current.pass, worn: 0 } }, left, overhead)
  if (fresh) ways.push({ how: 'fresh piece', id: current.id, seconds: fresh.seconds + fresh.pieces * overhead })
  for (const rung of coarser) {
    const back = stepFor(rung, left, overhead)
    const again = stepFor(current, scratchLeft(rung.pass), overhead)
    if (back && again) ways.push({ how: 'back a grit', id: rung.id, seconds: back.seconds + again.seconds + (back.pieces + again.pieces) * overhead })
  }
  return ways.sort((a, b) => a.seconds - b.seconds)
}
