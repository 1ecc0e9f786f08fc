import { db } from '../db/connection'
import { readLearnt, type WorkshopLearnt } from '../db/learnt'
import { route } from '../http/route'

/** What the log of all pens tells: the turner's own sanding, what their coats build, what they took from the bottles. */
export default route(async (): Promise<WorkshopLearnt> => readLearnt(db()))
