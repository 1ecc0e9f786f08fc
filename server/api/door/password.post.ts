import { passwordSchema } from '../../../schemas'
import { comeIn } from '../../access/door'
import { isSecret } from '../../access/secret'
import { ownerDb } from '../../db/connection'
import { findByName } from '../../db/people'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

const WRONG = { password: 'Name and password do not go together.' }

/** Lets somebody in by their name and password or PIN; one that is not there takes as long as a wrong one. */
export default route('POST /api/door/password', async (event) => {
  const { name, password, device } = await readChecked(event, passwordSchema)
  const about = name.trim().toLowerCase()
  return comeIn(event, { about, device, how: 'signed in', wrong: WRONG }, async () => {
    const found = await findByName(ownerDb(), about)
    return await isSecret(password, found?.secret) ? found?.id : undefined
  })
})
