import type { Knex } from 'knex'
import { FieldsError } from '../../faults'
import { freeMarks } from '../marks'

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** Marks for so many pens that have none: free ones, after that of the pen started last, then of any letter. */
export async function marksFor(trx: Knex, count: number, taken: ReadonlySet<string>): Promise<string[]> {
  const found = new Set<string>()
  const ask = async (from?: string) => {
    // As many more as those that are taken might be among them.
    const free = await freeMarks(trx, { ...(from ? { from } : {}), count: count + taken.size })
    for (const mark of free) if (!taken.has(mark) && found.size < count) found.add(mark)
  }
  if (count) await ask()
  for (const letter of LETTERS) if (found.size < count) await ask(`${letter}1`)
  if (found.size < count) throw new FieldsError({ text: 'There are not as many free marks. Take it in in parts.' })
  return [...found]
}
