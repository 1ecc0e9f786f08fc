import { passwordSchema } from '../../../schemas'
import { comeIn } from '../../access/door'
import { sealOfInstallation } from '../../access/installation'
import { isSecret } from '../../access/secret'
import { ownerDb } from '../../db/connection'
import { findByName } from '../../db/people'
import { pastSecond } from '../../db/second'
import { FieldsError } from '../../faults'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

const WRONG = { password: 'Name and password do not go together.' }

/**
 * Lets somebody in by their name and password or PIN, and by figures where they have a second step; one that is not there takes as long as
 * a wrong one.
 */
export default route('POST /api/door/password', async (event) => {
  const { name, password, second, device } = await readChecked(event, passwordSchema)
  const about = name.trim().toLowerCase()
  return comeIn(event, { about, device, how: 'signed in', wrong: WRONG }, async () => {
    const found = await findByName(ownerDb(), about)
    if (!await isSecret(password, found?.secret) || !found) return undefined
    const past = await pastSecond(ownerDb(), found.id, second, await sealOfInstallation())
    if (past === 'missing') throw new FieldsError({ second: 'And the six figures that your other device shows.' })
    if (past === 'wrong') throw new FieldsError({ second: 'These are not good, or were used already. Take the next ones it shows.' })
    return found.id
  })
})
