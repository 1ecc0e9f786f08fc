import { defectQuerySchema } from '../../../schemas'
import { db } from '../../db/connection'
import { pageDefects } from '../../db/defects'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'

/** A page of the defects that are asked for. */
export default route('GET /api/defects', async event => pageDefects(db(), await queryOf(event, defectQuerySchema, ['limit'])))
