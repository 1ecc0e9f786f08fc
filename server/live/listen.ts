import pg from 'pg'

/** What happened in the database: entries came in, or something else that screens hold was changed. Both are asked for by number. */
export type Notice = { kind: 'entries' } | { kind: 'changes' }
type Hear = (notice: Notice) => void

/** Who hears, and of which workshop. */
const ears = new Set<{ workshop: string, hear: Hear }>()
let client: pg.Client | undefined
let ending = false

const AGAIN_AFTER = 1000

/** Hears every notice about a workshop until the answered function is called. The first one opens the connection. */
export function listen(workshop: string, hear: Hear): () => void {
  const ear = { workshop, hear }
  ears.add(ear)
  if (!client) void connect()
  return () => ears.delete(ear)
}

/** Tells those who are in a workshop, or everybody. */
const tell = (notice: Notice, about?: string) => {
  for (const { workshop, hear } of ears) if (about === undefined || about === workshop) hear(notice)
}

async function connect(): Promise<void> {
  const own = (client = new pg.Client({
    connectionString: process.env.OXLIP_DATABASE_URL,
    application_name: 'oxlip-live',
    keepAlive: true,
  }))
  const lost = () => {
    if (client !== own) return
    client = undefined
    void own.end().catch(() => undefined)
    if (!ending && ears.size) setTimeout(() => void connect(), AGAIN_AFTER)
  }
  own.on('error', lost)
  own.on('end', lost)
  own.on('notification', ({ payload = '{}' }) => {
    const { kind, workshop } = JSON.parse(payload) as { kind?: string, workshop?: string }
    tell({ kind: kind === 'changes' ? 'changes' : 'entries' }, workshop)
  })
  try {
    await own.connect()
    await own.query('listen oxlip')
    // What happened while nobody listened is asked for by number.
    tell({ kind: 'entries' })
    tell({ kind: 'changes' })
  } catch (error) {
    console.error('Live updates wait for the database:', (error as Error).message)
    lost()
  }
}

/** Ends the connection; for the end of the server. */
export async function deafen(): Promise<void> {
  ending = true
  ears.clear()
  await client?.end().catch(() => undefined)
}
