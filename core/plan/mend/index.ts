export { extraCoatId, withExtraCoat, type ExtraCoat } from './extra'
export { mendOptions, type MendOption } from './options'
export { stageAt, type ChosenRepair } from './place'
export { endOfRepair, withRepairs } from './repaired'
