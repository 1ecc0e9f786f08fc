import { bitSchema } from '../../schemas'
import { changeBit } from '../db/bits'
import { db } from '../db/connection'
import { readChecked } from '../http/body'
import { route } from '../http/route'

export default route('PUT /api/bits', async event => changeBit(db(), await readChecked(event, bitSchema)))
