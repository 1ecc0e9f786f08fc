import { worked, type Figure } from '../../figures'
import type { SandThrough } from '../../film'
import { makePlan } from '../make'
import { coatCount, type Phase, type Plan, type PlanInputs } from '../model'
import { trace, type PlanTrace } from '../trace'

/** What a way of finishing comes to on one pen. */
export interface MethodFigures {
  /** The plan it was worked out on. */
  plan: Plan
  /** All that follows from it. */
  traced: PlanTrace
  /** How many coats stand in the end. */
  coats: number
  /** How often the film is levelled. */
  levellings: number
  /** The worst of its levellings; absent where nothing is levelled. */
  risk?: SandThrough
  /** From the first cleaning to the last polish, hands on, s. */
  finishing: Figure
  /** Until it may be handed over, s. */
  ready: Figure
  /** What the finish costs in minor units of money; absent while a bottle's price or size is not known. */
  cost?: Figure
}

/** The phases of finishing. */
const FINISHING: readonly Phase[] = ['clean', 'coat', 'level']

/** Time, coats, film, cost and risk of the method of these inputs, worked out as a plan of its own. */
export function methodFigures(inputs: PlanInputs): MethodFigures {
  const plan = makePlan(inputs)
  const traced = trace(plan)
  const risks = traced.steps.flatMap(one => one.risk ?? [])
  const times = traced.steps.filter(one => FINISHING.includes(one.step.phase)).map(one => one.handsOn)
  const [risk, cost] = [worst(risks), costOfFinish(traced)]
  return {
    plan,
    traced,
    coats: coatCount(plan),
    levellings: risks.length,
    ...(risk ? { risk } : {}),
    finishing: worked('hands on the finish', sum(times), 's', 'from the first cleaning to the last polish', times),
    ready: traced.untilHandOver,
    ...(cost ? { cost } : {}),
  }
}

const sum = (figures: readonly Figure[]): number => figures.reduce((total, one) => total + one.value, 0)

const worst = (risks: readonly SandThrough[]): SandThrough | undefined =>
  risks.reduce<SandThrough | undefined>((most, risk) => (most && most.edges >= risk.edges ? most : risk), undefined)

/** Undefined while the price of one product is not known. */
function costOfFinish({ needs }: PlanTrace): Figure | undefined {
  const costs = needs.flatMap(need => need.cost ?? [])
  const known = costs.length > 0 && costs.length === needs.length
  return known ? worked('finish used', sum(costs), 'money', 'each product by what its bottle cost', costs) : undefined
}

/**
 * The same coats levelled in stages of three, and all levelled at the end: which asks for what. Only CA is levelled in stages;
 * undefined for other finishes.
 */
export function levellingWays(inputs: PlanInputs): { staged: MethodFigures, atTheEnd: MethodFigures } | undefined {
  if (inputs.method.family !== 'CA film') return undefined
  const as = (levelling: 3 | 'at the end') => methodFigures({ ...inputs, method: { ...inputs.method, levelling } })
  return { staged: as(3), atTheEnd: as('at the end') }
}
