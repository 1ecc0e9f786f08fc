import type { Knex } from 'knex'
import type { Backups, BackupWay } from '../../contract'

/** The last backup is old after so many days, and is missed once so many entries came since [model]. */
const OLD = { days: 14, entries: 30 }

/** Notes that the whole database was saved. */
export async function noteBackup(owner: Knex, backup: { made: string, bytes: number, how: BackupWay }): Promise<void> {
  await owner('backups').insert(backup)
}

/**
 * When the whole was saved last, and whether it is time again. What was saved by itself lies on the same disk and does not count; the demo
 * is missed by nobody.
 */
export async function readBackups(owner: Knex, now: Date = new Date()): Promise<Backups> {
  const row: { made: Date, bytes: string, how: BackupWay } | undefined
    = await owner('backups').whereNot({ how: 'before a change' }).orderBy('made', 'desc').first('made', 'bytes', 'how')
  const last = row ? { made: row.made.toISOString(), bytes: Number(row.bytes), how: row.how } : null
  const isOld = !last || now.getTime() - Date.parse(last.made) > OLD.days * 86_400_000
  return { last, isDue: isOld && await isMissed(owner, row?.made) }
}

/** Whether a workshop of the turner's own has enough entries that no backup has. */
async function isMissed(owner: Knex, since: Date | undefined): Promise<boolean> {
  const own: string[] = await owner('workshops').where({ kind: 'own' }).pluck('id')
  for (const workshop of own) {
    const entry: { received_at: Date } | undefined
      = await owner('events').where({ workshop_id: workshop }).orderBy('seq', 'desc').offset(OLD.entries - 1).first('received_at')
    if (entry && (!since || entry.received_at > since)) return true
  }
  return false
}
