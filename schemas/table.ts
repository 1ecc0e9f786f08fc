import { exact, word } from './common'

/** How a table is written: with commas and a decimal point, as nobody says otherwise, or with semicolons and a decimal comma. */
export const dialect = () => word('point', 'comma')
/** A table for a spreadsheet. */
export const tableQuerySchema = exact({ dialect: dialect() })
