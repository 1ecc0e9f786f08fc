export * from './extra'
export * from './options'
export * from './repaired'
export { stageAt, type ChosenRepair } from './place'
