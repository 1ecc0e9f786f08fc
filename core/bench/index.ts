export { boardOf, type Board } from './board'
export { isOpen, type DefectState } from './course'
export { inOrder, type BenchEvent, type Entry } from './event'
export { findingsOf, whyDefect } from './evidence/findings'
export { buildGrowths } from './growths'
export { jobOf } from './jobs'
export { sandingObservations } from './observations'
export { nextPen, type Why } from './order'
export { record, sandedSoFar, type PenRecord } from './record'
export {
  answerTo,
  leftOut,
  replay,
  settledSteps,
  standingNow,
  type BenchState,
  type OffTime,
  type RunningWait,
} from './replay'
export { summarise, timeLeft, type PenSummary } from './summary'
export { usesOf, type Use } from './uses'
