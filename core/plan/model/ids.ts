/** The name of a piece of work in plans and logs: the same from version to version of a plan, so that what was done stays done. */
export type StepId = string
/** The name of a mend: that of its defect for the first one, numbered from the second on. */
export type MendId = string

/** Names of mends. */
export const mendId = {
  /** The first mend of a defect. */
  first: (defect: string): MendId => defect,
  /** The mend of the same defect that comes after another. */
  next: (before: MendId, defect: string): MendId => `${defect}.${before === defect ? 2 : Number(before.slice(defect.length + 1)) + 1}`,
}

/** Names of steps. */
export const stepId = {
  /** A piece of work done for a mend; `time` counts where one mend does the same work more than once. */
  ofMend: (work: StepId, mend: MendId, time = 1): StepId => `${work}${time > 1 ? `~${time}` : ''}.${mend}`,
  /** The piece of work that a step is, whatever mend does it again. */
  work: ({ id, mend }: { id: StepId, mend?: MendId }): StepId => (mend === undefined ? id : id.slice(0, -(mend.length + 1))),
  /** Whether a step belongs to a mend, by its name alone: logs name steps of plans that are not there any more. */
  isOf: (id: StepId, mend: MendId): boolean => id.endsWith(`.${mend}`),
}
