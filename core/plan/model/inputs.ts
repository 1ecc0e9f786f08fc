import type { Fitting } from '../../barrel'
import type { Climate, OwnWait } from '../../climate'
import type { BuildFit, OwnEvenness } from '../../film'
import type { Method } from '../../method'
import type { Learnt } from '../../sanding'
import { sandingClass, type Blank, type Material, type SandingClass, type Shelf } from '../../shelf'
import type { Habits, Wishes } from './wishes'

/** All that a plan is made from. It stays in the plan, so that every saved version explains itself. */
export interface PlanInputs {
  /** The set of metal parts. */
  fitting: Fitting
  /** What the blank is made of. */
  material: Material
  /** The finish, whole, in the version that was chosen. */
  method: Method
  /** What was on the shelf. */
  shelf: Shelf
  /** The air it was planned for. */
  climate: Climate
  /** What the turner wants. */
  wishes: Wishes
  /** The blank of the shelf it is cut from, where it is. */
  blank?: Blank
  /** The turner's own ways of cutting. */
  habits?: Habits
  /**
   * The turner's own cut rate and capacity on wood, as factors on the model's, and change and look, s, once something is learnt; plans
   * made before that was learnt have no change of their own.
   */
  own?: { rate: number, capacity: number, overhead?: number }
  /** What the turner's own coats build, µm, by product, once something was measured. */
  builds?: Readonly<Record<string, number>>
  /** The turner's own factors on the waits of products, once coats were touched while they waited. */
  waits?: Readonly<Record<string, number>>
  /** How even the turner's own levelling and barrels are, as factors on the model's, once something was levelled. */
  even?: { over: number, wood: number }
}

/** What the log of a workshop has taught about its turner. */
export interface Taught {
  /** Cut rate and capacity by class of wood; a class that nothing is known of is absent. */
  sanding: Partial<Record<SandingClass, Learnt>>
  /** What the turner's coats build. */
  builds: BuildFit
  /** How long products wait, by their ids; absent where nothing was touched, as in what was learnt before that was asked. */
  waits?: Readonly<Record<string, OwnWait>>
  /** How even levelling and barrels are; absent where nothing was levelled. */
  even?: OwnEvenness
}

/** The things that a plan is put together from, as the workshop keeps them. */
export interface Ingredients extends Pick<PlanInputs, 'fitting' | 'material' | 'method' | 'shelf' | 'wishes' | 'blank'> {
  /** The air as it is now, and the turner's own ways. */
  workshop: Climate & Habits
  /** What the log has taught; absent while it could not be asked. */
  taught?: Taught
}

/** The inputs of a plan out of what the workshop has now: the one place where they are put together. */
export function planInputs({ fitting, material, method, shelf, wishes, blank, workshop, taught }: Ingredients): PlanInputs {
  const { celsius, humidity, perEnd, kerf, wander, leastWall } = workshop
  const learnt = taught?.sanding[sandingClass(material)]
  const builds = ownBuilds(taught?.builds)
  const waits = Object.entries(taught?.waits ?? {}).map(([id, own]) => [id, own.factor.likely])
  const even = taught?.even
  return {
    fitting,
    material,
    method,
    shelf,
    climate: { celsius, humidity },
    wishes,
    ...(blank ? { blank } : {}),
    ...(learnt ? { own: { rate: learnt.rate.likely, capacity: learnt.capacity.likely, overhead: learnt.overhead.likely } } : {}),
    ...(Object.keys(builds).length ? { builds } : {}),
    ...(waits.length ? { waits: Object.fromEntries(waits) as Record<string, number> } : {}),
    ...(even?.levellings ? { even: { over: even.over.likely, wood: even.wood.likely } } : {}),
    habits: { perEnd: perEnd ?? null, kerf: kerf ?? null, wander: wander ?? null, leastWall: leastWall ?? null },
  }
}

/** The turner's own builds as a plan takes them: only of products that were measured. */
const ownBuilds = (fit: BuildFit | undefined): Record<string, number> =>
  Object.fromEntries(Object.entries(fit?.products ?? {}).flatMap(([id, own]) => (own.measurements > 0 ? [[id, own.build]] : [])))
