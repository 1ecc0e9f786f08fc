import { codeSchema } from '../../../schemas'
import { comeIn } from '../../access/door'
import { ownerDb } from '../../db/connection'
import { usePairing } from '../../db/sessions'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

const WRONG = { code: 'This code is not good: it is five minutes old, was used, or is mistyped. Have a new one shown.' }

/** Lets a device in by a code from an owner’s screen. */
export default route('POST /api/door/code', async (event) => {
  const { code, device } = await readChecked(event, codeSchema)
  return comeIn(event, { about: 'code', device, how: 'paired', wrong: WRONG }, () => usePairing(ownerDb(), code))
})
