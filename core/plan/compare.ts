import { worked, type Figure } from '../figures'
import type { SandThrough } from '../film'
import type { PlanInputs } from './inputs'
import { makePlan } from './make'
import { coatCount, type Plan } from './plan'
import { trace, type PlanTrace } from './trace'

/** What a way of finishing comes to on one pen. */
export interface MethodFigures {
  plan: Plan
  traced: PlanTrace
  coats: number
  levellings: number
  /** The worst of its levellings; absent where nothing is levelled. */
  risk?: SandThrough
  /** From the first cleaning to the last polish, hands on. */
  finishing: Figure
  ready: Figure
  /** In minor units of money; absent while a bottle's price or size is not known. */
  cost?: Figure
}

/** Time, coats, film, cost and risk of the method of these inputs, worked out as a plan of its own. */
export function methodFigures(inputs: PlanInputs): MethodFigures {
  const plan = makePlan(inputs)
  const traced = trace(plan)
  const risks = traced.steps.flatMap(one => one.risk ?? [])
  const finishing = traced.steps.filter(one => ['clean', 'coat', 'level'].includes(one.step.phase)).map(one => one.handsOn)
  const costs = traced.needs.flatMap(need => need.cost ?? [])
  return {
    plan, traced, coats: coatCount(plan), levellings: risks.length,
    ...(risks.length ? { risk: risks.reduce((worst, risk) => risk.edges > worst.edges ? risk : worst) } : {}),
    finishing: worked('hands on the finish', finishing.reduce((sum, one) => sum + one.value, 0), 's', 'from the first cleaning to the last polish', finishing),
    ready: traced.untilHandOver,
    ...(costs.length === traced.needs.length && costs.length ? { cost: worked('finish used', costs.reduce((sum, one) => sum + one.value, 0), 'money', 'each product by what its bottle cost', costs) } : {}),
  }
}

/** The same coats levelled in stages of three, and all levelled at the end: which asks for what. Only CA is levelled in stages; undefined for other finishes. */
export function levellingWays(inputs: PlanInputs): { staged: MethodFigures, atTheEnd: MethodFigures } | undefined {
  if (inputs.method.family !== 'CA film') return undefined
  const as = (levelling: 3 | 'at the end') => methodFigures({ ...inputs, method: { ...inputs.method, levelling } })
  return { staged: as(3), atTheEnd: as('at the end') }
}
