export { buildOf } from './builds'
export { extraWorks, type Extra, type ExtraWork } from './extra'
export { mendId, stepId, type MendId, type StepId } from './ids'
export { planInputs, type PlanInputs, type Taught } from './inputs'
export { stepNature } from './nature'
export { coatCount, gateSince, stepsBefore, stripsAll, wipedOff, type Plan } from './plan'
export {
  cleanHows,
  fixHows,
  gateKinds,
  isGrit,
  isKind,
  phases,
  type CleanHow,
  type CoatStep,
  type FixHow,
  type Gate,
  type GritStep,
  type Phase,
  type Step,
  type StepKind,
  type StepOf,
} from './step'
export { depthOf, depthPart, depthRange, forgives, leastFilm, mayLeave, overheadOf, sandSpeed, startMarks } from './targets'
export { filmWishes, glueWishes, toolIds, type GlueWish, type Sizing, type Wishes } from './wishes'
