/**
 * A log that cannot be written, on a full disk, stops nothing: what is said is lost, and that is all. Without this each failed line would
 * be a fault of its own, to be written to the log again, for ever.
 */
export default defineNitroPlugin(() => {
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined)
})
