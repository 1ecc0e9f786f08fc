import type { FindingAnswer } from '../../contract'
import type { Between } from '../../core/findings'
import type { TableRow } from '../db/tables'

const parts = (name: string, one: Between | undefined): TableRow =>
  ({ [name]: one?.value ?? null, [`${name}_low`]: one?.low ?? null, [`${name}_high`]: one?.high ?? null })

/** An answer as a table, a group a row: rates and differences as parts of one, figures as they are asked; intervals hold 95 in 100. */
export function findingRows(answer: FindingAnswer): TableRow[] {
  if (answer.kind === 'figure') {
    return answer.groups.map(({ value, of, middle, median, over, sureness }) => ({
      value, pens: of, middle, ...parts('median', median), ...parts('over_the_others', over), sureness,
    }))
  }
  return answer.groups.map(({ value, counted, rate, pulled }) => {
    const found = answer.differences.find(one => one.value === value)
    return {
      value, pens: counted.of, so_on: counted.hits, ...parts('rate', rate), pulled, ...parts('over_the_others', found?.by),
      likelihood: found?.likelihood ?? null, sureness: found?.sureness ?? null, like_with_like_by: found?.mixedWith.join('; ') ?? null,
    }
  })
}
