import { statfs } from 'node:fs/promises'
import { Plain } from './say'

/** Refuses to go on when the disk at `path` has less than `needed` MB free. @throws Plain */
export async function refuseFullDisk(path: string, needed: number, what: string): Promise<void> {
  const { bavail, bsize } = await statfs(path)
  const free = Math.floor((bavail * bsize) / 1e6)
  if (free < needed)
    throw new Plain(
      `The disk is nearly full: ${free} MB free at ${path}, and ${what} needs about ${needed} MB. Free some space, then start again.`,
    )
}
