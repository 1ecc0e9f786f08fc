import type { PieceId } from '../../evening'
import { abrasiveName } from '../../abrasives'
import { isGrit, volumeOfCoat } from '../../plan'
import type { Board } from '../board'

/** Something of the shelf that work takes. */
export interface Take extends PieceId {
  /** A bottle (ml), a set of parts, a stick, or sheets of paper (lives of fresh ones). */
  of: 'bottle' | 'set' | 'stick' | 'sheet'
  /** Which, by its id. */
  id: string
  /** What it is called. */
  name: string
  /** How much: ml, or how many. */
  amount: number
}

/**
 * What the open steps of a pen take from the shelf: coats their bottles, grits their paper, the parts a set, the cut a stick where it is
 * known of which.
 */
export function takesOf(pen: string, { state, traced }: Board, stick?: { id: string, name: string }): Take[] {
  const { plan } = state
  const { fitting } = plan.inputs
  const open = state.steps.filter(one => one.status === 'open').map(one => one.step)
  const isBegun = (kind: 'parts' | 'tube') => state.steps.some(one => one.step.kind === kind && one.status === 'done')
  // A set is taken in hand at the check of its parts, or at the latest when its tube is glued in.
  const set = isBegun('parts') || isBegun('tube') ? undefined : open.find(step => step.kind === 'parts' || step.kind === 'tube')
  const papers = new Map(traced.steps.map(({ step, grit }) => [step.id, grit?.uses ?? 0]))
  return open.flatMap((step): Take[] => {
    const at = { pen, step: step.id }
    const paper = papers.get(step.id) ?? 0
    return [
      ...(step.kind === 'coat'
        ? [{ ...at, of: 'bottle' as const, id: step.product.id, name: step.product.name, amount: volumeOfCoat(plan, traced.size, step) }]
        : []),
      ...(isGrit(step) && paper > 0
        ? [{ ...at, of: 'sheet' as const, id: step.abrasive.id, name: abrasiveName(step.abrasive), amount: paper }]
        : []),
      ...(step === set ? [{ ...at, of: 'set' as const, id: fitting.id, name: fitting.name, amount: 1 }] : []),
      ...(step.kind === 'cut' && stick ? [{ ...at, of: 'stick' as const, ...stick, amount: 1 }] : []),
    ]
  })
}

/** Something that does not last. */
export interface RunsOut extends Take {
  /** How much is missing in all. */
  short: number
}

/** What of the shelf does not last for work in this order, and at which piece each runs out; `left`: what is there, where that is known. */
export function runsOut(order: readonly PieceId[], takes: readonly Take[], left: (take: Take) => number | undefined): RunsOut[] {
  const place = new Map(order.map(({ pen, step }, index) => [`${pen} ${step}`, index]))
  const placeOf = ({ pen, step }: PieceId) => place.get(`${pen} ${step}`) ?? Infinity
  const things = new Map<string, Take[]>()
  for (const take of [...takes].sort((a, b) => placeOf(a) - placeOf(b)))
    things.set(`${take.of} ${take.id}`, [...(things.get(`${take.of} ${take.id}`) ?? []), take])
  return [...things.values()].flatMap((all): RunsOut[] => {
    const [first] = all
    const there = first && left(first)
    if (there === undefined) return []
    let sum = 0
    const without = all.find(take => (sum += take.amount) > there + ENOUGH)
    const needed = all.reduce((total, take) => total + take.amount, 0)
    return without ? [{ ...without, short: needed - there }] : []
  })
}
/** Less than this is not missing: a drop, ml. */
const ENOUGH = 0.01
