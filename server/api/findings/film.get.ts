import { measuredFilm } from '../../db/pictures'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Film that coats built beside what was planned. */
export default route('GET /api/findings/film', event => inWorkshop(event, measuredFilm))
