const running = new Set<string>()

/**
 * Does something that no answer waits for; what is under way already under the same name is not begun again. Its faults are told in the
 * log.
 */
export function afterwards(name: string, work: () => Promise<unknown>): void {
  if (running.has(name)) return
  running.add(name)
  work()
    .catch((error: Error) => console.error(`${name}:`, error.message))
    .finally(() => running.delete(name))
}
