import { boolean } from 'yup'
import { exact } from '../../../schemas/common'
import { db } from '../../db/connection'
import { putAwayMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'

const awaySchema = exact({ gone: boolean().required() })

/** Puts a method away, or takes it out again. */
export default route(async (event) => {
  await putAwayMethod(db(), nameParam(event), (await readChecked(event, awaySchema)).gone)
  return {}
})
