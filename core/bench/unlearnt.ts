import type { Plan } from '../plan'

const bareOf = new WeakMap<Plan, Plan>()

/** A plan without what was learnt of hands and waits before, which is what the log is held against; the same one each time. */
export function unlearnt(plan: Plan): Plan {
  const { own, waits, even, ...inputs } = plan.inputs
  const bare = bareOf.get(plan) ?? (own || waits || even ? { ...plan, inputs } : plan)
  bareOf.set(plan, bare)
  return bare
}
