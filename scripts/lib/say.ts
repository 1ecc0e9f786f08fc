import { BackupError } from '../../server/backup/error'

/** A fault that the person at the terminal can mend; its message says how. */
export class Plain extends Error {}

/** What a backup cannot do is told to the person at the terminal. */
export async function asPlain<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    throw error instanceof BackupError ? new Plain(error.message) : error
  }
}

export const say = (text: string): void => console.log(text)

/** Runs a script's main part; a plain fault is told in one line, any other with its stack. */
export async function main(run: () => Promise<void>): Promise<void> {
  try {
    await run()
  } catch (error) {
    console.error(error instanceof Plain ? error.message : error)
    process.exit(1)
  }
}
