import type { TakenIn } from '#contract'
import { addressHere } from './here'

/** Sends an archive to be taken into the workshop this page is in; throws as `refused` reads it. */
export const sendArchive = (file: File): Promise<TakenIn> =>
  $fetch<TakenIn>(addressHere('/api/archive'), { method: 'POST', body: file, headers: { 'content-type': 'application/x-tar' } })
