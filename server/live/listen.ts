import pg from 'pg'

/** What happened in the database: entries came in, or something else that screens hold was changed. Both are asked for by number. */
export type Notice = { kind: 'entries' } | { kind: 'changes' }
type Hear = (notice: Notice) => void

/** Who hears when it was changed who may come in. */
const doors = new Set<() => void>()

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

/** Hears each time when somebody or a device was let in or taken away, until the answered function is called. */
export function listenAtDoor(hear: () => void): () => void {
  doors.add(hear)
  return () => doors.delete(hear)
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
    if (kind === 'people') for (const hear of doors) hear()
    else tell({ kind: kind === 'changes' ? 'changes' : 'entries' }, workshop)
  })
  try {
    await own.connect()
    await own.query('listen oxlip')
    // What happened while nobody listened is asked for by number.
    tell({ kind: 'entries' })
    tell({ kind: 'changes' })
    for (const hear of doors) hear()
  } catch (error) {
    console.error('Live updates wait for the database:', (error as Error).message)
    lost()
  }
}

/** Ends the connection; for the end of the server. */
export async function deafen(): Promise<void> {
  ending = true
  ears.clear()
  doors.clear()
  await client?.end().catch(() => undefined)
}
