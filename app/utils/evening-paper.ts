import type { KeptPlan } from '#schemas'
import { timedPaper } from './here'

/** The coming evenings drawn as a PDF, as they are shown; throws as `refused` reads it. */
export const paperOf = (plan: KeptPlan): Promise<Blob> =>
  $fetch<Blob>(timedPaper('/api/papers/evenings.pdf'), { method: 'POST', body: plan, responseType: 'blob' })
