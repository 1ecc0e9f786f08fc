import { setResponseStatus } from 'h3'
import { blankSchema } from '../../../schemas'
import { createBlank } from '../../db/blanks'
import { db } from '../../db/connection'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route(async (event) => {
  const blank = await createBlank(db(), await readChecked(event, blankSchema))
  setResponseStatus(event, 201)
  return blank
})
