export { OTHER, type Cause, type Evidence, type Finding } from './cause'
export { defectKinds, foundAt, type Defect, type DefectEntry, type DefectKind, type WorkStage } from './defect'
export { timesAsOften } from './foreseen'
export { diagnose, type CauseHistory, type Diagnosis } from './diagnose'
export { asUsual, type ShopHistory, type UsualEvidence } from './usual'
export {
  chanceRange,
  repairs,
  repairWays,
  type OwnRecord,
  type Repair,
  type RepairOf,
  type RepairPlace,
  type RepairRow,
  type RepairWay,
} from './repairs'
