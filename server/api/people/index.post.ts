import { newPersonSchema } from '../../../schemas'
import { ownerDb } from '../../db/connection'
import { addPerson } from '../../db/people'
import { readChecked } from '../../http/body'
import { peopleHere } from '../../http/people'
import { route } from '../../http/route'
import { workshopOf } from '../../http/workshop'

/** Somebody new in this workshop. */
export default route('POST /api/people', async (event) => {
  const wanted = await readChecked(event, newPersonSchema)
  await addPerson(ownerDb(), await workshopOf(event), wanted)
  return peopleHere(event)
}, { created: true })
