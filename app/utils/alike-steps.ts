import type { CoatStep, Step } from '#core/plan'

const BETWEEN: readonly Step['kind'][] = ['buff', 'cut back', 'wipe off']
/** Whether a step is what is done between coats, and comes again with each of them. */
export const isBetweenCoats = ({ kind }: Pick<Step, 'kind'>): boolean => BETWEEN.includes(kind)

/** Coats of one product on the same barrels, told with the others or apart, bear one key. */
export const coatKey = ({ product, barrels, apart }: CoatStep): string => [product.id, ...barrels, apart ? 'apart' : ''].join(' ')

/** A row of the plan as it is told, in so far as rows can be alike. */
export interface AlikeRow {
  /** Rows with one key are alike: coats of one product, put on in one way, or what is done between them; null: stands for itself. */
  alike: string | null
}

/** Rows that stand together. */
export interface Run<R> {
  /** All of them, in their order. */
  rows: R[]
  /** How many of them come again and again: 1, or 2 where something is done after each. */
  period: 1 | 2
}

/** Rows that follow one another and are alike stand together, and so do pairs of them that follow one another; the others each alone. */
export function runsOf<R extends AlikeRow>(rows: readonly R[]): Run<R>[] {
  const runs: Run<R>[] = []
  for (let at = 0; at < rows.length;) {
    const [single, pair] = [lengthOf(rows, at, 1), lengthOf(rows, at, 2)]
    const inPairs = single === 1 && pair >= 4
    const length = inPairs ? pair : single
    runs.push({ rows: rows.slice(at, at + length), period: inPairs ? 2 : 1 })
    at += length
  }
  return runs
}

/** How many rows from here on repeat the first `period` of them, whole repetitions only; the first row counts in any case. */
function lengthOf(rows: readonly AlikeRow[], from: number, period: number): number {
  const isAgain = (at: number) => rows[at]?.alike != null && rows[at]?.alike === rows[at - period]?.alike
  let length = period
  while (isAgain(from + length)) length++
  return Math.max(1, length - (length % period))
}
