import type { Learnt } from '../../core/sanding'
import { db } from '../db/connection'
import { readLearnt } from '../db/learnt'
import { route } from '../http/route'

/** The turner's own cut rate and capacity on wood, with how sure they are. */
export default route(async (): Promise<Learnt> => readLearnt(db()))
