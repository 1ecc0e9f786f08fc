import { ownerDb } from '../db/connection'
import { tellDoors } from '../db/people'

/** How long what the installation says is taken as it was, ms: another server may have changed it. */
const FRESH = 1000

let kept: { seal: string, locked: boolean, at: number } | undefined

async function read() {
  if (kept && Date.now() - kept.at < FRESH) return kept
  const row = (await ownerDb()('installation').first('seal', 'locked')) as { seal: string, locked: boolean }
  return (kept = { ...row, at: Date.now() })
}

/** What the cookies of this installation are sealed with. */
export const sealOfInstallation = async (): Promise<string> => (await read()).seal
/** Whether the machine itself asks who it is. */
export const isLocked = async (): Promise<boolean> => (await read()).locked

/** Has the machine itself ask who it is, or ask no more. */
export async function lock(locked: boolean): Promise<void> {
  await ownerDb()('installation').update({ locked })
  kept = undefined
  await tellDoors(ownerDb())
}
