import {
  guessKind, guessMapping, intakeKind, intakeKinds, judgeSheet, readSheet, SheetError, textOf, unknownWords, type IntakeKnown,
  type IntakeName, type Mapping, type Sheet,
} from '#schemas/intake'
import type { AskedIntake, IntakeView, ToldIntake } from '../utils/intake-talk'

/** So many rows are shown as they would come in, so many with their faults, and so many cells of a column. */
const FIRST = 8
const FAULTY = 50
const SAMPLES = 3

/** The sheet that was read last. */
let sheet: Sheet | undefined

function viewOf(name: IntakeName, mapping: Mapping, areDaysSure: boolean | null, known: IntakeKnown, read: Sheet): IntakeView {
  const kind = intakeKind(name)
  const judged = judgeSheet(kind, read, mapping, known)
  const wrong = judged.filter(row => row.faults.length)
  const other = wrong.filter(row => row.faults.some(one => !one.isWord))
  const cells = new Map(read.rows.map(row => [row.number, row.cells]))
  return {
    name, mapping, areDaysSure, heads: read.heads, rows: read.rows.length,
    samples: read.heads.map((_, column) => read.rows.map(row => row.cells[column] ?? '').filter(Boolean).slice(0, SAMPLES)),
    first: judged.filter(row => !row.faults.length).slice(0, FIRST),
    faulty: other.slice(0, FAULTY).map(row => ({ row, cells: cells.get(row.number) ?? [] })),
    wrong: wrong.map(row => row.number),
    worded: wrong.length - other.length,
    unknown: [...unknownWords(kind, read, mapping, known)],
  }
}

function answer(asked: AskedIntake): ToldIntake {
  const { number, known } = asked
  const text = asked.kind === 'file' ? textOf(new Uint8Array(asked.bytes)) : asked.kind === 'text' ? asked.text : undefined
  if (text !== undefined) sheet = readSheet(text)
  if (!sheet) throw new SheetError('Choose a file first.')
  if (asked.kind === 'read') return { number, view: viewOf(asked.name, asked.mapping, null, known, sheet) }
  const name = asked.kind === 'guess' ? asked.name : guessKind(intakeKinds, sheet) ?? 'blanks'
  const { mapping, areDaysSure } = guessMapping(intakeKind(name), sheet, known)
  return { number, view: viewOf(name, mapping, areDaysSure, known, sheet), ...(text === undefined ? {} : { text }) }
}

/** Reads sheets and judges their rows away from the page, so that it never stands still. Answers carry the number of their question. */
self.onmessage = ({ data }: MessageEvent<AskedIntake>) => {
  try {
    self.postMessage(answer(data))
  } catch (error) {
    // What is a fault of ours says so too: nobody should wait for an answer that does not come.
    self.postMessage({ number: data.number, fault: (error as Error).message } satisfies ToldIntake)
  }
}
