import { db } from '../db/connection'
import { readLearnt, type LearntByClass } from '../db/learnt'
import { route } from '../http/route'

/** The turner's own cut rate and capacity for each class of wood, with how sure they are. */
export default route(async (): Promise<LearntByClass> => readLearnt(db()))
