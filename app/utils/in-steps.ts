/** The time (ms) as a clock tells it that goes in steps of so many ms: what it told before, until the next step has begun. */
export const inStep = (before: Date | undefined, at: number, step: number): Date =>
  before && Math.floor(before.getTime() / step) === Math.floor(at / step) ? before : new Date(at)
