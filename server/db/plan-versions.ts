import { applyPatch, createPatch, type Operation } from 'rfc6902'
import type { Plan } from '../../core/plan'

/** How a version of a plan is kept: whole, or as what it has other than a version that is kept whole. */
export interface KeptVersion {
  /** The whole plan; null where there is a patch. */
  body: string | null
  /** What to change in a whole version, as a JSON Patch (RFC 6902); null where the plan is whole. */
  patch: string | null
  /** Which version is changed so; null where the plan is whole. */
  whole: number | null
}

/** A version of a plan as it lies in the database. */
export interface VersionRow {
  /** The whole plan, if it is kept so. */
  body: unknown
  /** Else what to change. */
  patch: Operation[] | null
  /** The whole version that is changed. */
  whole: unknown
}

/** A patch that is longer than this part of the whole saves too little for what it costs to read. */
const WORTH = 0.5

/** How a plan is kept beside an earlier version that is kept whole: whichever takes less. */
export function keptBeside(plan: Plan, whole: { version: number, body: unknown } | undefined): KeptVersion {
  const body = JSON.stringify(plan)
  if (!whole) return { body, patch: null, whole: null }
  // As it will come back: fields that are not there at all, none that are there and undefined.
  const patch = JSON.stringify(createPatch(whole.body, JSON.parse(body)))
  return patch.length <= body.length * WORTH
    ? { body: null, patch, whole: whole.version }
    : { body, patch: null, whole: null }
}

/** The plan of a row as it was kept; undefined where its whole version is missing or the patch does not fit it. */
export function grown({ body, patch, whole }: VersionRow): unknown {
  if (!patch) return body
  if (!whole) return undefined
  const plan = structuredClone(whole)
  return applyPatch(plan, patch).every(fault => fault === null) ? plan : undefined
}
