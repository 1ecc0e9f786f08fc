import type { AirReading } from '../climate'
import { traceOnce, type Plan, type PlanTrace } from '../plan'
import type { BenchEvent } from './event'
import { leftOut, replay, type BenchState } from './replay'

/** A pen as it stands: what its log says, and what follows from its plan with what was left out. */
export interface Board {
  /** From the log. */
  state: BenchState
  /** From the plan as the log has mended it. */
  traced: PlanTrace
}

/** Replays a log and traces its plan, once for everything that is asked of a pen. */
export function boardOf(planned: Plan, events: Iterable<BenchEvent>, air: readonly AirReading[] = []): Board {
  const state = replay(planned, events, air)
  return { state, traced: traceOnce(state.plan, leftOut(state.steps)) }
}
