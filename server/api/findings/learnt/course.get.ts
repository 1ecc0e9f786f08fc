import { learntCourse } from '../../../db/learnt-of'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** How what was learnt of a turner moved. */
export default route('GET /api/findings/learnt/course', event => inWorkshop(event, learntCourse))
