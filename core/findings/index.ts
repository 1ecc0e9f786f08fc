export { APART, apartIn, compared, type Apart } from './alike'
export { cellsOf, LIKE, type Asked, type Cell } from './cells'
export { controlOf, type Control } from './control'
export { howMuch, type FigureGroup, type Measured } from './how-much'
export { howOften, surest, type Difference, type RateAnswer } from './how-often'
export { newestFirst, noticed, type Look, type StandsOut } from './noticed'
export { figures, traits, type FigureName, type ToldPen, type Trait, type Traits } from './pens'
export {
  conditionOf, conditionText, isFigure, MOST_CONDITIONS, outcomes, readyQuestions, type AskedOf, type Condition, type Question,
} from './questions'
export type { Between } from './statistics/rate'
export type { Sureness } from './statistics/verdict'
export { pensForTrial, wayAt } from './trial'
