import { db } from '../../db/connection'
import { defectHistory } from '../../db/defects'
import { route } from '../../http/route'

/** What the defects of all pens tell about causes and mends. */
export default route('GET /api/defects/history', () => defectHistory(db()))
