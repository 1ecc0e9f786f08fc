import { createReadStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sendStream, setResponseHeaders } from 'h3'
import { makeBackup } from '../backup/make'
import { noteBackup } from '../db/backups'
import { address, ownerDb } from '../db/connection'
import { rawRoute } from '../http/route'

/** Everything in one file, as it stands now. */
export default rawRoute('GET /api/backup', async (event) => {
  const now = new Date()
  const folder = await mkdtemp(join(tmpdir(), 'oxlip-save-'))
  const gone = () => rm(folder, { recursive: true, force: true })
  try {
    const file = join(folder, 'backup.tar')
    const { bytes } = await makeBackup(ownerDb(), address(), file, now)
    setResponseHeaders(event, {
      'Content-Type': 'application/x-tar',
      'Content-Length': bytes,
      'Content-Disposition': `attachment; filename="oxlip-${now.toISOString().slice(0, 10)}.tar"`,
    })
    const stream = createReadStream(file)
    stream.on('close', () => void gone())
    // It counts once all of it has left.
    stream.on('end', () => void noteBackup(ownerDb(), { made: now.toISOString(), bytes, how: 'screen' }))
    return await sendStream(event, stream)
  } catch (error) {
    await gone()
    throw error
  }
})
