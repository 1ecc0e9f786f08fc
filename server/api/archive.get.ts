import { createReadStream } from 'node:fs'
import { mkdtemp, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sendStream, setResponseHeaders } from 'h3'
import { writeArchive } from '../archive/write'
import { db, ownerDb } from '../db/connection'
import { withinWorkshop } from '../db/within'
import { rawRoute } from '../http/route'
import { workshopOf } from '../http/workshop'

/** A workshop as an archive, as it stands now. */
export default rawRoute('GET /api/archive', async (event) => {
  const workshop = await workshopOf(event)
  // A workshop that is not there is told before anything is written.
  await withinWorkshop(db(), workshop)(async () => undefined)
  const folder = await mkdtemp(join(tmpdir(), 'oxlip-archive-'))
  const gone = () => rm(folder, { recursive: true, force: true })
  try {
    const file = join(folder, 'archive.tar')
    const now = new Date()
    await writeArchive(ownerDb(), workshop, { file, scratch: join(folder, 'rows') }, now)
    setResponseHeaders(event, {
      'Content-Type': 'application/x-tar',
      'Content-Length': (await stat(file)).size,
      'Content-Disposition': `attachment; filename="oxlip-archive-${now.toISOString().slice(0, 10)}.tar"`,
    })
    const stream = createReadStream(file)
    stream.on('close', () => void gone())
    return await sendStream(event, stream)
  } catch (error) {
    await gone()
    throw error
  }
})
