import pg from 'pg'

/** What happened in the database: entries came in, or something else that screens hold was changed. Both are asked for by number. */
export type Notice = { kind: 'entries' } | { kind: 'changes' }
type Hear = (notice: Notice) => void

const ears = new Set<Hear>()
let client: pg.Client | undefined
let ending = false

const AGAIN_AFTER = 1000

/** Hears every notice of the database until the answered function is called. The first one opens the connection. */
export function listen(hear: Hear): () => void {
  ears.add(hear)
  if (!client) void connect()
  return () => ears.delete(hear)
}

const tell = (notice: Notice) => {
  for (const hear of ears) hear(notice)
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
  own.on('notification', ({ payload }) =>
    tell({ kind: payload && (JSON.parse(payload) as { kind: string }).kind === 'changes' ? 'changes' : 'entries' }),
  )
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
