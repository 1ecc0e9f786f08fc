import { spawn, type ChildProcess } from 'node:child_process'
import { openSync } from 'node:fs'

export interface Running {
  process: ChildProcess
  /** Resolves with the exit code, or null when a signal ended it. */
  ended: Promise<number | null>
  stop: () => Promise<void>
}

interface Launch {
  signal: 'INT' | 'TERM'
  env?: NodeJS.ProcessEnv
  log?: string
  patience?: number
  prefix?: readonly string[]
}

/**
 * Starts a program that is told to go when this process is killed, and that a Ctrl-C at the terminal does not reach directly, so that
 * we stop things in order. `signal` is what stops it; after `patience` ms it is killed. Output goes to `log`, or is shown.
 */
export function launch(command: readonly string[], { signal, env, log, patience = 15_000, prefix = [] }: Launch): Running {
  const output = log ? openSync(log, 'a') : 'inherit'
  const [program = '', ...rest] = [...prefix, 'setpriv', '--pdeathsig', signal, ...command]
  const child = spawn(program, rest, { env: { ...process.env, ...env }, stdio: ['ignore', output, output], detached: true })
  const ended = new Promise<number | null>((resolve) => {
    child.once('exit', code => resolve(code))
    child.once('error', () => resolve(127))
  })
  const stop = async () => {
    if (child.exitCode !== null || child.signalCode !== null) return
    child.kill(`SIG${signal}`)
    const timer = setTimeout(() => child.kill('SIGKILL'), patience)
    await ended
    clearTimeout(timer)
  }
  return { process: child, ended, stop }
}
