import { readBackups } from '../db/backups'
import { ownerDb } from '../db/connection'
import { route } from '../http/route'

/** When the whole database was saved last, and whether it is time again. */
export default route('GET /api/backups', () => readBackups(ownerDb()))
