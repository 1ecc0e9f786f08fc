import { execFile } from 'node:child_process'
import { promisify } from 'node:util'

const run = promisify(execFile)

/** Runs openssl in a folder. @throws Error in plain words where it is not there or refuses */
export async function openssl(folder: string, ...args: string[]): Promise<string> {
  try {
    return (await run('openssl', args, { cwd: folder })).stdout
  } catch (error) {
    const { code, stderr = '' } = error as { code?: string, stderr?: string }
    if (code === 'ENOENT') throw new Error('openssl is missing. Install it: apt-get install openssl')
    throw new Error(`openssl ${args[0]} failed: ${stderr.trim().split('\n').at(-1) ?? ''}`)
  }
}
