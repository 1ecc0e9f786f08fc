export { planEvenings } from './evenings'
export type { Costs, EveningPen, EveningProblem, Goal, Work } from './problem'
