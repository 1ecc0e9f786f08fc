import { array, number, object, string, type InferType } from 'yup'

/** The names of the two parts of a backup, which is a tar file. */
export const PARTS = { manifest: 'manifest.json', dump: 'oxlip.dump' } as const

/** What a backup says of itself. */
export const manifestSchema = object({
  format: string().oneOf(['oxlip-backup']).required(),
  version: number().oneOf([1]).required(),
  /** When it was made, ISO 8601. */
  made: string().required(),
  /** The migrations of the database in it. */
  migrations: array(string().required()).required(),
  /** What its tables hold: checked when it is put back. */
  tables: object().required(),
})
/** The same. */
export type Manifest = Omit<InferType<typeof manifestSchema>, 'tables'> & { tables: Record<string, { rows: number, sum: string }> }
