export { boardOf, type Board } from './board'
export { isOpen, type DefectState } from './course'
export { inOrder, type BenchEvent, type Entry, type Leaving, type OtherwiseIn, type Returning } from './event'
export { findingsOf, whyDefect } from './evidence/findings'
export { openWork } from './evenings/open-work'
export { changesWith, learnHands, type OwnHands, type StepDone } from './evenings/hands'
export { runsOut, takesOf, type RunsOut } from './evenings/runs-out'
export { CHANGES, standsSetUp } from './evenings/set-up'
export { jobOf } from './next/job-of'
export { bestNextPen, nextPen, type NextPen, type Why } from './next/next'
export type { Job } from './next/job'
export {
  brokenProjection,
  plannedTraits,
  project,
  PROJECTION,
  summaryIn,
  type Fact,
  type ProjectedDefect,
  type ProjectedSummary,
  type Projection,
} from './projection'
export { atAnotherTime, canBeMoved, onAnotherPen, swapped, type Logged, type PutRight } from './put-right'
export { isIn, pressedParts, type PressedPart } from './pressed'
export { isUnlogged } from './made'
export { mayGo } from './may-go'
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
export { story, type Evening, type Happening } from './story'
export { operationOf, type Operation } from './together/operation'
export { shared } from './together/share'
export { brokenWords, summarise, type PenStage, type PenSummary } from './summary'
export type { Gone, Return } from './whereabouts'
