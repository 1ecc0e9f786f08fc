export { boardOf, type Board } from './board'
export { isOpen, type DefectState } from './course'
export { inOrder, type BenchEvent, type Entry } from './event'
export { findingsOf, whyDefect } from './evidence/findings'
export { jobOf } from './jobs'
export { nextPen, type Why } from './order'
export { project, PROJECTION, summaryIn, type Fact, type ProjectedDefect, type ProjectedSummary, type Projection } from './projection'
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
