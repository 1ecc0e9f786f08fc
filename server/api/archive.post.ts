import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TakenIn } from '../../contract'
import { takeIn } from '../archive/read'
import { ArchiveError } from '../archive/error'
import { db } from '../db/connection'
import { projectAll } from '../db/projections'
import { withinWorkshop } from '../db/within'
import { FieldsError } from '../faults'
import { afterwards } from '../http/afterwards'
import { receiveFile } from '../http/body'
import { rawRoute } from '../http/route'
import { workshopOf } from '../http/workshop'

/** An archive is at most so large, bytes. */
const MOST = 8_000_000_000

/** Takes an archive into a workshop: all of it, or nothing. Lists follow once its pens are worked out. */
export default rawRoute('POST /api/archive', async (event): Promise<TakenIn> => {
  const workshop = await workshopOf(event)
  const within = withinWorkshop(db(), workshop)
  await within(async () => undefined)
  const folder = await mkdtemp(join(tmpdir(), 'oxlip-archive-'))
  try {
    const file = join(folder, 'archive.tar')
    // Read to its end before anything is kept: a slow sender must not hold a connection.
    await receiveFile(event, createWriteStream(file, { mode: 0o600 }), MOST)
    const taken = await within(trx => takeIn(trx, file))
    afterwards(`pens of an archive in ${workshop}`, () => projectAll(within))
    return taken
  } catch (error) {
    if (error instanceof ArchiveError) throw new FieldsError({ archive: error.message })
    throw error
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
})
