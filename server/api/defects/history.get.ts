import { defectHistory } from '../../db/defects'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** What the defects of all pens tell about causes and mends. */
export default route('GET /api/defects/history', event => inWorkshop(event, defectHistory))
